import { dayEvents, dayState } from '../day';
import { drawerEvents, drawerState } from '../drawer';
import { orderEvents, ordersState } from '../orders';
import { fits, id, number, one, optional, shape, text, time, type AnyField, type ValueOf } from '../../base/schema';
import type { BodyOf, Stamp } from '../../record/stations';

/* The bench book: what a bench keeps beside its tickets. One document of events, by the same law as a ticket. */

export const BOOK_FORMAT = 'loose-pulley/bench-book';
/**
 * 2: lists of orders are made by events at the size of a gesture. 3: a belt that is out may be gone, or never have been
 * counted; a file carries its checksum. The versions before are read as they are.
 */
export const BOOK_VERSION = 3;
const FIRST_VERSION = 1;
export const BOOK_EVENTS_MAX = 200_000;

export const bookShape = shape({ ...drawerState, ...ordersState, ...dayState });
/** The drawer, the orders and the day, as their events have made them. */
export interface Book extends ValueOf<typeof bookShape> {}

const moduleEvents = { ...drawerEvents, ...orderEvents, ...dayEvents };
export const bookEvents = { undone: { eventId: id() }, redone: { eventId: id() }, ...moduleEvents };
export type BookBody = BodyOf<typeof bookEvents>;
/** What happens to the drawer, the orders and the day: all but undo and redo. */
export type BookChange = BodyOf<typeof moduleEvents>;
export type BookEvent = BookBody & Stamp;

const stamp = { id: id(), at: time(), gesture: optional(text(64)), together: optional(id()) };
/** An event of one type, whole. */
export const bookEventShape = (type: BookBody['type']) => shape({ ...stamp, type: one([type]), ...bookEvents[type] });

const shapes = new Map<string, AnyField>();
/** Whether an event is one that the importer takes. */
export function bookEventFits(event: unknown): boolean {
  const { type } = (event ?? {}) as { readonly type?: BookBody['type'] };
  if (typeof type !== 'string' || !Object.hasOwn(bookEvents, type)) return false;
  const known = shapes.get(type) ?? bookEventShape(type);
  shapes.set(type, known);
  return fits(known, event);
}

/** What is kept: the events, and the book that they give. */
export interface BookRecord {
  readonly format: typeof BOOK_FORMAT;
  readonly version: number;
  readonly book: Book;
  readonly events: readonly BookEvent[];
}
export const bookHead = { format: one([BOOK_FORMAT]), version: number(FIRST_VERSION, BOOK_VERSION), book: bookShape };
