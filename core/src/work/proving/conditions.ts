import { ACTION_DOING, isFailure, isTrial } from './cycles';
import type { Cycle, CleanRun, CycleAction } from './schema';

/** Circumstances under which it failed, and how many clean cycles a clean run has under them. */
export interface FailedUnder {
  readonly action: CycleAction;
  readonly place: string;
  readonly loaded: boolean;
  readonly conditions: readonly string[];
  /** Failures so counted before anything was done. */
  readonly failures: number;
  /** Clean cycles of the clean run under all of them. */
  readonly clean: number;
}

/** Whether the lid is on is how one works, not what a fault hangs on; the clean run after the lid is asked for apart. */
const NOT_CIRCUMSTANCES = new Set(['lid on', 'lid off']);
/** The conditions of a cycle that a fault may hang on, in a fixed order. */
export const circumstances = ({ conditions }: Pick<Cycle, 'conditions'>): string[] =>
  conditions.filter((one) => !NOT_CIRCUMSTANCES.has(one)).sort();

/**
 * The circumstances under which it failed before, most failures first, each with the clean cycles that a clean run has
 * under them: the same movement and place, the same disc or none, and every condition of the failure (others may be added).
 *
 * @example failedUnder(cycles, ticket.cleanRuns[0])[0] // { action: 'open', loaded: false, conditions: ['cold'], failures: 1 }
 */
export function failedUnder(cycles: readonly Cycle[], cleanRun: CleanRun | undefined): FailedUnder[] {
  const groups = new Map<string, FailedUnder>();
  for (const cycle of cycles) {
    if (cycle.cleanRunId !== null || isTrial(cycle) || !isFailure(cycle)) continue;
    const { action, place, loaded } = cycle;
    const conditions = circumstances(cycle);
    const key = JSON.stringify([action, place, loaded, conditions]);
    const clean = cycles.filter(
      (one) =>
        cleanRun !== undefined &&
        one.cleanRunId === cleanRun.id &&
        !isTrial(one) &&
        !isFailure(one) &&
        one.action === action &&
        one.place === place &&
        one.loaded === loaded &&
        conditions.every((condition) => one.conditions.includes(condition)),
    ).length;
    const failures = (groups.get(key)?.failures ?? 0) + 1;
    groups.set(key, { action, place, loaded, conditions, failures, clean });
  }
  return [...groups.values()].sort((a, b) => b.failures - a.failures);
}

/** Circumstances in a few words. @example circumstanceWords({ action: 'open', place: 'deck 2', loaded: false, conditions: ['cold'] }) // 'opening, deck 2, empty, cold' */
export const circumstanceWords = ({
  action,
  place,
  loaded,
  conditions,
}: Pick<FailedUnder, 'action' | 'place' | 'loaded' | 'conditions'>): string =>
  [ACTION_DOING[action], place, loaded ? 'loaded' : 'empty', ...conditions].filter((word) => word !== '').join(', ');

/**
 * Whether the owner's disc went in before a worthless one ran clean since the last treatment: junk first, one's own,
 * the owner's last.
 */
export function ownersDiscTooEarly(cycles: readonly Cycle[], sinceAt: string): boolean {
  const since = cycles.filter(({ at }) => at >= sinceAt);
  return !since.some((cycle) => (cycle.disc === 'junk' || cycle.disc === 'own') && !isFailure(cycle));
}
