import type { TicketRecord } from './schema';

/** A ticket as a file: readable JSON. @example writeTicketFile(record).startsWith('{') // true */
export function writeTicketFile(record: TicketRecord): string {
  return `${JSON.stringify(record, null, 1)}\n`;
}
