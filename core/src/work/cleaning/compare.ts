import { formatNewton } from '../../base/units';
import type { Feel, FeelTest, Slip, SlipTest, Stage } from './schema';
import { FEELS, SLIPS } from './schema';

/** A figure with its standard uncertainty (k = 1). */
interface Figure {
  readonly value: number;
  readonly std: number;
}

export type Change = 'better' | 'worse' | 'notToldApart';

/** Two standard uncertainties of the difference: within it, nobody can say. */
const COVERAGE = 2;

/**
 * Whether a pull went down from before to after, by more than the two readings are uncertain.
 *
 * @example pullChange({ value: 3.1, std: 0.2 }, { value: 1.2, std: 0.2 }).change // 'better'
 */
export function pullChange(
  before: Figure,
  after: Figure,
): { readonly change: Change; readonly differenceN: number; readonly withinN: number } {
  const differenceN = before.value - after.value;
  const withinN = COVERAGE * Math.hypot(before.std, after.std);
  return {
    change: Math.abs(differenceN) <= withinN ? 'notToldApart' : differenceN > 0 ? 'better' : 'worse',
    differenceN,
    withinN,
  };
}

/** The same in words. @example pullChangeWords({ value: 3.1, std: 0.2 }, { value: 1.2, std: 0.2 }) // '3.1 N before, 1.2 N after: better by 1.9 ± 0.6 N' */
export function pullChangeWords(before: Figure, after: Figure): string {
  const { change, differenceN, withinN } = pullChange(before, after);
  const figures = `${formatNewton(before.value)} before, ${formatNewton(after.value)} after`;
  if (change === 'notToldApart')
    return `${figures}: not told apart, the readings are ± ${formatNewton(withinN)} uncertain`;
  return `${figures}: ${change} by ${Math.abs(differenceN).toFixed(1)} ± ${withinN.toFixed(1)} N`;
}

const byStage = <T extends { readonly stage: Stage }>(tests: readonly T[], stage: Stage): T | undefined =>
  tests.findLast((one) => one.stage === stage);

/** How something ran by hand before against after; undefined until both were felt. */
export function feelChange(tests: readonly FeelTest[]): Change | undefined {
  return changed<Feel>(byStage(tests, 'before')?.feel, byStage(tests, 'after')?.feel, FEELS);
}
/** The same for a belt held back. */
export function slipChange(tests: readonly SlipTest[]): Change | undefined {
  return changed<Slip>(byStage(tests, 'before')?.slip, byStage(tests, 'after')?.slip, SLIPS);
}
/** Steps on a scale from bad to good. */
function changed<T>(before: T | undefined, after: T | undefined, scale: readonly T[]): Change | undefined {
  if (before === undefined || after === undefined) return undefined;
  const steps = scale.indexOf(after) - scale.indexOf(before);
  return steps === 0 ? 'notToldApart' : steps > 0 ? 'better' : 'worse';
}

/** The last test of a stage. */
export const lastOf = byStage;
