import type { TicketRecord } from '@loose-pulley/core/ticket';
import { summaryChanged } from '../store/bench';
import { savingChanged } from '../store/openTicket';
import type { AppDispatch, RootState } from '../store/store';
import { storeProblem } from './storage';
import { tellTabs } from './tabs';
import { saveTicket } from './tickets';

const RETRY_MS = 4000;

/**
 * Writes the open ticket after every change: at once, one write at a time, always the newest. A failed write is said
 * and tried again with the next change or after a while. Only the tab that holds the ticket writes it.
 */
export function startKeeper(store: {
  getState(): RootState;
  dispatch: AppDispatch;
  subscribe(listener: () => void): () => void;
}): void {
  /** The newest record known to be in the store, by identity. */
  let kept: TicketRecord | undefined;
  let writing = false;
  let retry: ReturnType<typeof setTimeout> | undefined;

  const pending = (): TicketRecord | undefined => {
    const { ticket } = store.getState().openTicket;
    if (ticket.status !== 'open' || ticket.access !== 'writer') return undefined;
    return ticket.record === kept ? undefined : ticket.record;
  };

  async function write(): Promise<void> {
    if (writing) return;
    writing = true;
    clearTimeout(retry);
    for (let record = pending(); record; record = pending()) {
      store.dispatch(savingChanged({ saving: 'saving', problem: null }));
      try {
        const summary = await saveTicket(record);
        kept = record;
        store.dispatch(summaryChanged(summary));
        tellTabs({ type: 'saved', id: record.ticket.id });
        if (!pending()) store.dispatch(savingChanged({ saving: 'kept', problem: null }));
      } catch (error) {
        store.dispatch(savingChanged({ saving: 'failed', problem: storeProblem(error) }));
        failed = record;
        retry = setTimeout(() => {
          failed = undefined;
          void write();
        }, RETRY_MS);
        break;
      }
    }
    writing = false;
  }
  /** A record that could not be written is not tried again by every dispatch, only by time or change. */
  let failed: TicketRecord | undefined;

  store.subscribe(() => {
    const { ticket } = store.getState().openTicket;
    if (ticket.status === 'open' && loadedFromStore.has(ticket.record)) kept = ticket.record;
    const record = pending();
    if (record && record !== failed) void write();
  });
}

/** Records as they came out of the store need no writing. */
const loadedFromStore = new WeakSet<TicketRecord>();
export const markKept = (record: TicketRecord): TicketRecord => {
  loadedFromStore.add(record);
  return record;
};
