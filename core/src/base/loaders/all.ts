import { carousel } from './carousel';
import { diskDrive } from './diskDrive';
import { lift } from './lift';
import type { LoaderRecord } from './record';
import { slot } from './slot';
import { tray } from './tray';
import { twinTray } from './twinTray';
import { wire } from './wire';

/** The kinds of loader, by what moves the disc. The only place that lists them; the first is a plain tray. */
export const LOADER_RECORDS = { tray, twinTray, carousel, slot, lift, diskDrive, wire } as const satisfies Readonly<
  Record<string, LoaderRecord>
>;
export type Loader = keyof typeof LOADER_RECORDS;
export const LOADERS = Object.keys(LOADER_RECORDS) as readonly Loader[];
export const USUAL_LOADER = LOADERS[0] as Loader;
const RECORDS: Readonly<Record<Loader, LoaderRecord>> = LOADER_RECORDS;

/** The record of a kind of loader. @example loaderOf('slot').has.rollers // true */
export const loaderOf = (loader: Loader): LoaderRecord => RECORDS[loader];

/** Something for each kind. @example forLoaders((loader) => loader.length).slot // 4 */
export const forLoaders = <T>(of: (loader: Loader) => T): Record<Loader, T> =>
  Object.fromEntries(LOADERS.map((loader) => [loader, of(loader)])) as Record<Loader, T>;

/**
 * One entry of every record, each as it is written there: so the room that reads it holds its words to its own list, by
 * the compiler.
 */
export const ofLoaders = <K extends keyof LoaderRecord>(key: K) =>
  forLoaders((loader) => RECORDS[loader][key]) as unknown as { readonly [L in Loader]: (typeof LOADER_RECORDS)[L][K] };

/** The kind of loader that words name; a plain tray where they name none. @example loaderNamed('slot player, will not take discs') // 'slot' */
export const loaderNamed = (words: string): Loader =>
  LOADERS.find((loader) => loader !== USUAL_LOADER && RECORDS[loader].named.test(words)) ?? USUAL_LOADER;

/**
 * Words about a tray in the words of a machine: one that has none is never spoken to of trays.
 *
 * @example forLoader('Fingers out of the moving tray.', 'diskDrive') // 'Fingers out of the moving spindle.'
 */
export function forLoader(words: string, loader: Loader): string {
  const other = RECORDS[loader].trayWord;
  return words.replace(
    /\b(tray)(s?)\b/gi,
    (_, said: string, several: string) =>
      `${said.startsWith('T') ? other.replace(/^./, (letter) => letter.toUpperCase()) : other}${several}`,
  );
}
