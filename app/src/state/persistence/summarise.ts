import type { TicketRecord, TicketSummary } from '@loose-pulley/core/record/ticket';

/** Sums a record up. It throws what a record of another shape makes it throw. */
export type Summarise = (record: TicketRecord) => TicketSummary;

/**
 * What sums tickets up, fetched once a ticket may be written; null where it cannot be, and then it is tried again the
 * next time. A summary is a cache and is made anew when it is next looked for: no ticket waits for it to be kept.
 */
export const summariser = (): Promise<Summarise | null> =>
  import('../summing').then(
    ({ summarise }) => summarise,
    () => null,
  );
