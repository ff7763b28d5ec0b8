import { forbidding, goneBack, lidStep, offAgain, openRemoval, type ChangeLimit } from '@loose-pulley/core/work/strip';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import { timerState } from '@loose-pulley/core/base/timers';
import { momentAsked } from '../store/openTicket';
import type { AppDispatch, RootState } from '../store/types';
import { recordEvent, recordEvents } from './recording';

/** What the bench can say of power and lid, since the app cannot see them. */
export type Moment = 'power' | 'poweredOpen' | 'unplugged' | 'lid' | 'lidOff';

const LIMIT: Readonly<Partial<Record<Moment, ChangeLimit>>> = { power: 'power', poweredOpen: 'power', lid: 'lid' };

const HANDS = {
  power: { do: 'power', what: 'on' },
  poweredOpen: { do: 'power', what: 'on' },
  unplugged: { do: 'power', what: 'off' },
  lid: { do: 'close', what: '' },
  lidOff: { do: 'open', what: 'lidOff' },
} as const;

/**
 * Says that power or lid changed. One that an open temporary change forbids is asked about first.
 *
 * @param anyway passes the question
 */
export const sayMoment =
  (moment: Moment, anyway = false) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open') return;
    // On a hidden machine it is a hand that moves plug and lid.
    if (ticket.record.ticket.practice) {
      void import('../practice/layHand').then(({ layHand }) => dispatch(layHand(HANDS[moment])));
      return;
    }
    const limit = LIMIT[moment];
    const { timers } = ticket.record.ticket;
    const { temporaryChanges } = ticket.record.ticket.strip;
    // Whatever dries inside holds back the power.
    const wet =
      limit === 'power' &&
      timers.some((timer) => timer.placeId !== undefined && timerState(timer, Date.now()).status === 'running');
    // A mechanism that remembers is asked where it stands before it is shut in.
    const remembers = limit === 'lid' && ticket.record.ticket.train.mode.states.length > 0;
    if (!anyway && limit && (wet || remembers || forbidding(temporaryChanges, limit).length > 0)) {
      dispatch(momentAsked(moment));
      return;
    }
    dispatch(momentAsked(null));
    const since = new Date().toISOString();
    if (moment === 'lid' || moment === 'lidOff') {
      // The lid of the strip is the same lid: what is said of one is said of both.
      const { strip } = ticket.record.ticket;
      const step = lidStep(strip.steps);
      const off = step && openRemoval(step);
      const said: EventBody = { type: 'lidSaid', lid: { state: moment === 'lid' ? 'on' : 'off', since } };
      const again = moment === 'lidOff' && step && !off ? offAgain(strip, step, since) : undefined;
      const moved =
        moment === 'lid' && step && off ? goneBack(step, off.off, since) : again?.ok ? again.value : undefined;
      dispatch(recordEvents([...(moved ? [{ type: 'stepPut', step: moved } as const] : []), said]));
    } else {
      const state = moment === 'power' ? 'plugged' : moment;
      dispatch(recordEvent({ type: 'mainsSaid', mains: { state, since } }));
    }
  };
