import { FAULT_NAMES, memberWords } from '../../../physics/train';
import { counted } from '../../../base/units';
import type { Descriptions, EventPlace } from '../module';
import type { trainEvents } from './schema';

const measured = (): EventPlace => ({ station: 'measure' });
const timed = (): EventPlace => ({ station: 'rebuild' });

export const trainDescriptions: Descriptions<typeof trainEvents> = {
  trainPut: { says: ({ members }) => `train of ${counted(members.length, 'member')}`, place: measured },
  memberPut: {
    says: ({ member }) => {
      const fault = member.faults[member.faults.length - 1];
      return `train, ${memberWords(member)}${fault ? `, ${FAULT_NAMES[fault]}` : ''}`;
    },
    place: measured,
  },
  memberRemoved: { says: () => 'a member of the train removed', place: measured },
  trainSaid: { says: () => 'travel or motor speed', place: measured },
  toothTried: {
    says: ({ trial: { teeth, right } }) =>
      right
        ? 'a gear on its mark'
        : `a gear tried ${counted(Math.abs(teeth), 'tooth', 'teeth')} ${teeth < 0 ? 'back' : 'on'}`,
    place: timed,
  },
  rollersPut: { says: () => 'rollers', place: measured },
  modePut: { says: () => 'mode gear', place: timed },
  squarePut: { says: () => 'how it sits', place: timed },
  placesPut: { says: () => 'where on its way it asks for more', place: measured },
};
