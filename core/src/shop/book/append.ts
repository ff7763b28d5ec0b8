import { daySays } from '../day';
import { drawerSays, type Says } from '../drawer';
import { orderSays } from '../orders';
import { applied, replayBook, undoneIds, type Events } from './replay';
import { firstValue, overfull, type AnyField } from '../../base/schema';
import { ok, refuse, type Result } from '../../base/units';
import {
  BOOK_EVENTS_MAX,
  BOOK_FORMAT,
  BOOK_VERSION,
  bookEventFits,
  bookShape,
  type Book,
  type BookChange,
  type BookEvent,
  type BookRecord,
} from './schema';

const SAYS: Says<Book, Events> = { ...drawerSays, ...orderSays, ...daySays };

/** A book in which nothing has happened: an empty drawer, no orders, the usual hours. */
export const emptyBook = (): BookRecord => ({
  format: BOOK_FORMAT,
  version: BOOK_VERSION,
  book: firstValue(bookShape),
  events: [],
});

/** What an event makes of the book, where no list of it grows past its end. */
function grown(book: Book, event: BookEvent): Result<Book> {
  const after = applied(book, event);
  if (!after.ok) return after;
  for (const [key, field] of Object.entries(bookShape.fields as Readonly<Record<string, AnyField>>)) {
    const value = after.value[key as keyof Book];
    const most = value === book[key as keyof Book] ? undefined : overfull(field, value);
    if (most !== undefined) return refuse(`The bench book keeps at most ${most} of these. Nothing was changed.`);
  }
  return after;
}

/**
 * Appends an event. Refused in words where it cannot be followed; the book is then as it was.
 *
 * @example appendBook(emptyBook(), { type: 'itemsPut', items, id: 'b1', at }).value.book.items.length // 2
 */
export function appendBook(record: BookRecord, event: BookEvent): Result<BookRecord> {
  if (!bookEventFits(event))
    return refuse('That is more than the bench book can keep, out of its range, or has a character that no file can.');
  if (record.events.length >= BOOK_EVENTS_MAX)
    return refuse('The bench book is full: export it, and begin a new one from that file.');
  const last = record.events.at(-1);
  const goesOn = event.gesture !== undefined && last?.gesture === event.gesture && last.type === event.type;
  const events = [...(goesOn ? record.events.slice(0, -1) : record.events), event];
  if (event.type === 'undone' || event.type === 'redone') {
    const book = replayBook(events);
    return book.ok
      ? ok({ ...record, version: BOOK_VERSION, book: book.value, events })
      : refuse(`That cannot be taken back: something later hangs on it. ${book.problem}`);
  }
  const book = grown(record.book, event);
  // An older book that is written to is of this version.
  return book.ok ? ok({ ...record, version: BOOK_VERSION, book: book.value, events }) : book;
}

/** Several events in one breath: all of them or none. Refused by the first that cannot follow. */
export function appendAll(record: BookRecord, events: readonly BookEvent[]): Result<BookRecord> {
  let after = record;
  for (const event of events) {
    const next = appendBook(after, event);
    if (!next.ok) return next;
    after = next.value;
  }
  return ok(after);
}

/** Belts that go out and come back with a ticket follow it: undo of the drawer leaves them. What a hand said of one does not. */
const followsTicket = (event: BookEvent): boolean =>
  (event.type === 'taken' && !event.take.uncounted) || (event.type === 'putBack' && !event.gone);

/** The last event that undo takes back; belts taken for a ticket and put back follow the ticket, and are not among them. */
export function bookUndoTarget({ events }: BookRecord): BookEvent | undefined {
  const undone = undoneIds(events);
  return events.findLast(
    (event) => event.type !== 'undone' && event.type !== 'redone' && !followsTicket(event) && !undone.has(event.id),
  );
}

/** The last event that was undone, as long as nothing else was done since. */
export function bookRedoTarget({ events }: BookRecord): BookEvent | undefined {
  const undone = undoneIds(events);
  for (const event of [...events].reverse()) {
    if (event.type === 'undone' && undone.has(event.eventId)) return events.find(({ id }) => id === event.eventId);
    if (event.type !== 'undone' && event.type !== 'redone' && !followsTicket(event)) return undefined;
  }
  return undefined;
}

/** An event in a few words, for undo. @param book as it is now */
export const sayBookEvent = (event: BookEvent, book: Book): string =>
  event.type === 'undone' || event.type === 'redone'
    ? event.type
    : (SAYS[event.type] as (event: BookChange, book: Book) => string)(event, book);
