import { FATES_KNOWN, goesBack, TEMPORARY_CHANGE } from '../../../work/strip';
import type { Descriptions, EventPlace } from '../module';
import type { stripEvents } from './schema';

const place = (): EventPlace => ({ station: 'strip' });

export const stripDescriptions: Descriptions<typeof stripEvents> = {
  stepPut: {
    says: ({ step }) => {
      const last = step.removals[step.removals.length - 1];
      const how = !last || !goesBack(step.fate) || last.back === null ? FATES_KNOWN[step.fate].name : 'back';
      return `${step.number === 0 ? 'note' : step.number} ${step.what}, ${how}`;
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
