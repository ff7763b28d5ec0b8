import { fisherTwoSided } from '../../base/statistics';
import { tally, type CycleRow } from './cycles';
import { type Cycle, CYCLE_ACTIONS } from './schema';

/**
 * The table deck × empty or loaded × action, rows in the order in which places were first counted.
 *
 * @example cycleTable(cycles)[0] // { place: '', action: 'open' }
 */
export function cycleTable(cycles: readonly Cycle[]): CycleRow[] {
  const places = [...new Set(cycles.map(({ place }) => place))];
  return places.flatMap((place) =>
    CYCLE_ACTIONS.flatMap((action): CycleRow[] => {
      const here = cycles.filter((cycle) => cycle.place === place && cycle.action === action);
      if (here.length === 0) return [];
      const empty = tally(here.filter(({ loaded }) => !loaded));
      const loaded = tally(here.filter((cycle) => cycle.loaded));
      const chance = fisherTwoSided({
        failedA: empty.failures,
        goodA: empty.n - empty.failures,
        failedB: loaded.failures,
        goodB: loaded.n - loaded.failures,
      });
      return [{ place, action, empty, loaded, chance }];
    }),
  );
}
