import { changes, upsert, without, type Reducers, type StateOf } from '../module';
import type { handBackEvents, handBackState } from './schema';

export const handBackReducers: Reducers<StateOf<typeof handBackState>, typeof handBackEvents> = {
  offerPut: ({ offers }, { offer }) => changes({ offers: upsert(offers, offer) }),
  offerRemoved: ({ offers }, { offerId }) => changes({ offers: without(offers, offerId) }),
  handBackWritten: ({ handBack }, event) => changes({ handBack: { ...handBack, ...event.changes } }),
  ticketClosed: (_, { at, despite }) => changes({ closedAt: at, closedDespite: despite }),
  ticketReopened: () => changes({ closedAt: null, closedDespite: '' }),
};
