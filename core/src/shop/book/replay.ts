import { dayReducers } from '../day';
import { drawerReducers } from '../drawer';
import { orderReducers } from '../orders';
import { firstValue } from '../../base/schema';
import type { Reducers } from '../../record/stations';
import { ok, type Result } from '../../base/units';
import { bookShape, type Book, type BookChange, type BookEvent } from './schema';
import type { dayEvents } from '../day';
import type { drawerEvents } from '../drawer';
import type { orderEvents } from '../orders';

export type Events = typeof drawerEvents & typeof orderEvents & typeof dayEvents;
/** What each event makes of the book. An event without its case does not compile. */
const REDUCERS: Reducers<Book, Events> = { ...drawerReducers, ...orderReducers, ...dayReducers };
type AnyReducer = (book: Book, event: BookChange) => Result<Partial<Book>>;

/** What one event makes of a book. @returns a sentence where it cannot follow */
export function applied(book: Book, event: BookEvent): Result<Book> {
  if (event.type === 'undone' || event.type === 'redone') return ok(book);
  const after = (REDUCERS[event.type] as AnyReducer)(book, event);
  return after.ok ? ok({ ...book, ...after.value }) : after;
}

/** Ids of the events that stand undone. */
export function undoneIds(events: readonly BookEvent[]): ReadonlySet<string> {
  const undone = new Set<string>();
  for (const event of events) {
    if (event.type === 'undone') undone.add(event.eventId);
    if (event.type === 'redone') undone.delete(event.eventId);
  }
  return undone;
}

/** A book part of the way: what so many events have made of it, the last of them, and which of them stood undone. */
interface Mark {
  readonly at: number;
  readonly last: BookEvent;
  readonly undoneAt: readonly number[];
  readonly book: Book;
}
/** So many events lie between two marks: undo replays no more than that. */
const STRIDE = 400;
/** Marks of a history, by its first event; a cache, and nothing hangs on it. */
const marks = new WeakMap<BookEvent, Map<number, Mark>>();

const sameList = (a: readonly number[], b: readonly number[]): boolean =>
  a.length === b.length && a.every((one, index) => one === b[index]);

/**
 * The book that a list of events gives, those that stand undone left out. Of a history that was followed before, only what
 * is new is followed.
 *
 * @param most how many of the events; all of them where it is not said
 * @returns the book, or a sentence that says what cannot be followed
 */
export function replayBook(events: readonly BookEvent[], most = events.length): Result<Book> {
  const undone = undoneIds(events);
  const [first] = events;
  if (!first) return ok(firstValue(bookShape));
  const known = marks.get(first) ?? new Map<number, Mark>();
  marks.set(first, known);
  const undoneAt: number[] = [];
  if (undone.size > 0)
    for (let at = 0; at < most; at++) if (undone.has((events[at] as BookEvent).id)) undoneAt.push(at);
  const upTo = (at: number): readonly number[] => undoneAt.filter((one) => one < at);
  let from = 0;
  let book: Book = firstValue(bookShape);
  for (let at = most - (most % STRIDE); at > 0; at -= STRIDE) {
    const mark = known.get(at);
    if (!mark || mark.last !== events[at - 1] || !sameList(mark.undoneAt, upTo(at))) continue;
    from = at;
    book = mark.book;
    break;
  }
  for (let at = from; at < most; at++) {
    const event = events[at] as BookEvent;
    if (!undone.has(event.id)) {
      const next = applied(book, event);
      if (!next.ok) return next;
      book = next.value;
    }
    if ((at + 1) % STRIDE === 0) known.set(at + 1, { at: at + 1, last: event, undoneAt: upTo(at + 1), book });
  }
  return ok(book);
}
