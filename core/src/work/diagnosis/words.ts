import { loaderOf, type Loader } from '../../base/loaders';
import type { BenchTest, Cause } from './schema';

/** Text of the knowledge in the words of a machine. @example inWords('ask it to {open}', 'slot') // 'ask it to take a disc in' */
export const inWords = (text: string, loader: Loader): string => {
  const { words, has } = loaderOf(loader);
  const said = text
    .replaceAll('{tray}', words.tray)
    .replaceAll('{open}', words.open)
    .replaceAll('{close}', words.close);
  return has.disks ? said.replace(/\bdisc\b/g, 'disk') : said;
};

/** A cause's name for a kind of loader. @example causeName(KNOWLEDGE.causes.find(({ id }) => id === 'lensDirty'), 'diskDrive') // 'Head dirty' */
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
