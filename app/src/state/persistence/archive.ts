import type { TicketRecord, TicketSummary } from '@loose-pulley/core/record/ticket';
import { commit, type Change, type StoredSummary, type StoredTicket } from './commit';
import { summariser } from './summarise';
import { recordsOf, summaryTable, ticketTable } from './storage';
import { current, whyNot, type SetAside } from './tickets';

/* Many tickets at once: what the archive's way in and out needs, and nothing before. */

/** What the store holds under an id, whatever it is: to be saved raw. */
export const loadRaw = (id: string): Promise<unknown> => ticketTable.getItem<unknown>(id);

/**
 * Every ticket that can be read, whole, for the archive; and the ids of those that cannot.
 *
 * @param share which of how many shares of the tickets
 */
export async function loadAllTickets([share, of]: readonly [share: number, of: number] = [0, 1]): Promise<{
  readonly records: readonly TicketRecord[];
  readonly setAside: readonly SetAside[];
}> {
  const keys = await ticketTable.keys();
  const mine = keys.slice(Math.ceil((keys.length * share) / of), Math.ceil((keys.length * (share + 1)) / of));
  const [from, to] = [mine[0], mine.at(-1)];
  if (from === undefined || to === undefined) return { records: [], setAside: [] };
  const summed = new Map<string, number | undefined>();
  for await (const some of recordsOf<StoredSummary>(summaryTable, [from, to]))
    for (const [id, { revision }] of some) summed.set(id, revision);
  const stored: Array<readonly [string, StoredTicket]> = [];
  for await (const some of recordsOf<StoredTicket>(ticketTable, [from, to])) stored.push(...some);
  const summarise = await summariser();
  const records: TicketRecord[] = [];
  const setAside: SetAside[] = [];
  for (const [id, one] of stored) {
    try {
      const { record } = await current(one);
      // What cannot be summed up is not a ticket; what was, when it was written, need not be again.
      if (one.revision === undefined || summed.get(id) !== one.revision) summarise?.(record);
      records.push(record);
    } catch (error) {
      setAside.push({ id, why: whyNot(error) });
    }
  }
  return { records, setAside };
}

/** Writes several tickets, all or nothing, each over the revision that was read. */
export async function saveAll(
  records: readonly TicketRecord[],
  over: (id: string) => number | null,
): Promise<readonly TicketSummary[]> {
  const changes = records.map((record): Change => ({ id: record.ticket.id, record, over: over(record.ticket.id) }));
  return (await commit(changes)).flatMap(({ summary }) => (summary ? [summary] : []));
}
