import type { TemporaryChangeKind, ChangeLimit } from './schema';
import { TEMPORARY_CHANGE } from './words';

interface ChangeKnown {
  readonly name: string;
  readonly closes: string;
  readonly before: ChangeLimit;
  /** Words that name it in a typed line: every one of a list must be there. */
  readonly words: ReadonlyArray<readonly string[]>;
  readonly caution: string;
  /** Its place lies under what came off before it, which covers it on the way back. */
  readonly covered?: true;
  /** What has to have been before it can end: the stop pin goes back after the try. */
  readonly endsAfter?: ChangeLimit;
}

/** The temporary states that benches open, what closes each, and the latest moment. Common practice, no source. */
export const TEMPORARY_CHANGES: Readonly<Record<TemporaryChangeKind, ChangeKnown>> = {
  laserBridged: {
    name: 'Laser pads bridged',
    closes: 'unbridge the pads, only after the pickup is plugged in again',
    before: 'power',
    words: [
      ['laser', 'bridged'],
      ['pads', 'bridged'],
      ['laser', 'shorted'],
      ['pads', 'shorted'],
      ['solder', 'bridge', 'laser'],
      ['solder', 'bridge', 'pads'],
      ['laser', 'pads', 'bridge', 'on'],
    ],
    caution: 'Unbridged only once plugged in: static kills a laser.',
    covered: true,
  },
  stopPinOut: {
    name: 'Stop pin out',
    closes: 'put the stop pin back, after the try',
    before: 'lid',
    words: [
      ['pin', 'out'],
      ['stop', 'pin', 'off'],
      ['stop', 'pin', 'removed'],
      ['stop', 'pin', 'pulled'],
    ],
    endsAfter: 'power',
    caution: 'Without its pin a tray runs off its end.',
  },
  transportLockOff: {
    name: 'Transport lock taken off',
    closes: 'lay the lock beside the machine; it goes on again for carriage',
    before: 'handBack',
    words: [
      ['transport', 'lock'],
      ['lock', 'off'],
      ['lock', 'screw', 'out'],
    ],
    caution: 'It goes back with the machine.',
  },
  stylusOut: {
    name: 'Stylus out',
    closes: 'put the stylus back',
    before: 'lid',
    words: [['stylus', 'out']],
    caution: 'Lay it where nothing falls on it.',
  },
  axisMoved: {
    name: 'Carriage or laser wound aside',
    closes: 'wind it back by as many turns, or let it come home under power',
    before: 'power',
    words: [
      ['wound', 'aside'],
      ['carriage', 'moved'],
      ['carriage', 'wound'],
      ['laser', 'moved'],
      ['sled', 'moved'],
    ],
    caution: 'Write down how many turns, and which way, viewed from where.',
  },
  switchLeversOff: {
    name: 'Switch levers off',
    closes: 'put the levers back on their switches',
    before: 'power',
    words: [
      ['levers', 'off'],
      ['switch', 'lever', 'off'],
      ['switch', 'levers', 'out'],
    ],
    caution: 'A tray tears off what stands in its way.',
    covered: true,
  },
  shieldFolded: {
    name: 'Shield folded back',
    closes: 'fold the shield home',
    before: 'power',
    words: [
      ['shield', 'folded'],
      ['shield', 'back'],
    ],
    caution: 'A loose shield shorts what it touches.',
    covered: true,
  },
  lampShaded: {
    name: 'Lamp shaded',
    closes: 'take the shade off, or say that it works only so',
    before: 'handBack',
    words: [['lamp', 'shaded'], ['shaded']],
    caution: 'A bench lamp on a sensor is a fault of the bench.',
  },
  trayLeftOut: {
    name: 'Tray left out',
    closes: 'put the tray in',
    before: 'lid',
    words: [['tray', 'left', 'out']],
    caution: 'On purpose now, forgotten later.',
  },
  hookedUp: {
    name: 'Hooked up open, only to eject',
    closes: 'unplug it again before a hand goes in',
    before: 'lid',
    words: [['hooked', 'up']],
    caution: 'Mains are open: nothing in reach that is live.',
  },
  noBelt: {
    name: 'No belt fitted',
    closes: 'fit the belt',
    before: 'power',
    words: [['no', 'belt']],
    caution: 'A motor without its belt tells nothing.',
  },
  own: { name: `Another ${TEMPORARY_CHANGE}`, closes: 'reverse it', before: 'handBack', words: [], caution: '' },
};

/** The kind of change that a typed line names, where it names one. @example changeNamed('laser pads bridged') // 'laserBridged' */
export function changeNamed(line: string): TemporaryChangeKind | undefined {
  // What follows a comma tells more of it, and does not name it.
  const head = line.split(/[,;]/)[0] ?? '';
  const words = new Set(head.toLowerCase().split(/[^\p{L}\p{N}]+/u));
  return (Object.keys(TEMPORARY_CHANGES) as TemporaryChangeKind[]).find((kind) =>
    TEMPORARY_CHANGES[kind].words.some((list) => list.every((word) => words.has(word))),
  );
}
