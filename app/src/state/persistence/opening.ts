import { accessChanged, handedOver, recordChanged, saidAloud, ticketStatus } from '../store/openTicket';
import type { Thunk } from '../store/types';
import { storeProblem } from './storage';
import { holdTicket, type Hold } from './tabs';
import { loadTicket } from './tickets';

/* Which ticket is on the screen, and whether this tab writes it. */

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
    const now = getState().openTicket.ticket;
    if (now.status === 'open') dispatch(handedOver(now.record.events.at(-1)?.id));
  };

/** Another tab has the ticket now. */
export const lost =
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
