import { isFailure, isTrial } from './cycles';
import type { CleanRun, Cycle, Treatment } from './schema';

/** How a clean run stands. */
export interface CleanRunState {
  readonly cleanRun: CleanRun;
  /** Clean cycles in a row since it began. */
  readonly clean: number;
  readonly slow: number;
  /** The number of the cycle that failed, counted from 1; undefined while none has. */
  readonly failedAt?: number;
}

/**
 * How a clean run stands by its cycles: a failure ends it, whatever comes after.
 *
 * @example cleanRunState(ticket.cleanRuns[0], cycles) // { clean: 1, slow: 0 }
 */
export function cleanRunState(cleanRun: CleanRun, cycles: readonly Cycle[]): CleanRunState {
  const own = cycles.filter((cycle) => cycle.cleanRunId === cleanRun.id && !isTrial(cycle));
  const failed = own.findIndex(isFailure);
  const counted = failed < 0 ? own : own.slice(0, failed);
  return {
    cleanRun,
    clean: counted.length,
    slow: counted.filter(({ result }) => result === 'slow').length,
    ...(failed >= 0 && { failedAt: failed + 1 }),
  };
}

/**
 * Whether a new clean run may begin: the first at any time, a later one only after a treatment recorded after the
 * failure that it answers, or, where none ended the last, since that began. Free restarts would pass an uncured fault of
 * one in four a third of the time.
 */
export function mayBeginCleanRun(
  cleanRuns: readonly CleanRun[],
  treatments: readonly Treatment[],
  cycles: readonly Cycle[] = [],
): boolean {
  const last = cleanRuns[cleanRuns.length - 1];
  if (!last) return true;
  const failed = cycles.find((cycle) => cycle.cleanRunId === last.id && !isTrial(cycle) && isFailure(cycle));
  const since = failed ? failed.at : last.startedAt;
  return treatments.some(({ at }) => at > since);
}
