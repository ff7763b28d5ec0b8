import type { TicketRecord } from '@loose-pulley/core/ticket';
import { settingsTable, ticketTable, summaryTable } from './storage';
import { commit } from './commit';

const PLANTED = 'demoPlanted';

/** Puts the demo's tickets into the demo's own store: at the first visit, or afresh. @returns whether it did */
export async function plantDemo(afresh = false): Promise<boolean> {
  if (!afresh && (await settingsTable.getItem(PLANTED))) return false;
  const response = await fetch('/demo/wrackline.json');
  if (!response.ok) throw new Error('The demo data could not be fetched from this server.');
  const { tickets } = (await response.json()) as { tickets: TicketRecord[] };
  if (afresh) await Promise.all([ticketTable.clear(), summaryTable.clear()]);
  await commit(tickets.map((record) => ({ id: record.ticket.id, record, over: null })));
  await settingsTable.setItem(PLANTED, true);
  return true;
}
