import { formatDay } from '../../../base/units';
import { namedFields, STATION_NAMES, type Descriptions, type EventPlace } from '../module';
import type { deskEvents } from './schema';
import { LID_NAMES, MAINS_NAMES, MARK_NAMES, WAITING_NAMES } from './words';

const takeIn = (): EventPlace => ({ station: 'takeIn' });
const DETAILS = { number: 'number', machine: 'machine', loader: 'kind of loader', serial: 'serial', owner: 'owner' };

export const deskDescriptions: Descriptions<typeof deskEvents> = {
  detailsChanged: { says: ({ changes }) => `${namedFields(DETAILS, changes)} changed`, place: takeIn },
  waitingChanged: { says: ({ waiting }) => `waiting for ${WAITING_NAMES[waiting.for]}`, place: takeIn },
  stationMarked: {
    says: ({ station, mark }) => `${STATION_NAMES[station]} marked ${MARK_NAMES[mark]}`,
    place: ({ station }) => ({ station }),
  },
  noteWritten: { says: ({ station }) => `note on ${STATION_NAMES[station]}`, place: ({ station }) => ({ station }) },
  mainsSaid: { says: ({ mains }) => `mains: ${MAINS_NAMES[mains.state]}`, place: takeIn },
  lidSaid: { says: ({ lid }) => `lid ${LID_NAMES[lid.state]}`, place: takeIn },
  promised: {
    says: ({ promise }) => (promise ? `promised by ${formatDay(promise.at)}` : 'promise taken back'),
    place: takeIn,
  },
  sameMachineSaid: {
    says: ({ as }) => (as === null ? 'said to be another machine' : 'said to have been here before'),
    place: takeIn,
  },
  timerPut: {
    says: ({ timer }) => (timer.endedAt === null ? `timer, ${timer.what}` : `timer seen to, ${timer.what}`),
    place: takeIn,
  },
};
