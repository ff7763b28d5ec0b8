import { loaderOf, LOADERS, type Loader, type LoaderRecord } from '../../../base/loaders';
import type { BenchTest } from '../schema';

export const ALL: readonly Loader[] = LOADERS;
/** The kinds of loader that have what a test is about. @example having('rollers') // ['slot'] */
export const having = (what: keyof LoaderRecord['has']): readonly Loader[] =>
  LOADERS.filter((loader) => loaderOf(loader).has[what]);

/** A test as written in the knowledge: harmless, reversible and with the lid on unless it says otherwise. */
export function test(
  id: string,
  name: string,
  {
    outcomes,
    caution = '',
    risk = 0,
    depth = 'lidOn',
    reversible = true,
    ...rest
  }: Pick<BenchTest, 'how' | 'minutes' | 'loaders' | 'sound' | 'given'> &
    Partial<Pick<BenchTest, 'caution' | 'risk' | 'depth' | 'reversible'>> & {
      readonly outcomes: Readonly<Record<string, string>>;
    },
): BenchTest {
  return {
    id,
    name,
    caution,
    risk,
    depth,
    reversible,
    outcomes: Object.entries(outcomes).map(([outcome, label]) => ({ id: outcome, label })),
    ...rest,
  };
}
