import { outcomeChances } from './likelihood';
import type { Machine } from './machine';
import { SILENT_OUTCOMES, type Case, type Observation } from './types';

const isSilent = (outcome: string): boolean => (SILENT_OUTCOMES as readonly string[]).includes(outcome);

/** The observations that say something: of tests and outcomes that this machine knows. */
export function spoken(machine: Machine, observations: readonly Observation[]): readonly Observation[] {
  return observations.filter(
    ({ testId, outcome }) =>
      !isSilent(outcome) &&
      machine.tests.some(({ id, outcomes }) => id === testId && outcomes.some((one) => one.id === outcome)),
  );
}

/**
 * What was believed before any test of what is still wrong, by hypothesis, not yet adding up to 1.
 *
 * One fault has its share; two have the product of theirs times the share of machines with two. After a cure what is
 * left is the same question without the cured one, and “nothing more” is an answer too.
 */
function priorOf(machine: Machine, given: Case): Float64Array {
  const gone = new Set([...given.cured, ...given.ruledOut]);
  const share = (index: number): number =>
    gone.has(machine.causes[index]?.id ?? '') ? 0 : (machine.shares[index] ?? 0);
  const { pairShare } = machine;
  const after = given.cured.length > 0;
  const mayBeSound = after && !given.stillFails;
  return Float64Array.from(machine.hypotheses, ([a, b]) => {
    if (a === undefined) return mayBeSound ? 1 - pairShare : 0;
    const one = share(a) * (after ? pairShare : 1 - pairShare);
    return b === undefined ? one : share(a) * share(b) * 2 * pairShare * (after ? pairShare : 1);
  });
}

const SHOWS = 0.8;
const HARDLY = 0.2;
/**
 * The cause that an answer is the sight of, where it is one: likely with it, and hardly ever seen with any other.
 *
 * For instance seenCause(machine, 'link', 'off'): 'rollerLink'
 */
export function seenCause(machine: Machine, testId: string, outcome: string): string | undefined {
  const test = machine.tests.find(({ id }) => id === testId);
  const o = test?.outcomes.findIndex(({ id }) => id === outcome) ?? -1;
  if (!test || o < 1) return undefined;
  const share = (id: string): number => (test.given[id]?.[o] ?? test.sound[o] ?? 0) / 100;
  const likely = machine.causes.filter(({ id }) => share(id) >= SHOWS);
  const [cause] = likely;
  return cause && machine.causes.every(({ id }) => id === cause.id || share(id) <= HARDLY) ? cause.id : undefined;
}

/** A way in which the table may be wrong: this share of its answers say nothing, and so likely that is. */
export interface Blur {
  readonly share: number;
  readonly noise: number;
}

/**
 * How wrong the table may be: it is judgement, and 18 machines in 100 are taken to be of a kind that it does not
 * describe, where four answers in five are as on any machine. The odds are integrated over both: answers that agree with
 * one another speak for the table, answers that do not against it. Chosen so that “certain” is right as often as it says,
 * within three points, on tables that are off by a quarter and on tables with one row in five wrong alike: how it does is
 * in `docs/ADVISER.md`.
 */
export const BLURS: readonly Blur[] = [
  { share: 0.82, noise: 0 },
  { share: 0.18, noise: 0.8 },
];
/** The table taken at its word. */
export const NO_BLUR: readonly Blur[] = [{ share: 1, noise: 0 }];

/** An answer as it bears on every hypothesis. */
export interface Bearing {
  readonly chances: ArrayLike<number>;
  readonly usual: number;
  /** The cause itself was seen: no table stands between it and the eye. */
  readonly seen: boolean;
}

/** How often an eye that saw the cause itself saw it wrong, beside what the table has of the answer. Judgement, no source. */
const MISTAKEN = 0.03;

/** Bayes' rule from a prior, integrated over how wrong the table may be. @returns by hypothesis, adding up to 1 */
export function weigh(prior: Float64Array, bearings: readonly Bearing[], blurs: readonly Blur[] = BLURS): Float64Array {
  const sum = new Float64Array(prior.length);
  for (const { share, noise } of blurs) {
    for (let h = 0; h < prior.length; h++) {
      let weight = share * (prior[h] ?? 0);
      if (weight === 0) continue;
      for (const { chances, usual, seen } of bearings)
        weight *= seen ? (chances[h] ?? 0) : (1 - noise) * (chances[h] ?? 0) + noise * usual;
      sum[h] = (sum[h] ?? 0) + weight;
    }
  }
  const total = sum.reduce((all, one) => all + one, 0);
  return total > 0 ? sum.map((one) => one / total) : sum;
}

/**
 * How likely each hypothesis is after all observations: Bayes' rule, observations independent given what is wrong and
 * how good the table is. What was seen before a cure is read as seen with the cured cause still in.
 *
 * @returns by hypothesis of the machine, adding up to 1
 * For instance believe(machine, { …, observations: [] })[0]: 0: something is wrong
 */
export function believe(machine: Machine, given: Case, blurs: readonly Blur[] = BLURS): Float64Array {
  const bearings = spoken(machine, given.observations).flatMap(({ testId, outcome, cured, seen: sight }): Bearing[] => {
    const t = machine.tests.findIndex(({ id }) => id === testId);
    const test = machine.tests[t];
    const o = test?.outcomes.findIndex(({ id }) => id === outcome) ?? -1;
    const row = machine.chances[t]?.[o];
    if (!test || !row) return [];
    const stillIn = given.cured.slice(cured);
    const usual = machine.usual[t]?.[o] ?? 0;
    const seen = seenCause(machine, testId, outcome) !== undefined;
    if (stillIn.length === 0 && sight !== undefined && !given.cured.includes(sight)) {
      const own = machine.causes.findIndex(({ id }) => id === sight);
      const chances = machine.hypotheses.map(
        (hypothesis, h) => (row[h] ?? 0) * (hypothesis.includes(own) ? 1 : MISTAKEN),
      );
      return [{ chances, usual, seen: own >= 0 }];
    }
    if (stillIn.length === 0) return [{ chances: row, usual, seen }];
    const chances = machine.hypotheses.map(
      (hypothesis) =>
        outcomeChances(test, [...hypothesis.map((index) => machine.causes[index]?.id ?? ''), ...stillIn])[o] ?? 0,
    );
    return [{ chances, usual, seen }];
  });
  return weigh(priorOf(machine, given), bearings, blurs);
}

/** How likely each cause is to be present, alone or with another. By cause of the machine. */
export function causeChances(machine: Machine, belief: Float64Array): number[] {
  const chances = machine.causes.map(() => 0);
  machine.hypotheses.forEach((hypothesis, h) => {
    for (const index of hypothesis) chances[index] = (chances[index] ?? 0) + (belief[h] ?? 0);
  });
  return chances;
}

/** A cause with how likely it is. */
export interface RankedCause {
  readonly causeId: string;
  readonly chance: number;
}

/** The causes, likeliest first. For instance rankCauses(machine, belief)[0]?.causeId: 'beltSlack' */
export const rankCauses = (machine: Machine, belief: Float64Array): RankedCause[] =>
  causeChances(machine, belief)
    .map((chance, index) => ({ causeId: machine.causes[index]?.id ?? '', chance }))
    .sort((a, b) => b.chance - a.chance);
