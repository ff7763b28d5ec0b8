import {
  SUMMARY_VERSION,
  TICKET_VERSION,
  type TicketRecord,
  type TicketSummary,
} from '@loose-pulley/core/record/ticket';
import { commit, type StoredSummary, type StoredTicket, type Written } from './commit';
import { summariser } from './summarise';
import { answerOf, recordsOf, summaryTable, ticketTable, transactionOver } from './storage';

/*
 * The promise: a ticket is written whole or not at all, seen together with its summary, and never over a revision that
 * the writer has not read. One record that cannot be read hides no other.
 */

/** A ticket as it was read: the record, and the revision over which it may be written again. */
export interface ReadTicket {
  readonly record: TicketRecord;
  readonly revision: number;
  /** Written by a newer Loose Pulley: it may be looked at and not changed. */
  readonly newer: boolean;
}

/** A record refused in words. */
class Unreadable extends Error {}

/** A record that could not be read, and why; the store keeps it as it is. */
export interface SetAside {
  readonly id: string;
  readonly why: string;
}

/**
 * Writes one ticket over the revision that was read; null for a new one.
 *
 * @throws Stale where somebody else wrote meanwhile; else what the browser threw
 */
export async function saveTicket(record: TicketRecord, over: number | null): Promise<Written> {
  const [written] = await commit([{ id: record.ticket.id, record, over }]);
  return written as Written;
}

/** A stored record in the current format: one that an older Loose Pulley wrote is brought up to it. */
export async function current({ revision = 0, ...stored }: StoredTicket): Promise<ReadTicket> {
  if (stored.version === TICKET_VERSION) return { record: stored, revision, newer: false };
  if ((stored.version as number) > TICKET_VERSION) return { record: stored, revision, newer: true };
  const { upcast } = await import('@loose-pulley/core/files/exchange');
  const record = upcast(stored);
  if (!record.ok) throw new Unreadable(record.problem);
  return { record: record.value as TicketRecord, revision, newer: false };
}

/** Reads one ticket; null where there is none. */
export async function loadTicket(id: string): Promise<ReadTicket | null> {
  const stored = await ticketTable.getItem<StoredTicket>(id);
  return stored && current(stored);
}

/** Takes a ticket away for good, whatever revision it has. */
export async function removeTicket(id: string): Promise<void> {
  await summaryTable.removeItem(id);
  await ticketTable.removeItem(id);
}

/** Why a record could not be read: what was thrown by a record of another shape says nothing to a bench. */
export const whyNot = (error: unknown): string =>
  error instanceof Unreadable ? error.message : 'it is not shaped like a ticket.';

/** What the Bench and the Log show, remaking the summaries that are missing; and what could not be read. */
export async function loadSummaries(): Promise<{
  readonly summaries: readonly TicketSummary[];
  readonly setAside: readonly SetAside[];
}> {
  const known = new Map<string, TicketSummary>();
  const tickets = (await transactionOver([ticketTable], 'readonly')).objectStore('tickets');
  const ids = (await answerOf(tickets.getAllKeys())) as string[];
  for await (const some of recordsOf<StoredSummary | null>(summaryTable)) {
    // One that an older Loose Pulley made says less: it is made anew.
    for (const [id, summary] of some) if (summary?.version === SUMMARY_VERSION) known.set(id, summary);
  }
  const summaries: TicketSummary[] = [];
  const setAside: SetAside[] = [];
  for (const id of ids) {
    try {
      const summary = known.get(id) ?? (await remade(id));
      if (summary) summaries.push(summary);
    } catch (error) {
      setAside.push({ id, why: whyNot(error) });
    }
  }
  return { summaries, setAside };
}

async function remade(id: string): Promise<TicketSummary | undefined> {
  const read = await loadTicket(id);
  if (!read) return undefined;
  const summarise = await summariser();
  if (!summarise) throw new Unreadable('what sums it up could not be fetched. Load the page anew.');
  const summary = summarise(read.record);
  // A cache that cannot be written is no harm: it is made anew next time.
  await summaryTable
    .setItem(id, { ...summary, revision: read.revision } satisfies StoredSummary)
    .catch(() => undefined);
  return summary;
}

/** The summary of one ticket, as it was last written. */
export async function loadSummary(id: string): Promise<TicketSummary | undefined> {
  const summary = await summaryTable.getItem<StoredSummary>(id);
  return summary?.version === SUMMARY_VERSION ? summary : remade(id);
}
