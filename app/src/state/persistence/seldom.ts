import type { TicketRecord } from '@loose-pulley/core/record/ticket';
import { summaryChanged, summaryRemoved } from '../store/bench';
import { saidAloud, strandedSettled } from '../store/openTicket';
import type { Thunk } from '../store/types';
import { leaveTicket } from './opening';
import { asCopy } from './copy';
import { deleteTicket } from './deleted';
import { storeProblem } from './storage';
import { tellTabs, withHolds } from './tabs';
import { saveTicket } from './tickets';

/* What seldom happens to a ticket as a whole, and is fetched when it does. */

/** Lets the open ticket go, lays it aside as deleted, and takes it off the Bench. */
export const deleteOpenTicket =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, _, { keeper }) => {
    await keeper.whenKept(id);
    dispatch(leaveTicket());
    await withHolds([id], () => deleteTicket(id, new Date().toISOString()));
    dispatch(summaryRemoved(id));
    tellTabs({ type: 'removed', id });
  };

/** Saves a stranded record as a ticket of its own. */
export const saveStranded =
  (record: TicketRecord): Thunk<Promise<void>> =>
  async (dispatch) => {
    const copy = asCopy(record);
    try {
      const { summary } = await saveTicket(copy, null);
      if (summary) dispatch(summaryChanged(summary));
      tellTabs({ type: 'saved', id: copy.ticket.id });
      dispatch(strandedSettled(record));
      dispatch(saidAloud({ text: `Saved as a copy of ${copy.ticket.number}.`, to: `/t/${copy.ticket.id}/timeline` }));
    } catch (error) {
      dispatch(saidAloud({ text: storeProblem(error).sentence, to: null }));
    }
  };
