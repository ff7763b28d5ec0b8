import { summaryChanged, summaryRemoved } from '../store/bench';
import { saidAloud, ticketStatus } from '../store/openTicket';
import type { Thunk } from '../store/types';
import { loadBench } from './bench';
import { loadBook } from './book';
import { leaveTicket, lost, reload } from './opening';
import { onTabMessage } from './tabs';
import { loadSummary } from './tickets';

/** Hears the other tabs: what they saved, and when they ask for a ticket. */
export const listenToTabs = (): Thunk => (dispatch, getState) => {
  onTabMessage((message) => {
    const { ticket } = getState().openTicket;
    if (message.type === 'imported') {
      if (ticket.status === 'open' && ticket.access !== 'writer') void dispatch(reload(ticket.id));
      void dispatch(loadBench());
      return;
    }
    if (message.type === 'book') {
      void dispatch(loadBook());
      return;
    }
    const here = ticket.status === 'open' && ticket.id === message.id ? ticket : undefined;
    if (message.type === 'saved') {
      if (here && here.access !== 'writer') void dispatch(reload(message.id));
      void loadSummary(message.id).then((summary) => {
        if (summary) dispatch(summaryChanged(summary));
      });
    }
    if (message.type === 'removed') {
      dispatch(summaryRemoved(message.id));
      if (here) {
        dispatch(leaveTicket());
        dispatch(ticketStatus({ status: 'missing', id: message.id }));
        dispatch(saidAloud({ text: 'Another tab has taken this ticket off the bench.', to: '/log' }));
      }
    }
    if (message.type === 'handOver' && here?.access === 'writer') void dispatch(letGo(message.id));
  });
};

/** Lets another tab have the ticket, once what is written here is kept. */
const letGo =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, _, { keeper, rights }) => {
    await keeper.whenKept(id);
    rights.release();
    dispatch(lost(id));
  };
