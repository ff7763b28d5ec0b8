import { nanoid } from 'nanoid';
import {
  append,
  openRecord,
  redoTarget,
  undoTarget,
  type EventBody,
  type TicketEvent,
} from '@loose-pulley/core/ticket';
import { summariesFailed, summariesLoaded, summaryChanged, summaryRemoved } from '../store/bench';
import { accessChanged, recordChanged, saidAloud, ticketStatus } from '../store/openTicket';
import { selectSummaries, type AppDispatch, type RootState } from '../store/store';
import { markKept, unkeptRecord, whenKept } from './keeper';
import { storeProblem } from './storage';
import { holdTicket, onTabMessage, tellTabs, type Hold } from './tabs';
import { finishImport, loadSummaries, loadTicket, removeTicket, saveTicket } from './tickets';
import { newComplaint, STATION_NAMES, type Details } from '@loose-pulley/core/stations';

type Thunk<T = void> = (dispatch: AppDispatch, getState: () => RootState) => T;

const stampNow = (body: EventBody, gesture?: string): TicketEvent => ({
  ...body,
  id: nanoid(12),
  at: new Date().toISOString(),
  ...(gesture !== undefined && { gesture }),
});

/** The hold on the open ticket, and how to stop waiting for it. Not state: nothing is drawn from it. */
let hold: Hold | undefined;
let waiting: AbortController | undefined;
/** Holds of tickets that left the screen with something still to be written: nobody else may write them before. */
const lingering = new Map<string, Hold>();

/** Releases a hold once what was written under it is in the store. */
function releaseWhenKept(id: string, held: Hold): void {
  lingering.set(id, held);
  void whenKept(id).then(() => {
    if (lingering.get(id) !== held) return;
    lingering.delete(id);
    held.release();
  });
}

export const loadBench = (): Thunk<Promise<void>> => async (dispatch) => {
  try {
    await finishImport();
    dispatch(summariesLoaded(await loadSummaries()));
  } catch (error) {
    dispatch(summariesFailed(storeProblem(error)));
  }
};

/** Brings the stored ticket onto the screen again. */
const reload =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const record = await loadTicket(id).catch(() => null);
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open' || ticket.id !== id) return;
    if (record) dispatch(recordChanged(markKept(record)));
  };

/** Stands in line for the ticket, and writes once the other tab has gone. */
const standInLine =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    waiting?.abort();
    waiting = new AbortController();
    const got = await holdTicket(id, () => dispatch(lost(id)), 'wait', waiting.signal);
    if (got) await dispatch(becomeWriter(id, got));
  };

const becomeWriter =
  (id: string, got: Hold): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open' || ticket.id !== id) {
      got.release();
      return;
    }
    hold = got;
    await dispatch(reload(id));
    dispatch(accessChanged('writer'));
  };

const lost =
  (id: string): Thunk =>
  (dispatch, getState) => {
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open' || ticket.id !== id) return;
    hold = undefined;
    dispatch(accessChanged('reader'));
    dispatch(saidAloud({ text: 'Another tab writes this ticket now. Here it is shown live.', to: null }));
    void dispatch(standInLine(id));
  };

/** Puts a ticket on the screen, for writing where no other tab writes it. */
export const openTicket =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const now = getState().openTicket.ticket;
    if (now.status !== 'none' && now.id === id && now.status !== 'missing' && now.status !== 'failed') return;
    dispatch(leaveTicket());
    dispatch(ticketStatus({ status: 'loading', id }));
    try {
      const still = lingering.get(id);
      lingering.delete(id);
      const got = still ?? (await holdTicket(id, () => dispatch(lost(id)), 'try'));
      const unkept = unkeptRecord(id);
      const stored = unkept ? null : await loadTicket(id);
      const record = unkept ?? (stored && markKept(stored));
      const current = getState().openTicket.ticket;
      if (current.status === 'none' || current.id !== id) {
        got?.release();
        return;
      }
      if (!record) {
        got?.release();
        dispatch(ticketStatus({ status: 'missing', id }));
        return;
      }
      hold = got;
      dispatch(
        ticketStatus({
          status: 'open',
          id,
          record,
          access: got ? 'writer' : 'reader',
          saving: 'kept',
          problem: null,
        }),
      );
      if (!got) void dispatch(standInLine(id));
    } catch (error) {
      dispatch(ticketStatus({ status: 'failed', id, problem: storeProblem(error) }));
    }
  };

