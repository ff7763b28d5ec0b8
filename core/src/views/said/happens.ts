import { applyEvent, type Ticket } from '../../record/ticket';
import { cleanEventsOf, type CleanBy, type CleanOutcome } from '../clean';
import { stripEventsOf } from '../strip';
import { findingsTold, rowOf } from '../../record/findings';
import { openRemoval } from '../../work/strip';
import type { Deed } from '../../work/stripLine';
import type { SaidWay } from './types';

/**
 * What a way of reading a line makes happen, all of it or nothing: steps first, then what was cleaned.
 *
 * For instance eventsSaid(ticket, { strip: [], clean: [] }, by).kind: 'bodies'
 */
export function eventsSaid(
  ticket: Ticket,
  { strip, clean }: Pick<SaidWay, 'strip' | 'clean'>,
  by: CleanBy & { readonly pictureIds?: readonly string[]; readonly beforeId?: string | undefined },
): CleanOutcome {
  const first = stripEventsOf(ticket, strip, by);
  if (!first.ok) return { kind: 'refused', problem: first.problem };
  let now = ticket;
  for (const body of first.value) {
    const next = applyEvent(now, { ...body, id: by.newId(), at: by.at });
    if (!next.ok) return { kind: 'refused', problem: next.problem };
    now = next.value;
  }
  const back = stripEventsOf(now, backAgain(now, strip), { ...by, beforeId: undefined });
  if (!back.ok) return { kind: 'refused', problem: back.problem };
  for (const body of back.value) {
    const next = applyEvent(now, { ...body, id: by.newId(), at: by.at });
    if (!next.ok) return { kind: 'refused', problem: next.problem };
    now = next.value;
  }
  const then = cleanEventsOf(now, clean, by);
  return then.kind === 'bodies' ? { ...then, bodies: [...first.value, ...back.value, ...then.bodies] } : then;
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
