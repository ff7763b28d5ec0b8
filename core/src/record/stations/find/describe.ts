import type { Descriptions, EventPlace } from '../module';
import type { findEvents } from './schema';
import { VERDICT_STATE_NAMES } from './words';

const plain = (id: string): string => id.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
const place = (): EventPlace => ({ station: 'find' });

export const findDescriptions: Descriptions<typeof findEvents> = {
  // The knowledge may be a bench’s own: its ids are words of their own.
  observed: {
    says: ({ observation }) => `answered: ${plain(observation.testId)}, ${plain(observation.outcome)}`,
    place,
  },
  observationRemoved: { says: () => 'an answer withdrawn', place },
  verdictGiven: { says: ({ verdict }) => `${verdict.words}: ${VERDICT_STATE_NAMES[verdict.state]}`, place },
  verdictRemoved: { says: () => 'a verdict withdrawn', place },
  findingSettled: {
    says: ({ settlement }) => `settled: ${plain(settlement.kept)}, not ${plain(settlement.dropped)}`,
    place,
  },
};