/** Lets go of the open ticket, once the keeper has written what is left of it. */
export const leaveTicket = (): Thunk => (dispatch, getState) => {
  const { ticket } = getState().openTicket;
  waiting?.abort();
  waiting = undefined;
  if (hold && ticket.status !== 'none') releaseWhenKept(ticket.id, hold);
  hold = undefined;
  dispatch(ticketStatus({ status: 'none' }));
  dispatch(saidAloud(null));
};

/** Takes the ticket over from another tab. */
export const takeOver =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    dispatch(accessChanged('asking'));
    waiting?.abort();
    const got = await holdTicket(id, () => dispatch(lost(id)), 'take').catch(() => undefined);
    if (got) await dispatch(becomeWriter(id, got));
    else dispatch(accessChanged('reader'));
  };

/**
 * Makes something happen to the open ticket: the only way a ticket changes.
 *
 * @param gesture events of one gesture that follow one another become one
 * @returns whether it happened
 */
export const recordEvent =
  (body: EventBody, gesture?: string): Thunk<boolean> =>
  (dispatch, getState) => {
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open') return false;
    if (ticket.access !== 'writer') {
      dispatch(
        saidAloud({ text: 'This ticket is being written in another tab. Take it over to change it here.', to: null }),
      );
      return false;
    }
    const next = append(ticket.record, stampNow(body, gesture));
    if (!next.ok) {
      dispatch(saidAloud({ text: next.problem, to: null }));
      return false;
    }
    dispatch(recordChanged(next.value));
    return true;
  };

const step =
  (way: 'undone' | 'redone'): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open') return;
    const target = way === 'undone' ? undoTarget(ticket.record) : redoTarget(ticket.record);
    if (!target) {
      dispatch(saidAloud({ text: way === 'undone' ? 'Nothing to undo.' : 'Nothing to bring back.', to: null }));
      return;
    }
    if (!dispatch(recordEvent({ type: way, eventId: target.id }))) return;
    const { describeEvent, eventPlace } = await import('../describe');
    const what = describeEvent(target, ticket.record.ticket, getState().settings.unit);
    const place = eventPlace(target);
    const drive = ticket.record.ticket.drives.find(({ id }) => id === place.driveId);
    dispatch(
      saidAloud({
        text: `${way === 'undone' ? 'Undone' : 'Brought back'}: ${what}, on ${STATION_NAMES[place.station]}${drive ? `, drive ${drive.name}` : ''}.`,
        to: `/t/${ticket.id}/${place.station}${drive ? `?drive=${drive.name}` : ''}`,
      }),
    );
  };
export const undo = (): Thunk<Promise<void>> => step('undone');
export const redo = (): Thunk<Promise<void>> => step('redone');

/** The next free ticket number. */
export function nextNumber(state: RootState): string {
  const highest = selectSummaries(state).reduce(
    (most, { number }) => Math.max(most, Number.parseInt(number, 10) || 0),
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
  async (dispatch, getState) => {
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
      const summary = await saveTicket(record);
      dispatch(summaryChanged(summary));
      tellTabs({ type: 'saved', id: ticketId });
    } catch (error) {
      // The work goes on in memory; the keeper says so and tries again.
      dispatch(leaveTicket());
      hold = await holdTicket(ticketId, () => dispatch(lost(ticketId)), 'try').catch(() => undefined);
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

/** Hears the other tabs: what they saved, and when they ask for a ticket. */
export const listenToTabs = (): Thunk => (dispatch, getState) => {
  onTabMessage((message) => {
    const { ticket } = getState().openTicket;
    const here = ticket.status === 'open' && ticket.id === message.id ? ticket : undefined;
    if (message.type === 'saved') {
      if (here && here.access !== 'writer') void dispatch(reload(message.id));
      void loadTicket(message.id).then(async (record) => {
        if (!record) return;
        const { summarise } = await import('@loose-pulley/core/ticket');
        dispatch(summaryChanged(summarise(record)));
      });
    }
    if (message.type === 'removed') dispatch(summaryRemoved(message.id));
    if (message.type === 'handOver' && here?.access === 'writer') void dispatch(letGo(message.id));
  });
};

/** Lets another tab have the ticket, once what is written here is kept. */
const letGo =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await whenKept(id);
    hold?.release();
    dispatch(lost(id));
  };

export const removeFromBench =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await removeTicket(id);
    dispatch(summaryRemoved(id));
    tellTabs({ type: 'removed', id });
  };
