/** What one cycle was. Trays open and close, slots load and eject, a disk drive spins up. */
export const CYCLE_ACTIONS = ['open', 'close', 'load', 'eject', 'spinUp'] as const;
export type CycleAction = (typeof CYCLE_ACTIONS)[number];

/** How it went. Slow got there by itself; helped did not. */
export const CYCLE_RESULTS = ['good', 'bad', 'slow', 'helped'] as const;
export type CycleResult = (typeof CYCLE_RESULTS)[number];

export const ACTION_NAMES: Readonly<Record<CycleAction, string>> = {
  open: 'open',
  close: 'close',
  load: 'load',
  eject: 'eject',
  spinUp: 'spin up',
};

export const RESULT_NAMES: Readonly<Record<CycleResult, string>> = {
  good: 'good',
  bad: 'bad',
  slow: 'slow',
  helped: 'helped',
};

/** Which disc was in, by what is at risk: a worthless one, the bench's own, the owner's. */
export const TEST_DISCS = ['unknown', 'none', 'junk', 'own', 'owners'] as const;
export type TestDisc = (typeof TEST_DISCS)[number];
export const TEST_DISC_NAMES: Readonly<Record<TestDisc, string>> = {
  unknown: 'a disc',
  none: 'empty',
  junk: 'junk disc',
  own: 'own disc',
  owners: 'owner’s disc',
};

/** One counted cycle. `seconds` from the press at eject to the verdict, where a watch ran. */
export interface Cycle {
  readonly id: string;
  readonly at: string;
  readonly action: CycleAction;
  readonly result: CycleResult;
  readonly seconds: number | null;
  /** Empty or loaded: the clamp magnet holds harder with no disc between. */
  readonly loaded: boolean;
  readonly disc: TestDisc;
  /** Which deck or slot; empty where there is one. */
  readonly place: string;
  /** Other conditions, in the bench's words: cold, lid off, on its side. */
  readonly conditions: readonly string[];
  /** The clean run that it was counted for; null for cycles before any treatment. */
  readonly cleanRunId: string | null;
}

/** A failure is what the owner would call one: it did not get there by itself. A slow one is counted, and shown. */
export const isFailure = ({ result }: Pick<Cycle, 'result'>): boolean => result === 'bad' || result === 'helped';

/** How many, and how many of them failed. */
export interface Tally {
  readonly n: number;
  readonly failures: number;
  readonly slow: number;
}

/** Counts cycles. @example tally(cycles).failures // 4 */
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
