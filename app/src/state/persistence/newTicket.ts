import { nanoid } from 'nanoid';
import type { Details } from '@loose-pulley/core/record/stations';
import { append, type EventBody } from '@loose-pulley/core/record/ticket';
import { summaryChanged } from '../store/bench';
import { ticketStatus } from '../store/openTicket';
import { selectSummaries } from '../store/selectors';
import type { RootState, Thunk } from '../store/types';
import { loadBench } from './bench';
import { leaveTicket, lost } from './opening';
import { stampNow } from './stampNow';
import { storeProblem } from './storage';
import { holdTicket, tellTabs } from './tabs';
import { saveTicket } from './tickets';

/** The next free ticket number. */
export function nextNumber(state: RootState): string {
  const highest = selectSummaries(state).reduce(
    // A serial number typed as a ticket's is no number to count on from.
    (most, { number }) => (/^\d{1,9}$/.test(number) ? Math.max(most, Number(number)) : most),
    0,
  );
  return String(highest + 1).padStart(4, '0');
}

/** Opens a new ticket and keeps it. @returns its id; what the browser threw where it cannot be kept */
export const newTicket =
  (
    { complaint, ...details }: Omit<Details, 'number'> & { readonly complaint: string },
    then: (driveId: string) => readonly EventBody[] = () => [],
  ): Thunk<Promise<string>> =>
  async (dispatch, getState, { rights }) => {
    const { newComplaint, openRecord } = await import('../history');
    // Its number comes after all that there are.
    if (getState().bench.status === 'loading') await dispatch(loadBench());
    const ticketId = nanoid(12);
    const driveId = nanoid(12);
    const opened = openRecord(
      stampNow({
        type: 'ticketOpened',
        ticketId,
        driveId,
        details: { ...details, number: nextNumber(getState()) },
        complaint: complaint === '' ? null : newComplaint(nanoid(10), complaint),
      }),
    );
    if (!opened.ok) throw new Error(opened.problem);
    let record = opened.value;
    for (const body of then(driveId)) {
      const next = append(record, stampNow(body));
      if (!next.ok) throw new Error(next.problem);
      record = next.value;
    }
    try {
      const { summary } = await saveTicket(record, null);
      if (summary) dispatch(summaryChanged(summary));
      tellTabs({ type: 'saved', id: ticketId });
    } catch (error) {
      // The work goes on in memory; the keeper says so and tries again.
      dispatch(leaveTicket());
      rights.set(ticketId, await holdTicket(ticketId, () => dispatch(lost(ticketId)), 'try').catch(() => undefined));
      dispatch(
        ticketStatus({
          status: 'open',
          id: ticketId,
          record,
          access: 'writer',
          saving: 'failed',
          problem: storeProblem(error),
        }),
      );
    }
    return ticketId;
  };
