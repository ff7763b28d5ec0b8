import { AGENT_NAMES, isLubricant } from '../compatibility';
import { capital, counted } from '../../base/units';
import type { CleanDeed, Feel, Outcome, PlaceTreatment, Slip, Swab } from './schema';

export const DEED_NAMES: Readonly<Record<CleanDeed, string>> = {
  wipe: 'wiped',
  wash: 'washed',
  soak: 'soaked',
  pick: 'picked out',
  strokes: 'worked',
  spotTest: 'spot test',
  oldGreaseOff: 'old grease off',
  lubricate: 'lubricated',
  excessWiped: 'excess wiped',
  workedIn: 'worked in',
  dried: 'dry',
  handsClean: 'hands washed',
  other: '',
};
export const OUTCOME_NAMES: Readonly<Record<Outcome, string>> = {
  unknown: '',
  clean: 'clean',
  better: 'better',
  same: 'no better',
  tacky: 'clean and tacky',
  stillDirty: 'still dirty',
  harmed: 'harmed by it',
};
export const SWAB_NAMES: Readonly<Record<Swab, string>> = { black: 'black', grey: 'grey', clean: 'clean' };
export const SLIP_NAMES: Readonly<Record<Slip, string>> = {
  slips: 'slips at once',
  slipsHard: 'slips when held hard',
  holds: 'fingers cannot make it slip',
};
export const FEEL_NAMES: Readonly<Record<Feel, string>> = { stiff: 'stiff', middling: 'middling', free: 'free' };

/**
 * A treatment in words, as the list of what was done has it.
 *
 * @example treatmentWords(ticket.cleaning.treatments[0], 'drive pulley') // 'drive pulley: wiped, acetone, swab, 3 swabs, 2 clean'
 */
export function treatmentWords(done: PlaceTreatment, placeName: string): string {
  const { deed, agent, way, strokes, amount, swabs, outcome, line } = done;
  if (deed === 'handsClean') return 'hands washed';
  if (deed === 'other' && !agent) return line;
  const clean = swabs.filter((one) => one === 'clean').length;
  const parts = [
    DEED_NAMES[deed],
    agent ? AGENT_NAMES[agent] : '',
    way,
    amount,
    strokes > 0 ? counted(strokes, 'stroke') : '',
    swabs.length > 0 ? `${counted(swabs.length, 'swab')}, ${clean} clean` : '',
    OUTCOME_NAMES[outcome],
  ].filter((part) => part !== '');
  return `${placeName === '' ? '' : `${placeName}: `}${parts.join(', ')}`;
}

/** The same as the papers and the proof have it: what was done to what. @example 'Rods: old grease off' // 'Rods: old grease off' */
export function treatmentSaid(done: PlaceTreatment, placeName: string): string {
  const { deed, agent, line } = done;
  if (deed === 'other') return line;
  if (deed === 'oldGreaseOff') return `${capital(placeName)}: old grease off`;
  if (deed === 'lubricate') return `${capital(placeName)}: new ${agent ? AGENT_NAMES[agent] : 'lubricant'}`;
  if (deed === 'strokes') return `${capital(placeName)} cleaned and worked`;
  if (agent && isLubricant(agent)) return `${capital(placeName)}: ${AGENT_NAMES[agent]}`;
  return `${capital(placeName)} ${deed === 'wash' || deed === 'soak' ? 'washed' : 'cleaned'}`;
}

/** Deeds after which a fault may be gone: what a new proof may answer. Hands, spot tests, drying and notes are none. */
export const isCure = ({ deed, agent, outcome }: Pick<PlaceTreatment, 'deed' | 'agent' | 'outcome'>): boolean =>
  !['spotTest', 'handsClean', 'dried', 'excessWiped', 'workedIn', 'other'].includes(deed) &&
  outcome !== 'harmed' &&
  // “Rods no better” tells of a treatment, and is none.
  !(agent === null && (outcome === 'same' || outcome === 'stillDirty'));
