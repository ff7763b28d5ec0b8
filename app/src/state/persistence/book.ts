import type { BookBody, BookRecord } from '@loose-pulley/core/shop/book';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { bookChanged } from '../store/book';
import { saidAloud } from '../store/openTicket';
import type { AppDispatch, Thunk } from '../store/types';
import type { BookKeeper } from './bookKeeper';
import { tellTabs } from './tabs';

/* What the pages ask of the bench book. Its own code is fetched when it is first asked for. */

/** Whether an address belongs to the bench book: undo and the foot speak of that there. */
export const ofBook = (pathname: string): boolean => /^\/(drawer|orders|day)(\/|$)/.test(pathname);

const keepers = new WeakMap<AppDispatch, Promise<BookKeeper>>();
const keeperOf = (dispatch: AppDispatch): Promise<BookKeeper> => {
  const known = keepers.get(dispatch);
  if (known) return known;
  const made = import('./bookKeeper').then(
    (module) =>
      new module.BookKeeper(
        (news) => dispatch(bookChanged(news)),
        () => tellTabs({ type: 'book' }),
      ),
  );
  keepers.set(dispatch, made);
  return made;
};

/** Reads the book, at the start and when another tab has written it. */
export const loadBook = (): Thunk<Promise<void>> => async (dispatch) => (await keeperOf(dispatch)).load();

/**
 * Makes something happen to the drawer, the orders or the day: all of it or nothing, upon what any tab has said.
 *
 * @returns whether it happened; why not is said at the foot
 */
export const changeBook =
  (bodies: readonly BookBody[], gesture?: string): Thunk<Promise<boolean>> =>
  async (dispatch) => {
    const refused = await (await keeperOf(dispatch)).record(bodies, gesture);
    if (refused) {
      dispatch(bookChanged({ said: refused }));
      dispatch(saidAloud({ text: refused, to: null }));
    }
    return refused === '';
  };

const step =
  (way: 'undone' | 'redone'): Thunk<Promise<void>> =>
  async (dispatch) => {
    const said = await (await keeperOf(dispatch)).step(way);
    dispatch(bookChanged({ said }));
    dispatch(saidAloud({ text: said, to: null }));
  };
export const undoBook = (): Thunk<Promise<void>> => step('undone');
export const redoBook = (): Thunk<Promise<void>> => step('redone');

/** Puts another bench's book in the place of this one: all of it, or nothing. @returns what came of it, in words */
export const importBook =
  (record: BookRecord): Thunk<Promise<string>> =>
  async (dispatch) =>
    (await keeperOf(dispatch)).replace(record);

/** Belts of the drawer that a ticket has out, by the try: on trial or judged right. */
export const heldTries = ({ drives }: Pick<Ticket, 'drives'>): ReadonlyMap<string, string> =>
  new Map(
    drives.flatMap(({ tries }) =>
      tries.flatMap(({ id, itemId, verdict }) =>
        itemId !== undefined && (verdict === 'untried' || verdict === 'right') ? [[id, itemId] as const] : [],
      ),
    ),
  );

/** What the drawer has to hear so that it agrees with a ticket: taken for its tries, put back of those that failed. */
export function drawerAfter(ticket: Ticket, { book }: BookRecord): readonly BookBody[] {
  const held = heldTries(ticket);
  const out = book.takes.filter(({ ticketId }) => ticketId === ticket.id);
  return [
    ...out.filter(({ tryId }) => !held.has(tryId)).map(({ tryId }): BookBody => ({ type: 'putBack', tryId })),
    ...[...held]
      .filter(
        ([tryId, itemId]) => !out.some((one) => one.tryId === tryId) && book.items.some(({ id }) => id === itemId),
      )
      .map(([tryId, itemId]): BookBody => ({ type: 'taken', take: { tryId, itemId, ticketId: ticket.id } })),
  ];
}

/** Brings the drawer to agree with a ticket: a fact is said once, on the ticket, and the drawer follows it. */
export const followTicket =
  (ticket: Ticket): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    // A ticket that never had anything of the drawer needs no drawer to be read.
    if (
      !ticket.drives.some(({ tries }) => tries.some(({ itemId }) => itemId !== undefined)) &&
      getState().book.record === null
    )
      return;
    if (getState().book.record === null) await dispatch(loadBook());
    const { record } = getState().book;
    if (!record) return;
    for (const body of drawerAfter(ticket, record)) await dispatch(changeBook([body]));
  };
