import { counted, formatDay, listed } from '../../base/units';
import type { BookRecord } from './schema';

/**
 * What a book holds, in words: so that nobody puts one in the place of another without knowing what goes.
 *
 * @example sayBook(emptyBook()) // 'nothing yet'
 */
export function sayBook({ book, events }: BookRecord): string {
  const first = events[0];
  if (!first) return 'nothing yet';
  const pieces = book.items.reduce((sum, { quantity }) => sum + quantity, 0);
  const open = book.hours.filter((shifts) => shifts.length > 0).length;
  return listed([
    `${counted(book.items.length, 'size')} (${counted(pieces, 'piece')})`,
    ...(book.kits.length > 0 ? [counted(book.kits.length, 'kit')] : []),
    counted(book.orders.length, 'order'),
    ...(open > 0 ? [`${counted(open, 'day')} of opening hours`] : []),
    ...(book.pins.length > 0 ? [`${counted(book.pins.length, 'step')} set to a time`] : []),
    `${counted(events.length, 'entry', 'entries')} of history since ${formatDay(first.at.slice(0, 10))}`,
  ]);
}
