import { circumstances } from './conditions';
import { ACTION_DOING, isFailure, isTrial } from './cycles';
import type { CleanRun, Cycle, CycleAction } from './schema';
import { cleanWanted, type CleanWanted } from './wanted';

/** Clean cycles under each circumstance that are enough for a fault that was always there, once its cause is put right. */
export const FEW_CYCLES = 3;

/** A movement that failed, under what it failed, and what is wanted and there of it. */
export interface FailedKind {
  readonly action: CycleAction;
  readonly place: string;
  /** Null where it failed empty as well as loaded. */
  readonly loaded: boolean | null;
  /** What all its failures had in common. */
  readonly conditions: readonly string[];
  /** Cycles of just this kind before anything was done, and how many of them failed. */
  readonly n: number;
  readonly failures: number;
  /** It never once worked: proved by its cause, since the arithmetic of rare faults does not apply. */
  readonly always: boolean;
  /** Three readings of how many clean ones it takes; undefined where it was always there. */
  readonly wanted: CleanWanted | undefined;
  /** Clean cycles of just this kind in the clean run. */
  readonly clean: number;
}

/** Whether a cycle is of the kind that failed: the same movement and place, its disc, and every condition of it. */
export const isOfKind = (kind: Pick<FailedKind, 'action' | 'place' | 'loaded' | 'conditions'>, cycle: Cycle): boolean =>
  cycle.action === kind.action &&
  cycle.place === kind.place &&
  (kind.loaded === null || cycle.loaded === kind.loaded) &&
  kind.conditions.every((one) => cycle.conditions.includes(one));

/**
 * What failed before anything was done, by movement and place, each with what only cycles of that kind have shown since:
 * closings prove nothing of a fault in opening, nor a loaded tray of an empty one. Most failures first.
 *
 * @example failedKinds(cycles, ticket.cleanRuns[0])[0] // { action: 'open', loaded: false, conditions: ['cold'] }
 */
export function failedKinds(cycles: readonly Cycle[], cleanRun: CleanRun | undefined): FailedKind[] {
  const counted = cycles.filter((cycle) => !isTrial(cycle));
  const before = counted.filter(({ cleanRunId }) => cleanRunId === null);
  const run = counted.filter(({ cleanRunId }) => cleanRun !== undefined && cleanRunId === cleanRun.id);
  const groups = new Map<string, Cycle[]>();
  for (const cycle of before.filter(isFailure)) {
    const key = JSON.stringify([cycle.action, cycle.place]);
    groups.set(key, [...(groups.get(key) ?? []), cycle]);
  }
  return [...groups.values()]
    .map((failed): FailedKind => {
      const [{ action, place, loaded } = failed[0] as Cycle] = failed;
      const [first = [], ...others] = failed.map(circumstances);
      const kind = {
        action,
        place,
        loaded: failed.every((one) => one.loaded === loaded) ? loaded : null,
        conditions: first.filter((one) => others.every((list) => list.includes(one))),
      };
      const n = before.filter((cycle) => isOfKind(kind, cycle)).length;
      const failures = failed.length;
      const always = failures === n;
      return {
        ...kind,
        n,
        failures,
        always,
        wanted: always ? undefined : cleanWanted(failures, n),
        clean: run.filter((cycle) => isOfKind(kind, cycle) && !isFailure(cycle)).length,
      };
    })
    .sort((a, b) => b.failures - a.failures);
}

/** So many clean ones of a kind are the least that shows anything. */
export const leastClean = ({ always, wanted }: Pick<FailedKind, 'always' | 'wanted'>): number =>
  always ? FEW_CYCLES : (wanted?.plugIn ?? FEW_CYCLES);

/** Clean cycles of a clean run that are of no kind that failed: shown beside the proof, and no part of it. */
export const besideCount = (cycles: readonly Cycle[], cleanRun: CleanRun, kinds: readonly FailedKind[]): number =>
  cycles.filter(
    (cycle) =>
      cycle.cleanRunId === cleanRun.id &&
      !isTrial(cycle) &&
      !isFailure(cycle) &&
      !kinds.some((kind) => isOfKind(kind, cycle)),
  ).length;

/** A kind in a few words. For instance kindWords(kind): 'opening, empty, cold' */
export const kindWords = ({
  action,
  place,
  loaded,
  conditions,
}: Pick<FailedKind, 'action' | 'place' | 'loaded' | 'conditions'>): string =>
  [ACTION_DOING[action], place, loaded === null ? '' : loaded ? 'loaded' : 'empty', ...conditions]
    .filter((word) => word !== '')
    .join(', ');
