import { causeChances, spoken } from './belief';
import { outcomeChances } from './likelihood';
import type { Machine } from './machine';
import type { Case, Observation } from './types';

/** What one observation says of one cause: how many times likelier it is with the cause than without. */
export interface Evidence {
  readonly observation: Observation;
  /** Above 1 speaks for the cause, below against it. */
  readonly factor: number;
}

/**
 * What each observation says of a cause, beside everything else that it could be: the ratio of the observation's
 * chance with the cause to its chance without, other causes weighed by their shares.
 *
 * @returns strongest first, either way
 * For instance evidenceOn(machine, given, 'beltSlack')[0]: { observation: { testId: 'sound', outcome: 'runsFree' }, factor: 4.9 }
 */
export function evidenceOn(machine: Machine, given: Case, causeId: string): Evidence[] {
  const own = machine.causes.findIndex(({ id }) => id === causeId);
  if (own < 0) return [];
  return spoken(machine, given.observations)
    .flatMap((observation): Evidence[] => {
      const t = machine.tests.findIndex(({ id }) => id === observation.testId);
      const test = machine.tests[t];
      const o = test?.outcomes.findIndex(({ id }) => id === observation.outcome) ?? -1;
      if (!test || o < 0) return [];
      const stillIn = given.cured.slice(observation.cured);
      const chance = (ids: readonly string[]): number => outcomeChances(test, ids)[o] ?? 0;
      const withIt = chance([causeId, ...stillIn]);
      let without = 0;
      let weight = 0;
      machine.causes.forEach(({ id }, index) => {
        if (index === own) return;
        const share = machine.shares[index] ?? 0;
        without += share * chance([id, ...stillIn]);
        weight += share;
      });
      return without > 0 && weight > 0 ? [{ observation, factor: withIt / (without / weight) }] : [];
    })
    .sort((a, b) => Math.abs(Math.log(b.factor)) - Math.abs(Math.log(a.factor)));
}

/** Which cause would lead after each outcome of a test. */
export interface WouldLead {
  readonly outcomeId: string;
  readonly chance: number;
  readonly causeId: string;
}

/**
 * What would change the order: for each outcome of a test, how likely it is now and which cause would then lead.
 *
 * For instance wouldLead(machine, belief, 'beltFeel').find(({ outcomeId }) => outcomeId === 'oily')?.causeId: 'beltOily'
 */
export function wouldLead(machine: Machine, belief: Float64Array, testId: string): WouldLead[] {
  const t = machine.tests.findIndex(({ id }) => id === testId);
  return (machine.tests[t]?.outcomes ?? []).map(({ id }, o) => {
    const row = machine.chances[t]?.[o];
    const joint = belief.map((chance, h) => chance * (row?.[h] ?? 0));
    const chance = joint.reduce((sum, one) => sum + one, 0);
    const after = causeChances(machine, joint);
    const best = after.reduce((top, one, index) => (one > (after[top] ?? 0) ? index : top), 0);
    return { outcomeId: id, chance, causeId: machine.causes[best]?.id ?? '' };
  });
}

/** Whether what was seen fits anything at all, and what to doubt where it does not. */
export interface Fit {
  readonly fits: boolean;
  /** Observations that the best explanation did not expect, least expected first. */
  readonly doubt: readonly Observation[];
}

/** How far, in standard deviations, the best explanation may be surprised; and in nats at the least. */
const MAX_SURPRISE = 3;
const MIN_NATS = 3;

/**
 * Whether the best explanation would itself have expected what was seen: the surprise of all observations, less what it
 * should be on average, against its spread.
 *
 * For instance fitOf(machine, given, believe(machine, given)).fits: true
 */
export function fitOf(machine: Machine, given: Case, belief: Float64Array): Fit {
  const best = belief.reduce((top, chance, h) => (chance > (belief[top] ?? 0) ? h : top), 0);
  const causes = (machine.hypotheses[best] ?? []).map((index) => machine.causes[index]?.id ?? '');
  let surprise = 0;
  let variance = 0;
  const each: Array<{ readonly observation: Observation; readonly excess: number }> = [];
  for (const observation of spoken(machine, given.observations)) {
    const test = machine.tests.find(({ id }) => id === observation.testId);
    const o = test?.outcomes.findIndex(({ id }) => id === observation.outcome) ?? -1;
    if (!test || o < 0) continue;
    const chances = outcomeChances(test, [...causes, ...given.cured.slice(observation.cured)]);
    const nats = chances.map((chance) => -Math.log(chance));
    const mean = chances.reduce((sum, chance, i) => sum + chance * (nats[i] ?? 0), 0);
    const excess = (nats[o] ?? 0) - mean;
    variance += chances.reduce((sum, chance, i) => sum + chance * ((nats[i] ?? 0) - mean) ** 2, 0);
    surprise += excess;
    each.push({ observation, excess });
  }
  const fits = surprise < Math.max(MIN_NATS, MAX_SURPRISE * Math.sqrt(variance));
  const doubt = each
    .filter(({ excess }) => excess > 1)
    .sort((a, b) => b.excess - a.excess)
    .map(({ observation }) => observation);
  return { fits, doubt: fits ? [] : doubt };
}
