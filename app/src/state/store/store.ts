import { configureStore } from '@reduxjs/toolkit';
import type { Middleware, UnknownAction } from '@reduxjs/toolkit';
import { setAutoFreeze } from 'immer';
import { reload } from '../persistence/opening';
import { followTicket } from '../persistence/book';
import { forgetFront } from '../persistence/front';
import { Keeper } from '../persistence/keeper';
import { WritingRights } from '../persistence/rights';
import { keepSettings } from '../persistence/settings';
import { summaryChanged } from './bench';
import { recordChanged, recordStranded, savingChanged } from './openTicket';
import { rootReducer, type AppDispatch, type RootState, type Services } from './types';

/** Nothing is changed in place, and freezing ten thousand tickets to prove it takes longer than showing them. */
if (import.meta.env.PROD) setAutoFreeze(false);

/** Records are large and replaced whole; in development they are walked all the same, and this is not worth a word. */
const SLOW_CHECK_MS = 250;

/** What works beside the store: told after every action what it was, and what is so now and was so before. */
type Follower = (action: UnknownAction, now: RootState, before: RootState, dispatch: AppDispatch) => void;

const following =
  (followers: readonly Follower[]): Middleware<object, RootState, AppDispatch> =>
  (api) =>
  (next) =>
  (action) => {
    const before = api.getState();
    const result = next(action);
    for (const follow of followers) follow(action as UnknownAction, api.getState(), before, api.dispatch);
    return result;
  };

/** The followers: whatever changes of the open ticket or of the settings is kept. */
const followers = ({ keeper }: Services): readonly Follower[] => [
  (_, { openTicket: { ticket } }, before) => {
    if (ticket !== before.openTicket.ticket && ticket.status === 'open' && ticket.access === 'writer')
      keeper.keep(ticket.record);
  },
  // The drawer follows what somebody does to the ticket here; what comes out of the store moves no belt.
  (action, now, before, dispatch) => {
    const [to, from] = [now.openTicket.ticket, before.openTicket.ticket];
    if (!recordChanged.match(action) || to.status !== 'open' || from.status !== 'open' || to.id !== from.id) return;
    const [after, was] = [to.record.ticket, from.record.ticket];
    if (after.drives !== was.drives && to.access === 'writer' && !keeper.isKept(to.record))
      void dispatch(followTicket(was, after));
  },
  ({ type }, now, before) => {
    const set = now.settings !== before.settings && type !== 'settings/settingsLoaded';
    if (set) void keepSettings(now.settings);
    // The first look at the bench and at the settings changes nothing: whoever did has dropped it then.
    if (set || (now.bench !== before.bench && before.bench.status !== 'loading')) forgetFront();
  },
  // What could not be saved is not in the ticket: the screen goes on from what the store has.
  (action, _, __, dispatch) => {
    if (recordStranded.match(action)) void dispatch(reload(action.payload.ticket.id));
  },
];

/** A store with what works beside it: whatever changes of the open ticket or of the settings is kept. */
export function makeStore() {
  const rights = new WritingRights();
  const services: Services = {
    keeper: new Keeper({
      saved: (summary) => void store.dispatch(summaryChanged(summary)),
      status: (id, status) => {
        const { ticket } = store.getState().openTicket;
        if (ticket.status === 'open' && ticket.id === id) store.dispatch(savingChanged(status));
      },
      mayWrite: (id) => rights.has(id),
      stranded: (record) => void store.dispatch(recordStranded(record)),
    }),
    rights,
  };
  const store = configureStore({
    reducer: rootReducer,
    middleware: (defaults) =>
      defaults({
        thunk: { extraArgument: services },
        serializableCheck: { warnAfter: SLOW_CHECK_MS },
        immutableCheck: { warnAfter: SLOW_CHECK_MS },
      }).concat(following(followers(services))),
  });
  return { store, services };
}
