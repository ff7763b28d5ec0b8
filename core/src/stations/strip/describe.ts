import { TEMPORARY_CHANGE } from '../../strip';
import type { Descriptions, EventPlace } from '../module';
import type { stripEvents } from './schema';

const place = (): EventPlace => ({ station: 'strip' });

export const stripDescriptions: Descriptions<typeof stripEvents> = {
  stepPut: {
    says: ({ step: { number, what, removals } }) => {
      const last = removals[removals.length - 1];
      const how = last ? (last.back === null ? 'off' : 'back') : 'noted';
      return number === 0 ? `note “${what}”` : `${number} ${what}, ${how}`;
    },
    place: ({ step }) => ({ station: step.removals.some(({ back }) => back !== null) ? 'rebuild' : 'strip' }),
  },
  stepRemoved: { says: () => 'a step removed', place },
  openedAgain: { says: () => 'opened once more', place },
  temporaryChangePut: {
    says: ({ change }) =>
      change.closedAt === null ? `${TEMPORARY_CHANGE}: ${change.words}` : `reversed: ${change.words}`,
    place: ({ change }) => ({ station: change.closedAt === null ? 'strip' : 'rebuild' }),
  },
  foundPut: { says: ({ found }) => (found.homed ? `placed: ${found.what}` : `found: ${found.what}`), place },
  foundRemoved: { says: () => 'something found removed', place },
  parked: { says: ({ park }) => (park ? 'parked' : 'taken up again'), place },
};
