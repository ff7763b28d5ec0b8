import { changes, upsert, without, type Reducers, type StateOf } from '../module';
import { FILLED, type handBackEvents, type handBackState } from './schema';

export const handBackReducers: Reducers<StateOf<typeof handBackState>, typeof handBackEvents> = {
  offerPut: ({ offers }, { offer }) => changes({ offers: upsert(offers, offer) }),
  offerRemoved: ({ offers }, { offerId }) => changes({ offers: without(offers, offerId) }),
  handBackWritten: ({ handBack }, event) => {
    // What was written once is the bench's own, emptied too, until it is given back.
    const written = FILLED.filter((field) => field in event.changes);
    const own = event.changes.own ?? FILLED.filter((field) => handBack.own.includes(field) || written.includes(field));
    return changes({ handBack: { ...handBack, ...event.changes, own } });
  },
  ticketClosed: (_, { at, despite }) => changes({ closedAt: at, closedDespite: despite }),
  ticketReopened: () => changes({ closedAt: null, closedDespite: '' }),
};
