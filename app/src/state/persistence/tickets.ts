import {
  summarise,
  SUMMARY_VERSION,
  TICKET_VERSION,
  type TicketRecord,
  type TicketSummary,
} from '@loose-pulley/core/ticket';
import { journalTable, summaryTable, ticketTable } from './storage';

/*
 * The promise: a ticket is written whole or not at all, and its summary is never older than the ticket. The summary is
 * taken away before the ticket is written and put back after it; one that is missing at start is made anew.
 */

/** Writes one ticket. Rejects with what the browser threw. */
export async function saveTicket(record: TicketRecord): Promise<TicketSummary> {
  const { id } = record.ticket;
  await summaryTable.removeItem(id);
  await ticketTable.setItem(id, record);
  const summary = summarise(record);
  await summaryTable.setItem(id, summary);
  return summary;
}

/** A stored record in the current format: one that an older Loose Pulley wrote is brought up to it. */
async function current(stored: TicketRecord): Promise<TicketRecord> {
  if (stored.version === TICKET_VERSION) return stored;
  const { upcast } = await import('@loose-pulley/core/exchange');
  const record = upcast(stored);
  if (!record.ok) throw new Error(record.problem);
  return record.value as TicketRecord;
}

/** Reads one ticket; null where there is none. */
export async function loadTicket(id: string): Promise<TicketRecord | null> {
  const stored = await ticketTable.getItem<TicketRecord>(id);
  return stored && current(stored);
}

export async function removeTicket(id: string): Promise<void> {
  await summaryTable.removeItem(id);
  await ticketTable.removeItem(id);
}

/** Every ticket whole, for the archive. */
export async function loadAllTickets(): Promise<TicketRecord[]> {
  const records: TicketRecord[] = [];
  await ticketTable.iterate<TicketRecord, void>((record) => {
    records.push(record);
  });
  return Promise.all(records.map(current));
}

/** What the Bench and the Log show, rebuilding the summaries that a dying tab left out. */
export async function loadSummaries(): Promise<TicketSummary[]> {
  const summaries = new Map<string, TicketSummary>();
  const [ids] = await Promise.all([
    ticketTable.keys(),
    summaryTable.iterate<TicketSummary, void>((summary, id) => {
      // One that an older Loose Pulley made says less: it is made anew.
      if (summary.version === SUMMARY_VERSION) summaries.set(id, summary);
    }),
  ]);
  for (const id of ids) {
    if (summaries.has(id)) continue;
    const record = await loadTicket(id);
    if (!record) continue;
    const summary = summarise(record);
    summaries.set(id, summary);
    // A cache that cannot be written is no harm: it is made anew next time.
    await summaryTable.setItem(id, summary).catch(() => undefined);
  }
  const known = new Set(ids);
  return [...summaries.values()].filter(({ id }) => known.has(id));
}

const IMPORT = 'import';

/**
 * Writes several tickets, all or nothing. They are written down whole in the journal first: where the tab dies in
 * between, `finishImport` goes on at the next start; where the store refuses, what was there before is put back.
 */
export async function saveAll(records: readonly TicketRecord[]): Promise<TicketSummary[]> {
  await journalTable.setItem(IMPORT, records);
  const before = await Promise.all(records.map(({ ticket }) => loadTicket(ticket.id)));
  const summaries: TicketSummary[] = [];
  try {
    for (const record of records) summaries.push(await saveTicket(record));
    return summaries;
  } catch (error) {
    for (const [index, record] of records.entries()) {
      const old = before[index];
      await (old ? saveTicket(old) : removeTicket(record.ticket.id)).catch(() => undefined);
    }
    throw error;
  } finally {
    await journalTable.removeItem(IMPORT);
  }
}

/** Ends what a dying tab had begun to take in. */
export async function finishImport(): Promise<void> {
  const records = await journalTable.getItem<TicketRecord[]>(IMPORT);
  if (records) await saveAll(await Promise.all(records.map(current)));
}
