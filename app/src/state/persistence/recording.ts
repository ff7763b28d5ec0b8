import { nanoid } from 'nanoid';
import { SAID_BY_HANDS, STATION_NAMES } from '@loose-pulley/core/record/stations';
import { append, type EventBody } from '@loose-pulley/core/record/ticket';
import { handedOver, recordChanged, saidAloud, undoAsked } from '../store/openTicket';
import type { RootState, Thunk } from '../store/types';
import { stampNow } from './stampNow';

const BY_HANDS = 'In practice the machine itself says this: lay a hand on it, at the top of the page.';

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
    // Nobody types what a hidden machine would have shown.
    const byHand = record.ticket.practice !== undefined && !bodies.some(({ type }) => type === 'handLaid');
    if (byHand && bodies.some(({ type }) => SAID_BY_HANDS.has(type))) {
      dispatch(saidAloud({ text: BY_HANDS, to: null }));
      return false;
    }
    for (const body of bodies) {
      const next = append(record, stampNow(body, gesture, together));
      if (!next.ok) {
        dispatch(saidAloud({ text: next.problem, to: null }));
        return false;
      }
      record = next.value;
    }
    dispatch(recordChanged(record));
    // What was said of the last thing goes when the next is done.
    if (getState().openTicket.said) dispatch(saidAloud(null));
    return true;
  };

const WORDS = {
  undone: { done: 'Undone', none: 'Nothing to undo.' },
  redone: { done: 'Redone', none: 'Nothing to redo.' },
} as const;

const step =
  (way: 'undone' | 'redone', meant = false): Thunk<Promise<void>> =>
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
    const what = describeEvent(target, ticket.record.ticket, getState().settings.unit);
    const { events } = ticket.record;
    // Another tab had the ticket: what it did last is taken back only where that is meant.
    const last = way === 'undone' ? target : events.findLast(({ type }) => type === 'undone');
    const theirs = ticket.theirs === undefined ? -1 : events.findIndex(({ id }) => id === ticket.theirs);
    if (!meant && last && events.indexOf(last) <= theirs) {
      dispatch(undoAsked({ of: 'ticket', way, what }));
      return;
    }
    if (ticket.theirs !== undefined) dispatch(handedOver(undefined));
    dispatch(undoAsked(null));
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
    const place = eventPlace(target);
    const drive = ticket.record.ticket.drives.find(({ id }) => id === place.driveId);
    dispatch(
      saidAloud({
        text: `${WORDS[way].done}: ${what}, on ${STATION_NAMES[place.station]}${drive ? `, drive ${drive.name}` : ''}.`,
        to: `/t/${ticket.id}/${place.station}${drive ? `?drive=${drive.name}` : ''}`,
      }),
    );
  };
export const undo = (meant = false): Thunk<Promise<void>> => step('undone', meant);
export const redo = (meant = false): Thunk<Promise<void>> => step('redone', meant);
