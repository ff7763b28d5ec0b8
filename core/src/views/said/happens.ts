import { ok, refuse, type Result } from '../../base/units';
import { applyEvent, type EventBody, type Ticket } from '../../record/ticket';
import { cleanEventsOf, type CleanBy, type CleanOutcome } from '../clean';
import { stripEventsOf, type StripBy } from '../strip';
import { findingsTold, rowOf } from '../../record/findings';
import { openRemoval } from '../../work/strip';
import type { Deed } from '../../work/stripLine';
import type { SaidWay } from './types';

/** Events upon a ticket, and the ticket that they make. */
interface Told {
  readonly bodies: readonly EventBody[];
  readonly after: Ticket;
}

function told(ticket: Ticket, deeds: readonly Deed[], by: StripBy): Result<Told> {
  const bodies = stripEventsOf(ticket, deeds, by);
  if (!bodies.ok) return bodies;
  let after = ticket;
  for (const body of bodies.value) {
    const next = applyEvent(after, { ...body, id: by.newId(), at: by.at });
    if (!next.ok) return next;
    after = next.value;
  }
  return ok({ bodies: bodies.value, after });
}

/**
 * What deeds of Strip make happen, wherever their line was typed: what is said to be put back brings its own number back.
 *
 * @returns the events and the ticket after them, or a sentence
 */
export function stripSaid(ticket: Ticket, deeds: readonly Deed[], by: StripBy): Result<Told> {
  // “The same again” is of the last line, and that may have been one of Clean.
  const cleanedLast = (ticket.cleaning.treatments.at(-1)?.at ?? '') > (ticket.strip.steps.at(-1)?.at ?? '');
  if (cleanedLast && deeds.some(({ type }) => type === 'same'))
    return refuse('The last thing said was of cleaning. Say that whole for the other side; nothing was done.');
  const first = told(ticket, deeds, by);
  if (!first.ok) return first;
  const back = told(first.value.after, backAgain(first.value.after, deeds), { ...by, beforeId: undefined });
  return back.ok ? ok({ bodies: [...first.value.bodies, ...back.value.bodies], after: back.value.after }) : back;
}

/**
 * What a way of reading a line makes happen, all of it or nothing: steps first, then what was cleaned.
 *
 * For instance eventsSaid(ticket, { strip: [], clean: [] }, by).kind: 'bodies'
 */
export function eventsSaid(
  ticket: Ticket,
  { strip, clean }: Pick<SaidWay, 'strip' | 'clean'>,
  by: CleanBy & StripBy,
): CleanOutcome {
  const first = stripSaid(ticket, strip, by);
  if (!first.ok) return { kind: 'refused', problem: first.problem };
  const then = cleanEventsOf(first.value.after, clean, by);
  return then.kind === 'bodies' ? { ...then, bodies: [...first.value.bodies, ...then.bodies] } : then;
}

/** What is said to be put back, where it came off under a number of its own: that number is back. */
const backAgain = ({ strip: { steps } }: Ticket, said: readonly Deed[]): readonly Deed[] =>
  said.flatMap((deed): Deed[] => {
    if (deed.type !== 'step' || deed.step.fate !== 'noted') return [];
    const { line } = deed.step;
    if (!findingsTold(line).some(({ kind }) => rowOf(kind).nature === 'deed')) return [];
    const off = steps.findLast((step) => openRemoval(step) && line.toLowerCase().includes(step.what.toLowerCase()));
    return off ? [{ type: 'back', number: off.number }] : [];
  });
