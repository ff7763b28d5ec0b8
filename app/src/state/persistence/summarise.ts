import type { TicketRecord, TicketSummary } from '@loose-pulley/core/record/ticket';

/** What sums tickets up, fetched once a ticket may be written. A fetch that fails is tried again the next time. */
export const summing = () => import('../summing');

/**
 * The summary of a record; null where what sums up cannot be fetched. A summary is a cache and is made anew when it is
 * next looked for: no ticket waits for it to be kept.
 *
 * @throws what a record of another shape makes it throw
 */
export async function summarise(record: TicketRecord): Promise<TicketSummary | null> {
  const fetched = await summing().catch(() => null);
  return fetched && fetched.summarise(record);
}
