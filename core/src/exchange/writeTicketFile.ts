import type { TicketRecord } from '../ticket';

/** A ticket as a file: readable JSON. @example writeTicketFile(record).startsWith('{') // true */
export function writeTicketFile(record: TicketRecord): string {
  return `${JSON.stringify(record, null, 1)}\n`;
}
