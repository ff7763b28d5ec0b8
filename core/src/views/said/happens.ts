import { applyEvent, type Ticket } from '../../record/ticket';
import { cleanEventsOf, type CleanBy, type CleanOutcome } from '../clean';
import { stripEventsOf } from '../strip';
import type { SaidWay } from './types';

/**
 * What a way of reading a line makes happen, all of it or nothing: steps first, then what was cleaned.
 *
 * @example eventsSaid(ticket, { echo: '', strip: [], clean: [] }, by).kind // 'bodies'
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
  const then = cleanEventsOf(now, clean, by);
  return then.kind === 'bodies' ? { ...then, bodies: [...first.value, ...then.bodies] } : then;
}
