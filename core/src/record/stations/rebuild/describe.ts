import type { Descriptions, EventPlace } from '../module';
import type { rebuildEvents } from './schema';

const place = (): EventPlace => ({ station: 'rebuild' });

export const rebuildDescriptions: Descriptions<typeof rebuildEvents> = {
  orderSaid: { says: () => 'this before that', place },
  orderRemoved: { says: () => 'an order removed', place },
  gearTried: { says: ({ trial }) => `gear tried: ${trial.what}`, place },
};
