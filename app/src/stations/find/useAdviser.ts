import { useEffect, useMemo, useState } from 'react';
import {
  believe,
  causeChances,
  fitOf,
  KNOWLEDGE,
  machineOf,
  rankCauses,
  suggest,
  type Case,
  type Fit,
  type Knowledge,
  type Machine,
  type RankedCause,
  type Suggestion,
} from '@loose-pulley/core/diagnosis';
import { answersOf, caseOf, type Answer } from '@loose-pulley/core/ticketEvidence';
import type { Ticket } from '@loose-pulley/core/ticket';
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

function adviceOn(ticket: Ticket, knowledge: Knowledge, machine: Machine): Advice {
  const given = caseOf(ticket, knowledge);
  const belief = believe(machine, given);
  const steps = Array.from({ length: given.observations.length + 1 }, (_, n) =>
    causeChances(machine, believe(machine, { ...given, observations: given.observations.slice(0, n) })),
  );
  return {
    knowledge,
    machine,
    given,
    answers: answersOf(ticket),
    belief,
    ranked: rankCauses(machine, belief),
    soundChance: belief[0] ?? 0,
    trail: Object.fromEntries(machine.causes.map(({ id }, index) => [id, steps.map((step) => step[index] ?? 0)])),
    suggestions: suggest(machine, belief, given),
    fit: fitOf(machine, given, belief),
  };
}

/** The adviser's view of the open ticket; undefined while the knowledge is being read. */
export function useAdviser(ticket: Ticket): Advice | undefined {
  const knowledge = useKnowledge();
  const machine = useMemo(() => knowledge && machineOf(knowledge, ticket.loader), [knowledge, ticket.loader]);
  return useMemo(
    () => (knowledge && machine ? adviceOn(ticket, knowledge, machine) : undefined),
    [ticket, knowledge, machine],
  );
}
