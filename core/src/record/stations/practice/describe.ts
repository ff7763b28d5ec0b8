import { STATION_NAMES, type Descriptions, type EventPlace } from '../module';
import type { practiceEvents } from './schema';

const takeIn = (): EventPlace => ({ station: 'takeIn' });

export const practiceDescriptions: Descriptions<typeof practiceEvents> = {
  machineDealt: { says: ({ dealt }) => `a machine dealt, number ${dealt.number}`, place: takeIn },
  handLaid: { says: ({ hand }) => `hands: ${hand.words || hand.do}`, place: takeIn },
  helpAsked: {
    says: ({ station }) => `help asked at ${STATION_NAMES[station]}`,
    place: ({ station }) => ({ station }),
  },
  practiceEnded: {
    says: ({ ended }) => (ended.cured ? 'practice ended, cured' : 'practice ended, not cured'),
    place: () => ({ station: 'handBack' }),
  },
};
