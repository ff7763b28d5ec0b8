import { namedFields, type Descriptions, type EventPlace } from '../module';
import type { handBackEvents } from './schema';
import { OFFER_NAMES } from './words';

const place = (): EventPlace => ({ station: 'handBack' });
const FIELDS = {
  found: 'found',
  done: 'done',
  left: 'noticed and left',
  own: 'in own words',
  notTested: 'not tested',
  provisional: 'provisional',
  dueOn: 'due on',
  minutes: 'bench minutes',
  cost: 'cost',
};

export const handBackDescriptions: Descriptions<typeof handBackEvents> = {
  offerPut: { says: ({ offer }) => `offered: ${offer.what}, ${OFFER_NAMES[offer.answer]}`, place },
  offerRemoved: { says: () => 'an offer removed', place },
  handBackWritten: { says: ({ changes }) => `hand back, ${namedFields(FIELDS, changes)}`, place },
  ticketClosed: { says: () => 'handed back', place },
  ticketReopened: { says: () => 'opened again', place },
};
