import type { Cycle, CycleAction, CycleResult, TestDisc } from './schema';

export const ACTION_NAMES: Readonly<Record<CycleAction, string>> = {
  open: 'open',
  close: 'close',
  turnTable: 'turn the table',
  load: 'load',
  eject: 'eject',
  spinUp: 'spin up',
};

/** The same as what it is doing. */
export const ACTION_DOING: Readonly<Record<CycleAction, string>> = {
  open: 'opening',
  close: 'closing',
  turnTable: 'turning the table',
  load: 'loading',
  eject: 'ejecting',
  spinUp: 'spinning up',
};

export const RESULT_NAMES: Readonly<Record<CycleResult, string>> = {
  good: 'good',
  bad: 'bad',
  slow: 'slow',
  helped: 'helped',
};

export const TEST_DISC_NAMES: Readonly<Record<TestDisc, string>> = {
  unknown: 'a disc',
  none: 'empty',
  junk: 'junk disc',
  own: 'own disc',
  owners: 'owner’s disc',
};

/** A failure is what the owner would call one: it did not get there by itself. A slow one is counted, and shown. */
export const isFailure = ({ result }: Pick<Cycle, 'result'>): boolean => result === 'bad' || result === 'helped';

/** Whether it only was a trial, with parts out say: it counts for nothing. */
export const isTrial = ({ trial }: Pick<Cycle, 'trial'>): boolean => trial !== undefined;

/** Cycles counted before anything was done, trials apart. */
export const countedBefore = (cycles: readonly Cycle[]): readonly Cycle[] =>
  cycles.filter((cycle) => cycle.cleanRunId === null && !isTrial(cycle));

/** How many, and how many of them failed. */
export interface Tally {
  readonly n: number;
  readonly failures: number;
  readonly slow: number;
}

/** Counts cycles. @example tally(cycles).failures // 1 */
export function tally(cycles: readonly Pick<Cycle, 'result'>[]): Tally {
  return {
    n: cycles.length,
    failures: cycles.filter(isFailure).length,
    slow: cycles.filter(({ result }) => result === 'slow').length,
  };
}

/** A row of the table: one place and action, empty beside loaded, and how often chance alone would part them so. */
export interface CycleRow {
  readonly place: string;
  readonly action: CycleAction;
  readonly empty: Tally;
  readonly loaded: Tally;
  /** Fisher's two-sided p of empty against loaded; 1 where either is uncounted. */
  readonly chance: number;
}
