import { refuse } from '../../../base/units';
import { changes, type Reducers, type StateOf } from '../module';
import type { practiceEvents, practiceState } from './schema';

const NO_MACHINE = refuse('This is a ticket of a real machine: practice happens on tickets of its own.');

export const practiceReducers: Reducers<StateOf<typeof practiceState>, typeof practiceEvents> = {
  machineDealt: ({ practice }, { dealt }) =>
    practice
      ? refuse('A machine is dealt once to a ticket.')
      : changes({ practice: { dealt, hands: [], asked: [], ended: null } }),
  handLaid: ({ practice }, { hand }) => {
    if (!practice) return NO_MACHINE;
    if (practice.ended) return refuse('It has gone back: take the same machine again to try something else.');
    return changes({ practice: { ...practice, hands: [...practice.hands, hand] } });
  },
  helpAsked: ({ practice }, { station }) =>
    practice ? changes({ practice: { ...practice, asked: [...practice.asked, station] } }) : NO_MACHINE,
  practiceEnded: ({ practice }, { ended }) => (practice ? changes({ practice: { ...practice, ended } }) : NO_MACHINE),
};
