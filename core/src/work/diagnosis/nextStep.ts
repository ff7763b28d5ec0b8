import { THRESHOLDS } from '../../base/thresholds';
import { causeChances, rankCauses } from './belief';
import type { Machine } from './machine';
import { costNow, insideChance, OUTSIDE, type Suggestion } from './nextTest';
import { DEPTHS, type Depth, type Lead } from './schema';

/** What to do next. */
export type NextStep =
  /** Prove it: a cause was cured, and most likely nothing more is wrong. */
  | { readonly do: 'prove' }
  /** Ask this: an answer of it would change what is done. */
  | { readonly do: 'ask'; readonly testId: string }
  /** Open it: what lies inside says more than any question that is left. */
  | { readonly do: 'open'; readonly to: Depth; readonly because: string; readonly testId?: string }
  /** Go and see to it: no answer that is left would change that. */
  | { readonly do: 'go'; readonly causeId: string; readonly lead: Lead; readonly because: string };

/** What is done about a cause, as far as it can be told before it is open. */
const planOf = (lead: Lead, opened: Depth): string => (opened === 'lidOn' && !OUTSIDE.has(lead) ? 'open' : lead);

/**
 * What to do next: a question only where one of its answers would change what is done; “open it” once what is inside is
 * worth more than any question with the lid on, since the minutes of opening are spent anyway as likely as the fault
 * lies inside; and the station that helps, once no answer would send the hands elsewhere.
 *
 * @param suggestions as `suggest` ranks them
 * @param seen causes that were seen with the eye, and are neither cured nor ruled out
 * For instance nextStep(machine, belief, 'lidOn', suggestions).do: 'ask'
 */
export function nextStep(
  machine: Machine,
  belief: Float64Array,
  opened: Depth,
  suggestions: readonly Suggestion[],
  seen: readonly string[] = [],
): NextStep {
  const [first] = rankCauses(machine, belief);
  const leadOf = (causeId: string): Lead => machine.causes.find(({ id }) => id === causeId)?.leads ?? 'none';
  const lead = leadOf(first?.causeId ?? '');
  const [sight] = seen;
  if (sight !== undefined) return { do: 'go', causeId: sight, lead: leadOf(sight), because: 'it was seen' };
  // Only after a cure is “nothing more” among the answers.
  if ((belief[0] ?? 0) > Math.max(...causeChances(machine, belief))) return { do: 'prove' };
  const plan = planOf(lead, opened);
  const chances = causeChances(machine, belief);
  // A pair may hold one cause of each kind: what is inside is opened for either.
  const inside = insideChance(machine, belief);
  const changes = ({ testId }: Suggestion): boolean => {
    const t = machine.tests.findIndex(({ id }) => id === testId);
    return (machine.chances[t] ?? []).some((row) => {
      const joint = belief.map((chance, h) => chance * (row[h] ?? 0));
      const total = joint.reduce((sum, one) => sum + one, 0);
      if (total < THRESHOLDS.rareCause) return false;
      const after = causeChances(
        machine,
        joint.map((one) => one / total),
      );
      const best = after.reduce((top, one, index) => (one > (after[top] ?? 0) ? index : top), 0);
      const then = leadOf(machine.causes[best]?.id ?? '');
      return planOf(then, opened) !== plan || (opened !== 'lidOn' && then !== lead);
    });
  };
  const depthOf = (testId: string): Depth => machine.tests.find(({ id }) => id === testId)?.depth ?? 'lidOn';
  const reachable = suggestions.filter(({ testId }) => DEPTHS.indexOf(depthOf(testId)) <= DEPTHS.indexOf(opened));
  const deeper = suggestions.filter(({ testId }) => DEPTHS.indexOf(depthOf(testId)) > DEPTHS.indexOf(opened));
  const useful = reachable.find(changes);
  const sure = (first?.chance ?? 0) >= THRESHOLDS.sureCause;
  if (opened === 'lidOn') {
    const cost = ({ testId }: Suggestion): number => {
      const test = machine.tests.find(({ id }) => id === testId);
      return test ? costNow(test, opened, inside) : Infinity;
    };
    const best = (list: readonly Suggestion[]): Suggestion | undefined =>
      list.reduce<Suggestion | undefined>(
        (top, one) => (!top || one.bits / cost(one) > top.bits / cost(top) ? one : top),
        undefined,
      );
    const within = best(deeper);
    const asked = useful && best(reachable.filter(changes));
    if (plan === 'open' && !asked) {
      return {
        do: 'open',
        to: 'lidOff',
        because: 'no question that is left would change that',
        ...(within && { testId: within.testId }),
      };
    }
    if (plan === 'open' && asked && within && within.bits / cost(within) > (asked.bits / cost(asked)) * OPEN_MARGIN) {
      return { do: 'open', to: 'lidOff', because: 'what is inside says more than any question', testId: within.testId };
    }
  }
  if (useful && !(sure && chances.length > 0 && !useful)) return { do: 'ask', testId: useful.testId };
  const [next] = deeper.filter(changes);
  if (next && !sure)
    return {
      do: 'open',
      to: depthOf(next.testId),
      because: 'what lies deeper would still change it',
      testId: next.testId,
    };
  return {
    do: 'go',
    causeId: first?.causeId ?? '',
    lead,
    because: sure ? 'no answer that is left would change that' : 'no question that is left tells more',
  };
}

/** Opening cannot be taken back as a question can: it has to be worth this much more. */
const OPEN_MARGIN = 1.5;
