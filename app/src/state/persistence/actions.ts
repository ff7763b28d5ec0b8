import { nanoid } from 'nanoid';
import { STATION_NAMES, type Details } from '@loose-pulley/core/record/stations';
import { append, type EventBody, type TicketEvent } from '@loose-pulley/core/record/ticket';
import { summariesFailed, summariesLoaded, summaryChanged, summaryRemoved } from '../store/bench';
import { selectSummaries } from '../store/selectors';
import { accessChanged, recordChanged, saidAloud, ticketStatus } from '../store/openTicket';
import type { RootState, Thunk } from '../store/types';
import { loadBook } from './book';
import { journalTable, storeProblem } from './storage';
import { holdTicket, onTabMessage, tellTabs, withHolds, type Hold } from './tabs';
import { loadSummaries, loadSummary, loadTicket, removeTicket, saveTicket } from './tickets';

const stampNow = (body: EventBody, gesture?: string, together?: string): TicketEvent => ({
  ...body,
  id: nanoid(12),
  at: new Date().toISOString(),
  ...(gesture !== undefined && { gesture }),
  ...(together !== undefined && { together }),
});

export const loadBench = (): Thunk<Promise<void>> => async (dispatch) => {
  try {
    if ((await journalTable.getItem('import')) !== null) await (await import('./oldJournal')).finishImport();
    dispatch(summariesLoaded(await loadSummaries()));
  } catch (error) {
    dispatch(summariesFailed(storeProblem(error)));
  }
};

/** Brings the stored ticket onto the screen again. */
export const reload =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, getState, { keeper }) => {
    const read = await loadTicket(id).catch(() => null);
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open' || ticket.id !== id) return;
    if (read) dispatch(recordChanged(keeper.markKept(read.record, read.revision)));
  };

/** Stands in line for the ticket, and writes once the other tab has gone. */
const standInLine =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, _, { rights }) => {
    const got = await holdTicket(id, () => dispatch(lost(id)), 'wait', rights.beginWaiting());
    if (got) await dispatch(becomeWriter(id, got));
  };

const becomeWriter =
  (id: string, got: Hold): Thunk<Promise<void>> =>
  async (dispatch, getState, { rights }) => {
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open' || ticket.id !== id) {
      got.release();
      return;
    }
    rights.set(id, got);
    await dispatch(reload(id));
    dispatch(accessChanged('writer'));
  };

const lost =
  (id: string): Thunk =>
  (dispatch, getState, { keeper, rights }) => {
    rights.forget(id);
    // What was not written goes over nothing that the other tab writes: it is offered as a copy.
    keeper.giveUp(id);
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open' || ticket.id !== id || ticket.access === 'reader') return;
    dispatch(accessChanged('reader'));
    dispatch(saidAloud({ text: 'Another tab writes this ticket now. Here it is shown live.', to: null }));
    void dispatch(standInLine(id));
  };

/** Puts a ticket on the screen, for writing where no other tab writes it. */
export const openTicket =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, getState, { keeper, rights }) => {
    const now = getState().openTicket.ticket;
    if (now.status !== 'none' && now.id === id && now.status !== 'missing' && now.status !== 'failed') return;
    dispatch(leaveTicket());
    dispatch(ticketStatus({ status: 'loading', id }));
    try {
      const got = rights.takeLingering(id) ?? (await holdTicket(id, () => dispatch(lost(id)), 'try'));
      const unkept = keeper.unkeptRecord(id);
      const read = unkept ? null : await loadTicket(id);
      const record = unkept ?? (read && keeper.markKept(read.record, read.revision));
      const newer = read?.newer ?? false;
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
      if (newer) got?.release();
      else rights.set(id, got);
      dispatch(
        ticketStatus({
          status: 'open',
          id,
          record,
          access: got && !newer ? 'writer' : 'reader',
          ...(newer && { newer }),
          saving: 'kept',
          problem: null,
        }),
      );
      if (!got && !newer) void dispatch(standInLine(id));
    } catch (error) {
      dispatch(ticketStatus({ status: 'failed', id, problem: storeProblem(error) }));
    }
  };

/** Lets go of the open ticket, once the keeper has written what is left of it. */
export const leaveTicket =
  (): Thunk =>
  (dispatch, getState, { keeper, rights }) => {
    const { ticket } = getState().openTicket;
    rights.stopWaiting();
    if (ticket.status !== 'none') void rights.releaseWhen(ticket.id, keeper.whenKept(ticket.id));
    dispatch(ticketStatus({ status: 'none' }));
    dispatch(saidAloud(null));
  };

