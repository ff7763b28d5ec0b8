/** The kinds of loader, by what moves the disc. */
export const LOADERS = ['tray', 'twinTray', 'carousel', 'slot', 'lift', 'diskDrive', 'wire'] as const;
export type Loader = (typeof LOADERS)[number];

/** What a belt moves, as it is called on the machine. */
export type Driven = 'tray' | 'drawer' | 'lift' | 'disc' | 'spindle';

export const LOADER_NAMES: Readonly<Record<Loader, string>> = {
  tray: 'tray',
  twinTray: 'twin tray',
  carousel: 'carousel',
  slot: 'slot, rollers',
  lift: 'lift and carriage',
  diskDrive: 'disk drive, spindle belt',
  wire: 'tray drawn by wire',
};

/** What the belts of a machine move. */
export const DRIVEN_OF: Readonly<Record<Loader, Driven>> = {
  tray: 'tray',
  twinTray: 'tray',
  carousel: 'drawer',
  slot: 'disc',
  lift: 'lift',
  diskDrive: 'spindle',
  wire: 'tray',
};

export const DRIVEN_WORDS: Readonly<Record<Driven, string>> = {
  tray: 'tray',
  drawer: 'drawer',
  lift: 'drawer',
  disc: 'disc',
  spindle: 'spindle',
};

const NAMED: ReadonlyArray<readonly [RegExp, Loader]> = [
  [/\btwin\b|\btwo trays\b|\bdouble deck\b/i, 'twinTray'],
  [/\bcarousel\b|\bchanger\b|\bturntable\b/i, 'carousel'],
  [/\bslot\b/i, 'slot'],
  [/\blift\b|\blarge disc\b|\bstylus\b/i, 'lift'],
  [/\bdisk(?:ette)?\b|\bfloppy\b|\bspindle\b/i, 'diskDrive'],
  [/\bwire\b/i, 'wire'],
];
/** The kind of loader that words name; a plain tray where they name none. @example loaderNamed('slot player, will not take discs') // 'slot' */
export const loaderNamed = (words: string): Loader => NAMED.find(([pattern]) => pattern.test(words))?.[1] ?? 'tray';

const TRAYLESS: Readonly<Partial<Record<Loader, string>>> = {
  carousel: 'drawer',
  lift: 'drawer',
  slot: 'disc',
  diskDrive: 'spindle',
};
/**
 * Words about a tray in the words of a machine: one that has none is never spoken to of trays.
 *
 * @example forLoader('Fingers out of the moving tray.', 'diskDrive') // 'Fingers out of the moving spindle.'
 */
export function forLoader(words: string, loader: Loader): string {
  const other = TRAYLESS[loader];
  return other
    ? words.replace(
        /\b(tray)(s?)\b/gi,
        (_, tray: string, several: string) =>
          `${tray.startsWith('T') ? other.replace(/^./, (letter) => letter.toUpperCase()) : other}${several}`,
      )
    : words;
}
