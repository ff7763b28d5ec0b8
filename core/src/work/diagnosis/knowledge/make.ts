import { LOADERS, type Loader } from '../../../base/loaders';
import type { BenchTest } from '../schema';

export const ALL: readonly Loader[] = LOADERS;
/** Loaders with a tray or drawer. */
export const TRAYS: readonly Loader[] = ['tray', 'twinTray', 'carousel', 'lift', 'wire'];
export const DISK: readonly Loader[] = ['diskDrive'];

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
