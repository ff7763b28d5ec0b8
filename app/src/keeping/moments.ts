import { forbidding, type LoopLimit } from '@loose-pulley/core/strip';
import { momentAsked } from '../store/openTicket';
import type { AppDispatch, RootState } from '../store/store';
import { happen } from './actions';

/** What the bench can say of power and lid, since the app cannot see them. */
export type Moment = 'power' | 'poweredOpen' | 'unplugged' | 'lid' | 'lidOff';

const LIMIT: Readonly<Partial<Record<Moment, LoopLimit>>> = { power: 'power', poweredOpen: 'power', lid: 'lid' };

/**
 * Says that power or lid changed. One that an open loop forbids is asked about first.
 *
 * @param allTheSame passes the question
 */
export const sayMoment =
  (moment: Moment, allTheSame = false) =>
  (dispatch: AppDispatch, getState: () => RootState): void => {
    const { ticket } = getState().openTicket;
    if (ticket.status !== 'open') return;
    const limit = LIMIT[moment];
    const { loops } = ticket.record.ticket.strip;
    if (!allTheSame && limit && forbidding(loops, limit).length > 0) {
      dispatch(momentAsked(moment));
      return;
    }
    dispatch(momentAsked(null));
    const since = new Date().toISOString();
    if (moment === 'lid' || moment === 'lidOff')
      dispatch(happen({ type: 'lidSaid', lid: { state: moment === 'lid' ? 'on' : 'off', since } }));
    else {
      const state = moment === 'power' ? 'plugged' : moment;
      dispatch(happen({ type: 'mainsSaid', mains: { state, since } }));
    }
  };
