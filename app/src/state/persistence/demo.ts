import type { TicketRecord } from '@loose-pulley/core/record/ticket';
import type { BookRecord } from '@loose-pulley/core/shop/book';
import { settingsTable, ticketTable, summaryTable } from './storage';
import { commit } from './commit';
import { BOOK_KEY, BOOK_REVISION } from './bookKeys';

const PLANTED = 'demoPlanted';

/** Days told about the anchor of the demo become days about today. */
export function aboutToday(text: string, today: Date): string {
  const anchor = Date.UTC(2099, 5, 15);
  const midnight = Date.UTC(today.getFullYear(), today.getMonth(), today.getDate());
  return text.replace(/"2099-(\d\d)-(\d\d)/g, (_, month: string, day: string) => {
    const at = Date.UTC(2099, Number(month) - 1, Number(day)) - anchor + midnight;
    return `"${new Date(at).toISOString().slice(0, 10)}`;
  });
}

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
  const { tickets, book } = JSON.parse(aboutToday(await response.text(), new Date())) as {
    tickets: TicketRecord[];
    book: BookRecord;
  };
  if (afresh) await Promise.all([ticketTable.clear(), summaryTable.clear()]);
  await commit(tickets.map((record) => ({ id: record.ticket.id, record, over: null })));
  await plantBook(book);
  await settingsTable.setItem(PLANTED, true);
  return true;
}
