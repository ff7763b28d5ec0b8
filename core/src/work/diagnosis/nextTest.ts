import type { Machine } from './machine';
import { type Case } from './types';
import { DEPTHS, type BenchTest, type Depth } from './schema';

/** What getting to a depth costs, from the lid on, once. Common practice, from memory, no source. */
export const OPENING_MINUTES: Readonly<Record<Depth, number>> = { lidOn: 0, lidOff: 10, deep: 25 };
/** What a step of risk, and what cannot be undone, weigh as minutes' multiples. */
const RISK_WEIGHT = 0.35;
const IRREVERSIBLE_WEIGHT = 1.5;

/** What is wanted of the next test: the most information for each minute, or the most for each test. */
export const POLICIES = ['minute', 'test'] as const;
export type Policy = (typeof POLICIES)[number];

/** A test as it stands now. */
export interface Suggestion {
  readonly testId: string;
  /** Bits that its answer is expected to take off what is not known. */
  readonly bits: number;
  /** Minutes of the test and of opening up to it from here. */
  readonly minutes: number;
  /** Bits a minute, or bits by themselves, by the policy; risk weighed. */
  readonly worth: number;
}

/** Minutes that a test costs now: its own, and what is still to be opened. */
export function minutesNow(test: Pick<BenchTest, 'minutes' | 'depth'>, opened: Depth): number {
  const opening = Math.max(0, OPENING_MINUTES[test.depth] - OPENING_MINUTES[opened]);
  return test.minutes + opening;
}

/** The deeper of two. */
export const deeper = (a: Depth, b: Depth): Depth => (DEPTHS.indexOf(a) > DEPTHS.indexOf(b) ? a : b);

/**
 * The expected loss of entropy, in bits, by each test under a belief: the mutual information of what is wrong and what
 * the test will show (Shannon, 1948). By test of the machine.
 */
export function expectedBits(machine: Machine, belief: Float64Array): number[] {
  const live = [...belief.keys()].filter((h) => (belief[h] ?? 0) > 0);
  const chances = live.map((h) => belief[h] ?? 0);
  const logs = chances.map(Math.log2);
  const before = -chances.reduce((sum, chance, i) => sum + chance * (logs[i] ?? 0), 0);
  return machine.chances.map((byOutcome, t) => {
    let after = 0;
    byOutcome.forEach((row, o) => {
      const rowLogs = machine.logs[t]?.[o];
      let total = 0;
      let sum = 0;
      for (let i = 0; i < live.length; i++) {
        const h = live[i] ?? 0;
        const joint = (chances[i] ?? 0) * (row[h] ?? 0);
        total += joint;
        sum -= joint * ((logs[i] ?? 0) + (rowLogs?.[h] ?? 0));
      }
      // H(what is wrong | this outcome), times the outcome's chance.
      if (total > 0) after += sum + total * Math.log2(total);
    });
    return Math.max(0, before - after);
  });
}

/**
 * Every test not yet answered, the one that says most per minute first. The lid costs minutes, so what can be done with
 * it on comes first by itself; risk and what cannot be undone weigh against a test. Those passed over come last.
 *
 * For instance suggest(machine, belief, given)[0]?.testId: 'sound'
 */
export function suggest(machine: Machine, belief: Float64Array, given: Case, policy: Policy = 'minute'): Suggestion[] {
  const since = given.cured.length;
  const now = given.observations.filter(({ cured }) => cured === since);
  const answered = new Set(now.filter(({ outcome }) => outcome !== 'notTried').map(({ testId }) => testId));
  const passed = new Set(now.filter(({ outcome }) => outcome === 'notTried').map(({ testId }) => testId));
  const expected = expectedBits(machine, belief);
  return machine.tests
    .map((test, t) => {
      const bits = expected[t] ?? 0;
      const minutes = minutesNow(test, given.opened);
      const weight = (1 + RISK_WEIGHT * test.risk) * (test.reversible ? 1 : IRREVERSIBLE_WEIGHT);
      return { testId: test.id, bits, minutes, worth: policy === 'test' ? bits : bits / (minutes * weight) };
    })
    .filter(({ testId }) => !answered.has(testId) && !given.impossible?.includes(testId))
    .sort((a, b) => Number(passed.has(a.testId)) - Number(passed.has(b.testId)) || b.worth - a.worth);
}
