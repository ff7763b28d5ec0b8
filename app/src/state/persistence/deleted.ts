import type { TicketRecord } from '@loose-pulley/core/record/ticket';
import { commit } from './commit';
import { journalTable, ticketTable } from './storage';
import { loadTicket } from './tickets';

/** A deleted ticket, which can be put back until it is deleted for good. */
export interface Deleted {
  readonly record: TicketRecord;
  /** ISO 8601. */
  readonly at: string;
}

const key = (id: string): string => `deleted/${id}`;

/** Takes a ticket off the bench. It is laid aside first, so that a tab that dies in between loses nothing. */
export async function deleteTicket(id: string, at: string): Promise<void> {
  const read = await loadTicket(id);
  if (!read) return;
  await journalTable.setItem(key(id), { record: read.record, at } satisfies Deleted);
  await commit([{ id, record: null, over: read.revision }]);
}

/** Puts a deleted ticket back on the bench. */
export async function putBack(id: string): Promise<void> {
  const deleted = await journalTable.getItem<Deleted>(key(id));
  if (!deleted) return;
  await commit([{ id, record: deleted.record, over: null }]);
  await journalTable.removeItem(key(id));
}

/** Deletes a ticket for good; its pictures go at the next sweep. */
export const deleteForGood = (id: string): Promise<void> => journalTable.removeItem(key(id));

/** What can be put back, the latest first. */
export async function loadDeleted(): Promise<readonly Deleted[]> {
  const found: Deleted[] = [];
  const here = new Set(await ticketTable.keys());
  await journalTable.iterate<Deleted, void>((one, name) => {
    // One that is still on the bench was about to be deleted when its tab died.
    if (name.startsWith(key('')) && !here.has(one.record.ticket.id)) found.push(one);
  });
  return found.sort((a, b) => b.at.localeCompare(a.at));
}
