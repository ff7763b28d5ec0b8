import { wantState, type Order } from '../orders';
import type { TicketSummary } from '../../record/ticket';

/** What a ticket waits for of its parts: none, something not ordered yet, parcels on their way, or a word without an order. */
export function partsOf({ id, wants, waiting }: TicketSummary, orders: readonly Order[]) {
  const states = wants.map((want) => ({ want, state: wantState(orders, id, want.id) }));
  const missing = states.filter(({ state }) => state.at !== 'arrived');
  const ordered = missing.flatMap(({ want, state }) => (state.at === 'ordered' ? [{ want, order: state.order }] : []));
  const allHere = wants.length > 0 && missing.length === 0;
  return {
    ordered,
    unordered: missing.filter(({ state }) => state.at !== 'ordered').map(({ want }) => want),
    said: wants.length === 0 && waiting.for === 'parts' ? waiting.what || 'parts' : '',
    allHere,
  };
}

/**
 * What a ticket waits for now, by its own word, its clocks and the orders: a part that has arrived is waited for no more.
 *
 * @example waitingOf(summary, [], now) // 'clock'
 */
export function waitingOf(summary: TicketSummary, orders: readonly Order[]): 'nothing' | 'clock' | 'parts' | 'owner' {
  if (summary.timers.length > 0) return 'clock';
  const { ordered, unordered, allHere } = partsOf(summary, orders);
  if (ordered.length + unordered.length > 0) return 'parts';
  if (allHere && summary.waiting.for === 'parts') return 'nothing';
  return summary.waiting.for;
}
