import type { TicketRecord } from '@loose-pulley/core/ticket';
import { summaryChanged } from '../store/bench';
import { savingChanged } from '../store/openTicket';
import type { AppDispatch, RootState } from '../store/store';
import { storeProblem } from './storage';
import { tellTabs } from './tabs';
import { saveTicket } from './tickets';

const RETRY_MS = 4000;

/** Records known to be in the store, by identity. */
const keptRecords = new WeakSet<TicketRecord>();
/** The newest record of each ticket that is not in the store yet. Outlives the ticket's being on screen. */
const unkept = new Map<string, TicketRecord>();
const waiters = new Map<string, Array<() => void>>();

/** Says that a record came out of the store and needs no writing. */
export function markKept(record: TicketRecord): TicketRecord {
  keptRecords.add(record);
  return record;
}

/** What of a ticket is still to be written, where it is. */
export const unkeptRecord = (id: string): TicketRecord | undefined => unkept.get(id);

/** Resolves once nothing of the ticket is left to be written. */
export function whenKept(id: string): Promise<void> {
  if (!unkept.has(id)) return Promise.resolve();
  return new Promise((resolve) => waiters.set(id, [...(waiters.get(id) ?? []), resolve]));
}

/**
 * Writes tickets after every change: at once, one write at a time, always the newest of each. A failed write is said
 * and tried again with the next change or after a while. A ticket that leaves the screen is written to its end.
 */
export function startKeeper(store: {
  getState(): RootState;
  dispatch: AppDispatch;
  subscribe(listener: () => void): () => void;
}): void {
  let writing = false;
  let retry: ReturnType<typeof setTimeout> | undefined;
  const say = (id: string, status: Parameters<typeof savingChanged>[0]): void => {
    const { ticket } = store.getState().openTicket;
    if (ticket.status === 'open' && ticket.id === id) store.dispatch(savingChanged(status));
  };

  async function drain(): Promise<void> {
    if (writing) return;
    writing = true;
    clearTimeout(retry);
    for (let next = unkept.entries().next(); !next.done; next = unkept.entries().next()) {
      const [id, record] = next.value;
      say(id, { saving: 'saving', problem: null });
      try {
        const summary = await saveTicket(record);
        keptRecords.add(record);
        store.dispatch(summaryChanged(summary));
        tellTabs({ type: 'saved', id });
        if (unkept.get(id) !== record) continue;
        unkept.delete(id);
        say(id, { saving: 'kept', problem: null });
        waiters.get(id)?.forEach((resolve) => resolve());
        waiters.delete(id);
      } catch (error) {
        say(id, { saving: 'failed', problem: storeProblem(error) });
        retry = setTimeout(() => void drain(), RETRY_MS);
        break;
      }
    }
    writing = false;
  }

  store.subscribe(() => {
    const { ticket } = store.getState().openTicket;
    if (ticket.status !== 'open' || ticket.access !== 'writer') return;
    const { id, record } = ticket;
    if (keptRecords.has(record) || unkept.get(id) === record) return;
    unkept.set(id, record);
    void drain();
  });
}
