import type { Order, OrderLine } from './schema';

/** How many of a line are still to come. */
export const outstanding = ({ quantity, arrived }: OrderLine): number => Math.max(0, quantity - arrived);

/** An order that is placed and not closed, with something still to come. */
export const isOut = ({ placedAt, closedAt, lines }: Order): boolean =>
  placedAt !== null && closedAt === null && lines.some((line) => outstanding(line) > 0);

/** How a want stands: wanted, on a list, ordered, or here. */
export type WantState =
  | { readonly at: 'wanted' }
  | { readonly at: 'listed' | 'ordered'; readonly order: Order; readonly line: OrderLine }
  | { readonly at: 'arrived'; readonly order: Order; readonly line: OrderLine };

/** How a ticket's want stands by the orders. The newest order that names it counts. */
export function wantState(orders: readonly Order[], ticketId: string, wantId: string): WantState {
  for (const order of [...orders].reverse()) {
    const line = order.lines.find(({ wants }) =>
      wants.some((one) => one.ticketId === ticketId && one.wantId === wantId),
    );
    if (!line) continue;
    if (line.arrived > 0) return { at: 'arrived', order, line };
    if (order.placedAt === null) return { at: 'listed', order, line };
    if (isOut(order)) return { at: 'ordered', order, line };
    // Closed, and nothing of it came: it is wanted again.
  }
  return { at: 'wanted' };
}
