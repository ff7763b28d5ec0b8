import type { Ticket } from '../../record/ticket';
import type { Item, DrawerState, Take } from './schema';

/*
 * The drawer and the tickets. A belt moves when somebody at this bench fits one, judges one or takes that back; never
 * because a ticket was opened, came in from a file or went. Where the two do not agree after that, it is asked.
 */

/** What a ticket has to show of its belts. */
type Tried = Pick<Ticket, 'id' | 'drives'>;

/**
 * Belts of a drawer that a ticket has out, by the try: on trial or judged right.
 *
 * For instance heldTries(ticket): Map { 'try1' => 'item1' }
 */
export const heldTries = ({ drives }: Pick<Tried, 'drives'>): ReadonlyMap<string, string> =>
  new Map(
    drives.flatMap(({ tries }) =>
      tries.flatMap(({ id, itemId, verdict }) =>
        itemId !== undefined && (verdict === 'untried' || verdict === 'right') ? [[id, itemId] as const] : [],
      ),
    ),
  );

/** A belt that moves, as the bench book hears of it. */
export type Move =
  { readonly type: 'taken'; readonly take: Take } | { readonly type: 'putBack'; readonly tryId: string };

/**
 * What a change of a ticket moves: out for what it holds since, back for what it holds no more. What it held before and
 * holds still moves nothing, whatever the drawer says of it. A size that is not of this drawer moves nothing here.
 */
export function movedBy(before: Tried, after: Tried, { items, takes }: DrawerState): readonly Move[] {
  const [held, holds] = [heldTries(before), heldTries(after)];
  return [
    ...[...held.keys()]
      .filter((tryId) => !holds.has(tryId) && takes.some((one) => one.tryId === tryId && one.ticketId === after.id))
      .map((tryId): Move => ({ type: 'putBack', tryId })),
    ...[...holds]
      .filter(([tryId, itemId]) => !held.has(tryId) && items.some(({ id }) => id === itemId))
      .map(([tryId, itemId]): Move => ({ type: 'taken', take: { tryId, itemId, ticketId: after.id } })),
  ];
}

/** A belt on which ticket and drawer do not agree. */
export interface Unagreed {
  /** The ticket holds one that the drawer never counted out; or the drawer has one out that the ticket holds no more. */
  readonly how: 'notCounted' | 'notHeld';
  readonly take: Take;
  readonly item: Item;
}

/** Where a ticket and the drawer do not agree: each is asked once, and the answer is kept in the book. */
export function unagreed(ticket: Tried, { items, takes }: DrawerState): readonly Unagreed[] {
  const holds = heldTries(ticket);
  const out = takes.filter(({ ticketId, uncounted }) => ticketId === ticket.id && !uncounted);
  const here = (take: Take, how: Unagreed['how']): readonly Unagreed[] =>
    items.filter(({ id }) => id === take.itemId).map((item) => ({ how, take, item }));
  return [
    ...[...holds]
      .filter(([tryId]) => !takes.some((one) => one.tryId === tryId))
      .flatMap(([tryId, itemId]) => here({ tryId, itemId, ticketId: ticket.id }, 'notCounted')),
    ...out.filter(({ tryId }) => !holds.has(tryId)).flatMap((take) => here(take, 'notHeld')),
  ];
}

/** Who has one of a size out: the tickets, by their takes. */
export const outOf = ({ takes }: DrawerState, itemId: string): readonly Take[] =>
  takes.filter((one) => one.itemId === itemId && !one.uncounted);
