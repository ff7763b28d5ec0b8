import type { Loader } from '../../base/loaders';
import type { BenchTest, Cause } from './schema';

const TRAY: Readonly<Record<Loader, string>> = {
  tray: 'tray',
  twinTray: 'tray',
  carousel: 'drawer',
  slot: 'disc',
  lift: 'drawer',
  diskDrive: 'disk',
  wire: 'tray',
};
const OPEN: Readonly<Record<Loader, string>> = {
  tray: 'open',
  twinTray: 'open',
  carousel: 'open',
  slot: 'take a disc in',
  lift: 'open',
  diskDrive: 'spin up',
  wire: 'open',
};

const CLOSE: Readonly<Record<Loader, string>> = {
  ...OPEN,
  tray: 'close',
  twinTray: 'close',
  carousel: 'close',
  slot: 'give a disc back',
  lift: 'close',
  wire: 'close',
};

/** Text of the knowledge in the words of a machine. @example inWords('ask it to {open}', 'slot') // 'ask it to take a disc in' */
export const inWords = (text: string, loader: Loader): string => {
  const said = text
    .replaceAll('{tray}', TRAY[loader])
    .replaceAll('{open}', OPEN[loader])
    .replaceAll('{close}', CLOSE[loader]);
  return loader === 'diskDrive' ? said.replace(/\bdisc\b/g, 'disk') : said;
};

/** A cause's name for a kind of loader. @example causeName(lensDirty, 'diskDrive') // 'Head dirty' */
export const causeName = ({ name, names }: Pick<Cause, 'name' | 'names'>, loader: Loader): string =>
  names?.[loader] ?? inWords(name, loader);

/** A test's name for a kind of loader. */
export const testName = ({ name }: Pick<BenchTest, 'name'>, loader: Loader): string => inWords(name, loader);

/** How likely, as the bench says it. @example chanceWords(0.624) // '62 in 100' */
export function chanceWords(chance: number): string {
  if (chance >= 0.995) return 'over 99 in 100';
  if (chance < 0.005) return 'under 1 in 100';
  return `${Math.round(chance * 100)} in 100`;
}
