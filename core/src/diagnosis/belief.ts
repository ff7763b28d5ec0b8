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

/**
 * How likely each hypothesis is after all observations: Bayes' rule, observations independent given what is wrong.
 * What was seen before a cure is read as seen with the cured cause still in.
 *
 * @returns by hypothesis of the machine, adding up to 1
 * @example believe(machine, { …, observations: [] })[0] // 0: something is wrong
 */
export function believe(machine: Machine, given: Case): Float64Array {
  const belief = priorOf(machine, given);
  for (const { testId, outcome, cured } of spoken(machine, given.observations)) {
    const t = machine.tests.findIndex(({ id }) => id === testId);
    const test = machine.tests[t];
    const o = test?.outcomes.findIndex(({ id }) => id === outcome) ?? -1;
    const row = machine.chances[t]?.[o];
    if (!test || !row) continue;
    const stillIn = given.cured.slice(cured);
    for (let h = 0; h < belief.length; h++) {
      if (belief[h] === 0) continue;
      const chance =
        stillIn.length === 0
          ? row[h]
          : outcomeChances(test, [
              ...(machine.hypotheses[h] ?? []).map((index) => machine.causes[index]?.id ?? ''),
              ...stillIn,
            ])[o];
      belief[h] = (belief[h] ?? 0) * (chance ?? 0);
    }
  }
  const total = belief.reduce((sum, one) => sum + one, 0);
  return total > 0 ? belief.map((one) => one / total) : belief;
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

/** The causes, likeliest first. @example rankCauses(machine, belief)[0]?.causeId // 'beltSlack' */
export const rankCauses = (machine: Machine, belief: Float64Array): RankedCause[] =>
  causeChances(machine, belief)
    .map((chance, index) => ({ causeId: machine.causes[index]?.id ?? '', chance }))
    .sort((a, b) => b.chance - a.chance);
