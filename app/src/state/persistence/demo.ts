import type { TicketRecord } from '@loose-pulley/core/ticket';
import type { BookRecord } from '@loose-pulley/core/book';
import { settingsTable, ticketTable, summaryTable } from './storage';
import { commit } from './commit';
import { BOOK_KEY, BOOK_REVISION } from './bookKeys';

const PLANTED = 'demoPlanted';

/** The demo's bench book, over whatever lies there. */
async function plantBook(book: BookRecord): Promise<void> {
  const revision = (await settingsTable.getItem<number>(BOOK_REVISION)) ?? 0;
  await settingsTable.setItem(BOOK_KEY, book);
  await settingsTable.setItem(BOOK_REVISION, revision + 1);
}

/** Puts the demo's tickets into the demo's own store: at the first visit, or afresh. @returns whether it did */
export async function plantDemo(afresh = false): Promise<boolean> {
  if (!afresh && (await settingsTable.getItem(PLANTED))) return false;
  const response = await fetch('/demo/wrackline.json');
  if (!response.ok) throw new Error('The demo data could not be fetched from this server.');
  const { tickets, book } = (await response.json()) as { tickets: TicketRecord[]; book: BookRecord };
  if (afresh) await Promise.all([ticketTable.clear(), summaryTable.clear()]);
  await commit(tickets.map((record) => ({ id: record.ticket.id, record, over: null })));
  await plantBook(book);
  await settingsTable.setItem(PLANTED, true);
  return true;
}