/** Takes the ticket over from another tab. */
export const takeOver =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch, _, { rights }) => {
    dispatch(accessChanged('asking'));
    rights.stopWaiting();
    const got = await holdTicket(id, () => dispatch(lost(id)), 'take').catch(() => undefined);
    if (got) await dispatch(becomeWriter(id, got));
    else dispatch(accessChanged('reader'));
  };

const mayWrite = (ticket: RootState['openTicket']['ticket']): string | null => {
  if (ticket.status !== 'open') return '';
  if (ticket.newer) return 'A newer Loose Pulley wrote this ticket: this one can show it, not change it.';
  return ticket.access === 'writer'
    ? null
    : 'This ticket is being written in another tab. Take it over to change it here.';
};

/**
 * Makes something happen to the open ticket: the only way a ticket changes.
 *
 * @param gesture events of one gesture that follow one another become one
 * @returns whether it happened
 */
export const recordEvent = (body: EventBody, gesture?: string): Thunk<boolean> => record([body], gesture);

/**
 * Several things said in one breath: all of them happen or none, and they are taken back together.
 *
 * @returns whether they happened
 */
export const recordEvents = (bodies: readonly EventBody[]): Thunk<boolean> => record(bodies);

const record =
  (bodies: readonly EventBody[], gesture?: string): Thunk<boolean> =>
  (dispatch, getState) => {
    const { ticket } = getState().openTicket;
    const refusal = mayWrite(ticket);
    if (refusal !== null || ticket.status !== 'open') {
      if (refusal) dispatch(saidAloud({ text: refusal, to: null }));
      return false;
    }
    const together = bodies.length > 1 ? nanoid(10) : undefined;
    let { record } = ticket;
    for (const body of bodies) {
      const next = append(record, stampNow(body, gesture, together));
      if (!next.ok) {
        dispatch(saidAloud({ text: next.problem, to: null }));
        return false;
      }
      record = next.value;
    }
    dispatch(recordChanged(record));
    return true;
  };

const WORDS = {
  undone: { done: 'Undone', none: 'Nothing to undo.' },
  redone: { done: 'Redone', none: 'Nothing to redo.' },
} as const;

const step =
  (way: 'undone' | 'redone'): Thunk<Promise<void>> =>
  async (dispatch, getState) => {
    // Walking the history is fetched when it is asked for: most changes only append.
    const { appendAny, describeEvent, eventPlace, redoTarget, undoTarget } = await import('../history');
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open') return;
    const target = way === 'undone' ? undoTarget(ticket.record) : redoTarget(ticket.record);
    const refusal = target ? mayWrite(ticket) : WORDS[way].none;
    if (refusal !== null || !target) {
      dispatch(saidAloud({ text: refusal ?? '', to: null }));
      return;
    }
    let { record } = ticket;
    // What was said in one breath is taken back in one.
    for (let at: typeof target | undefined = target; at;) {
      const next = appendAny(record, stampNow({ type: way, eventId: at.id }));
      if (!next.ok) {
        dispatch(saidAloud({ text: next.problem, to: null }));
        return;
      }
      record = next.value;
      const further = target.together && (way === 'undone' ? undoTarget(record) : redoTarget(record));
      at = further && further.together === target.together ? further : undefined;
    }
    dispatch(recordChanged(record));
    const what = describeEvent(target, ticket.record.ticket, getState().settings.unit);
    const place = eventPlace(target);
    const drive = ticket.record.ticket.drives.find(({ id }) => id === place.driveId);
    dispatch(
      saidAloud({
        text: `${WORDS[way].done}: ${what}, on ${STATION_NAMES[place.station]}${drive ? `, drive ${drive.name}` : ''}.`,
        to: `/t/${ticket.id}/${place.station}${drive ? `?drive=${drive.name}` : ''}`,
      }),
    );
  };
export const undo = (): Thunk<Promise<void>> => step('undone');
export const redo = (): Thunk<Promise<void>> => step('redone');

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
      dispatch(summaryChanged(summary));
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

export const removeFromBench =
  (id: string): Thunk<Promise<void>> =>
  async (dispatch) => {
    await withHolds([id], () => removeTicket(id));
    dispatch(summaryRemoved(id));
    tellTabs({ type: 'removed', id });
  };
