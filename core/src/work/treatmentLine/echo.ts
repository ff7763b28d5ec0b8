import { DEED_NAMES, OUTCOME_NAMES } from '../cleaning';
import { AGENT_NAMES, DIRT_NAMES } from '../compatibility';
import { capital, counted } from '../../base/units';
import type { TreatmentDeed } from './types';

const timeWords = (minutes: number): string =>
  minutes >= 120 ? `${Math.round(minutes / 6) / 10} h` : `${minutes} min`;

/**
 * What was understood, in words.
 *
 * @example echoOf([{ type: 'levers', out: false }]) // 'Switch levers in again.'
 */
export function echoOf(does: readonly TreatmentDeed[]): string {
  const words = does.map((deed): string => {
    switch (deed.type) {
      case 'seen':
        return `${deed.place.name} found ${DIRT_NAMES[deed.dirt]}`;
      case 'left':
        return `${deed.place.name}: “${deed.words}”, left and written on the papers`;
      case 'slip':
        return `${deed.place.name} ${deed.slip === 'holds' ? 'holds' : deed.slip === 'slips' ? 'slips at once' : 'slips when held hard'}`;
      case 'warm':
        return `${deed.place.name} to be warmed: its length first`;
      case 'levers':
        return deed.out ? 'switch levers out: to reverse before power' : 'switch levers in again';
      case 'swab':
        return `${deed.place.name}: a ${deed.swab} swab`;
      case 'place':
        return `${deed.place.name} on the map`;
      case 'treat': {
        const { deed: what, agent, way, strokes, amount, swabs, outcome, minutes } = deed.told;
        if (what === 'handsClean') return 'hands washed';
        const parts = [
          DEED_NAMES[what],
          agent ? AGENT_NAMES[agent] : '',
          way,
          amount,
          strokes > 0 ? counted(strokes, 'stroke') : '',
          minutes !== undefined ? timeWords(minutes) : '',
          deed.told.dryMinutes !== undefined ? `dry after ${timeWords(deed.told.dryMinutes)}` : '',
          swabs.length > 0 ? counted(swabs.length, 'swab') : '',
          OUTCOME_NAMES[outcome],
        ].filter((part) => part !== '');
        return `${deed.place ? `${deed.place.name}: ` : ''}${parts.join(', ')}`;
      }
    }
  });
  return `${words.map(capital).join('. ')}.`;
}
