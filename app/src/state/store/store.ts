import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit';
import { setAutoFreeze } from 'immer';
import { reload } from '../persistence/actions';
import { followTicket, heldTries } from '../persistence/book';
import { forgetFront } from '../persistence/front';
import { Keeper } from '../persistence/keeper';
import { WritingRights } from '../persistence/rights';
import { keepSettings } from '../persistence/settings';
import { summaryChanged } from './bench';
import { recordStranded, savingChanged } from './openTicket';
import { rootReducer, type AppDispatch, type RootState, type Services } from './types';

/** Nothing is changed in place, and freezing ten thousand tickets to prove it takes longer than showing them. */
if (import.meta.env.PROD) setAutoFreeze(false);

/** Records are large and replaced whole; in development they are walked all the same, and this is not worth a word. */
const SLOW_CHECK_MS = 250;

/** What the open ticket has out of the drawer, as one word: looked at after every action, so only where drives differ. */
const words = new WeakMap<object, string>();
function heldBy({ openTicket: { ticket } }: RootState): string {
  if (ticket.status !== 'open' || ticket.access !== 'writer') return '';
  const { id, drives } = ticket.record.ticket;
  const known = words.get(drives) ?? [...heldTries(ticket.record.ticket).keys()].join(' ');
  words.set(drives, known);
  return `${id} ${known}`;
}

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
  const listeners = createListenerMiddleware<RootState, AppDispatch>();
  const store = configureStore({
    reducer: rootReducer,
    middleware: (defaults) =>
      defaults({
        thunk: { extraArgument: services },
        serializableCheck: { warnAfter: SLOW_CHECK_MS },
        immutableCheck: { warnAfter: SLOW_CHECK_MS },
      }).prepend(listeners.middleware),
  });
  listeners.startListening({
    predicate: (_, now, before) => now.openTicket.ticket !== before.openTicket.ticket,
    effect: (_, api) => {
      const { ticket } = api.getState().openTicket;
      if (ticket.status === 'open' && ticket.access === 'writer') services.keeper.keep(ticket.record);
    },
  });
  // The drawer follows the ticket: what its tries have out, and what failed.
  listeners.startListening({
    predicate: (_, now, before) => heldBy(now) !== heldBy(before),
    effect: (_, api) => {
      const { ticket } = api.getState().openTicket;
      if (ticket.status === 'open' && ticket.access === 'writer') void api.dispatch(followTicket(ticket.record.ticket));
    },
  });
  listeners.startListening({
    predicate: (action, now, before) => now.settings !== before.settings && action.type !== 'settings/settingsLoaded',
    effect: (_, api) => keepSettings(api.getState().settings),
  });
  listeners.startListening({
    // The first look at the bench and at the settings changes nothing: whoever did has dropped it then.
    predicate: (action, now, before) =>
      (now.settings !== before.settings && action.type !== 'settings/settingsLoaded') ||
      (now.bench !== before.bench && before.bench.status !== 'loading'),
    effect: forgetFront,
  });
  // What could not be saved is not in the ticket: the screen goes on from what the store has.
  listeners.startListening({
    actionCreator: recordStranded,
    effect: ({ payload }, api) => void api.dispatch(reload(payload.ticket.id)),
  });
  return { store, services };
}
