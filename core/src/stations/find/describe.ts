import type { Descriptions, EventPlace } from '../module';
import type { findEvents } from './schema';
import { VERDICT_STATE_NAMES } from './words';

const place = (): EventPlace => ({ station: 'find' });

export const findDescriptions: Descriptions<typeof findEvents> = {
  observed: { says: () => 'a test answered', place },
  observationRemoved: { says: () => 'an answer withdrawn', place },
  verdictGiven: { says: ({ verdict }) => `${verdict.words}: ${VERDICT_STATE_NAMES[verdict.state]}`, place },
  verdictRemoved: { says: () => 'a verdict withdrawn', place },
};
