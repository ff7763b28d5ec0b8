import type { TicketRecord, TicketSummary } from '@loose-pulley/core/record/ticket';
import { summaryTable, ticketTable, transactionOver } from './storage';
import { summariser } from './summarise';

/** A ticket as the store holds it, with how often it was written there. One from before that was counted has 0. */
export interface StoredTicket extends TicketRecord {
  readonly revision?: number;
}
/** Its summary, written with it: what lies under one revision belongs together. */
export interface StoredSummary extends TicketSummary {
  readonly revision?: number;
}

/** One ticket to be written, or taken away. */
export interface Change {
  readonly id: string;
  /** Null takes it away. */
  readonly record: TicketRecord | null;
  /** The revision that was read, over which alone it may go; null where there was none. */
  readonly over: number | null;
}

/** What was written, and under which revision. */
export interface Written {
  /** Null of what was taken away, or where it could not be summed up now. */
  readonly summary: TicketSummary | null;
  readonly revision: number;
}

/** Somebody else has written meanwhile: nothing of what was asked was done. */
export class Stale extends Error {
  readonly ids: readonly string[];
  constructor(ids: readonly string[]) {
    super('Written elsewhere meanwhile.');
    this.name = 'Stale';
    this.ids = ids;
  }
}

const asError = (thrown: unknown): Error =>
  thrown instanceof Error || thrown instanceof DOMException ? thrown : new Error('The store gave up.');

/**
 * Writes tickets and their summaries in one transaction: all of it or nothing, whatever happens to the tab, and seen
 * together. Each goes only over the revision that was read.
 *
 * @returns what was written, in the order asked
 * @throws Stale where a ticket lies under another revision than the one read; else what the browser threw
 */
export async function commit(changes: readonly Change[]): Promise<readonly Written[]> {
  const summarise = await summariser();
  const written = changes.map(({ record, over }) => ({
    summary: record && summarise && summarise(record),
    revision: (over ?? 0) + 1,
  }));
  const transaction = await transactionOver([ticketTable, summaryTable], 'readwrite');
  const tickets = transaction.objectStore('tickets');
  const summaries = transaction.objectStore('summaries');
  const stale: string[] = [];
  let unread = changes.length;
  let refused: unknown;

  const write = (): void => {
    changes.forEach(({ id, record }, index) => {
      const { summary, revision } = written[index] as Written;
      if (record) tickets.put({ ...record, revision } satisfies StoredTicket, id);
      else tickets.delete(id);
      if (summary) summaries.put({ ...summary, revision } satisfies StoredSummary, id);
      else summaries.delete(id);
    });
  };
  const found = ({ id, over }: Change, revision: number | null): void => {
    if (revision !== over) stale.push(id);
    unread -= 1;
    if (unread > 0) return;
    try {
      if (stale.length > 0) transaction.abort();
      else write();
    } catch (error) {
      // A store that refuses at once (a full disk may) refuses all of it.
      refused = error;
      transaction.abort();
    }
  };
  for (const change of changes) {
    if (change.over === null) {
      const key = tickets.getKey(change.id);
      key.onsuccess = () => found(change, key.result === undefined ? null : 0);
      continue;
    }
    // The summary is small and was written with its ticket; where it tells no revision the ticket itself is asked.
    const summary = summaries.get(change.id) as IDBRequest<StoredSummary | undefined>;
    summary.onsuccess = () => {
      if (summary.result?.revision !== undefined) {
        found(change, summary.result.revision);
        return;
      }
      const ticket = tickets.get(change.id) as IDBRequest<StoredTicket | undefined>;
      ticket.onsuccess = () => found(change, ticket.result ? (ticket.result.revision ?? 0) : null);
    };
  }
  return new Promise((resolve, reject) => {
    transaction.oncomplete = () => resolve(written);
    transaction.onabort = () => reject(stale.length > 0 ? new Stale(stale) : asError(refused ?? transaction.error));
    if (changes.length === 0) resolve([]);
  });
}
