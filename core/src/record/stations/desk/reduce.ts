import { changes, upsert, type Reducers, type StateOf } from '../module';
import type { deskEvents, deskState } from './schema';

export const deskReducers: Reducers<StateOf<typeof deskState>, typeof deskEvents> = {
  detailsChanged: (_, event) => changes({ ...event.changes }),
  waitingChanged: (_, { waiting }) => changes({ waiting }),
  stationMarked: ({ stations }, { station, mark }) => changes({ stations: { ...stations, [station]: mark } }),
  noteWritten: ({ notes }, { station, text }) => changes({ notes: { ...notes, [station]: text } }),
  mainsSaid: (_, { mains }) => changes({ mains }),
  lidSaid: (_, { lid }) => changes({ lid }),
  sameMachineSaid: (_, { as }) => changes({ sameAs: as }),
  promised: (_, { promise }) => changes({ promise }),
  timerPut: ({ timers }, { timer }) => changes({ timers: upsert(timers, timer) }),
};
