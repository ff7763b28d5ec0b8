import type { Machine } from './machine';
import { type Case } from './types';
import { DEPTHS, type BenchTest, type Depth, type Lead } from './schema';

/** What getting to a depth costs, from the lid on, once. Common practice, from memory, no source. */
export const OPENING_MINUTES: Readonly<Record<Depth, number>> = { lidOn: 0, lidOff: 10, deep: 25 };
/** What a step of risk, and what cannot be undone, weigh as minutes' multiples. */
const RISK_WEIGHT = 0.35;
const IRREVERSIBLE_WEIGHT = 1.5;

/** Reading how a test is done and giving its answer, beside the test's own minutes. Judgement, no source. */
const HANDLING_MINUTES = 1;
/** Causes that are seen to without opening anything. */
export const OUTSIDE: ReadonlySet<Lead> = new Set(['none', 'complaints']);

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

/**
 * How likely something is wrong that it has to be opened for.
 *
 * For instance insideChance(machine, belief): 0.9 for a tray of which nothing is known
 */
export const insideChance = (machine: Machine, belief: Float64Array): number =>
  machine.hypotheses.reduce(
    (sum, causes, h) =>
      causes.some((index) => !OUTSIDE.has(machine.causes[index]?.leads ?? 'none')) ? sum + (belief[h] ?? 0) : sum,
    0,
  );

/**
 * What a question itself costs in minutes: asking it, doing it, and its share of opening. The lid comes off anyway as
 * likely as the fault lies inside, so only the rest of those minutes is spent for the question's sake.
 *
 * For instance costNow({ minutes: 1, depth: 'lidOff' }, 'lidOn', 0.9): 3
 */
export const costNow = (test: Pick<BenchTest, 'minutes' | 'depth'>, opened: Depth, inside: number): number =>
  HANDLING_MINUTES + test.minutes + (1 - inside) * (minutesNow(test, opened) - test.minutes);

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
 * Every test not yet answered, the one that says most per minute first: of asking, of doing, and of opening as far as it
 * would not be opened anyway. Risk and what cannot be undone weigh against a test. What watches
 * the very thing that fails comes first; those passed over come last.
 *
 * For instance suggest(machine, belief, given)[0]?.testId: 'sound'
 */
export function suggest(machine: Machine, belief: Float64Array, given: Case, policy: Policy = 'minute'): Suggestion[] {
  const since = given.cured.length;
  const now = given.observations.filter(({ cured }) => cured === since);
  const answered = new Set(now.filter(({ outcome }) => outcome !== 'notTried').map(({ testId }) => testId));
  const passed = new Set(now.filter(({ outcome }) => outcome === 'notTried').map(({ testId }) => testId));
  const turnOf = (testId: string): number =>
    passed.has(testId) ? 3 : given.later?.includes(testId) ? 2 : given.sooner?.includes(testId) ? 0 : 1;
  const expected = expectedBits(machine, belief);
  const inside = insideChance(machine, belief);
  return machine.tests
    .map((test, t) => {
      const bits = expected[t] ?? 0;
      const minutes = minutesNow(test, given.opened);
      const weight = (1 + RISK_WEIGHT * test.risk) * (test.reversible ? 1 : IRREVERSIBLE_WEIGHT);
      const cost = costNow(test, given.opened, inside);
      return { testId: test.id, bits, minutes, worth: policy === 'test' ? bits : bits / (cost * weight) };
    })
    .filter(({ testId }) => !answered.has(testId) && !given.impossible?.includes(testId))
    .sort((a, b) => turnOf(a.testId) - turnOf(b.testId) || b.worth - a.worth);
}
