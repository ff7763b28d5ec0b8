import { useEffect, useMemo, useState } from 'react';
import {
  believe,
  causeChances,
  fitOf,
  KNOWLEDGE,
  machineOf,
  rankCauses,
  nextStep,
  seenCause,
  suggest,
  type Case,
  type Fit,
  type Knowledge,
  type Machine,
  type NextStep,
  type Policy,
  type RankedCause,
  type Suggestion,
} from '@loose-pulley/core/work/diagnosis';
import { answersOf, caseOf, offeredAnswers, type Answer, type OfferedAnswer } from '@loose-pulley/core/views/evidence';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { useAppSelector } from '../../state/store/hooks';
import { loadOwnKnowledge } from '../../state/persistence/knowledge';

/** Everything that the adviser has to say of a ticket. Derived, never kept. */
export interface Advice {
  readonly knowledge: Knowledge;
  readonly machine: Machine;
  readonly given: Case;
  readonly answers: readonly Answer[];
  readonly belief: Float64Array;
  readonly ranked: readonly RankedCause[];
  /** How likely nothing more is wrong, which is an answer only after a cure. */
  readonly soundChance: number;
  /** By cause, how likely it was before any answer, after the first, and so on. */
  readonly trail: Readonly<Record<string, readonly number[]>>;
  readonly suggestions: readonly Suggestion[];
  /** To ask, to open it, or to go and see to it. */
  readonly next: NextStep;
  /** What the complaints seem to answer, to be confirmed. */
  readonly offers: readonly OfferedAnswer[];
  readonly fit: Fit;
}

/** The bench's knowledge: its own where it keeps one. Undefined while that is being read. */
export function useKnowledge(): Knowledge | undefined {
  const [knowledge, setKnowledge] = useState<Knowledge>();
  useEffect(() => {
    void loadOwnKnowledge().then((own) => setKnowledge(own ?? KNOWLEDGE));
  }, []);
  return knowledge;
}

function adviceOn(ticket: Ticket, knowledge: Knowledge, machine: Machine, policy: Policy): Advice {
  const given = caseOf(ticket, knowledge);
  const belief = believe(machine, given);
  const suggestions = suggest(machine, belief, given, policy);
  const gone = new Set([...given.cured, ...given.ruledOut]);
  const answers = answersOf(ticket);
  // Something loose that was found is a clue, and no fault that was seen.
  const seen = answers
    .filter(({ cured, from }) => cured === given.cured.length && !from?.startsWith('found at Strip'))
    .flatMap(({ testId, outcome }) => seenCause(machine, testId, outcome) ?? [])
    .filter((id) => !gone.has(id));
  const found = ticket.verdicts.filter(({ state }) => state === 'found').map(({ causeId }) => causeId);
  const steps = Array.from({ length: given.observations.length + 1 }, (_, n) =>
    causeChances(machine, believe(machine, { ...given, observations: given.observations.slice(0, n) })),
  );
  return {
    knowledge,
    machine,
    given,
    answers,
    belief,
    ranked: rankCauses(machine, belief),
    soundChance: belief[0] ?? 0,
    trail: Object.fromEntries(machine.causes.map(({ id }, index) => [id, steps.map((step) => step[index] ?? 0)])),
    suggestions,
    next: nextStep(machine, belief, given.opened, suggestions, [...found, ...seen]),
    offers: offeredAnswers(ticket, knowledge),
    fit: fitOf(machine, given, belief),
  };
}

/** The adviser's view of the open ticket; undefined while the knowledge is being read. */
export function useAdviser(ticket: Ticket): Advice | undefined {
  const knowledge = useKnowledge();
  const machine = useMemo(() => knowledge && machineOf(knowledge, ticket.loader), [knowledge, ticket.loader]);
  const policy = useAppSelector(({ settings }) => settings.askBy);
  return useMemo(
    () => (knowledge && machine ? adviceOn(ticket, knowledge, machine, policy) : undefined),
    [ticket, knowledge, machine, policy],
  );
}
