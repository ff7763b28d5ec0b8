import type { BookBody, BookRecord } from '@loose-pulley/core/shop/book';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { bookChanged } from '../store/book';
import { saidAloud, undoAsked } from '../store/openTicket';
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

function refusedAloud(dispatch: AppDispatch, refused: string): void {
  if (refused === '') return;
  dispatch(bookChanged({ said: refused }));
  dispatch(saidAloud({ text: refused, to: null }));
}

/**
 * Makes something happen to the drawer, the orders or the day: all of it or nothing, upon what any tab has said.
 *
 * @returns whether it happened; why not is said at the foot
 */
export const changeBook =
  (bodies: readonly BookBody[], gesture?: string): Thunk<Promise<boolean>> =>
  async (dispatch) => {
    const refused = await (await keeperOf(dispatch)).record(bodies, gesture);
    refusedAloud(dispatch, refused);
    return refused === '';
  };

const step =
  (way: 'undone' | 'redone', meant = false): Thunk<Promise<void>> =>
  async (dispatch) => {
    const { said, asked } = await (await keeperOf(dispatch)).step(way, meant);
    dispatch(undoAsked(asked === undefined ? null : { of: 'book', way, what: asked }));
    dispatch(bookChanged({ said }));
    dispatch(saidAloud({ text: said, to: null }));
  };
export const undoBook = (meant = false): Thunk<Promise<void>> => step('undone', meant);
export const redoBook = (meant = false): Thunk<Promise<void>> => step('redone', meant);

/** Puts another bench's book in the place of this one: all of it, or nothing. @returns what came of it, in words */
export const importBook =
  (record: BookRecord): Thunk<Promise<string>> =>
  async (dispatch) =>
    (await keeperOf(dispatch)).replace(record);

/** Takes back the book that another took the place of; that other is kept instead. @returns what came of it, in words */
export const takeBookBack = (): Thunk<Promise<string>> => async (dispatch) => (await keeperOf(dispatch)).takeBack();

/** Whether a ticket has anything to do with the drawer. */
const drawsOn = ({ drives }: Ticket): boolean =>
  drives.some(({ tries }) => tries.some(({ itemId }) => itemId !== undefined));

/** The drawer hears of what a gesture moved: a fact is said once, on the ticket, and the drawer follows it. */
export const followTicket =
  (before: Ticket, after: Ticket): Thunk<Promise<void>> =>
  async (dispatch) => {
    if (!drawsOn(before) && !drawsOn(after)) return;
    refusedAloud(dispatch, await (await keeperOf(dispatch)).follow(before, after));
  };
