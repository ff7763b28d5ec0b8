import { PLACE_KNOWN } from './kinds';
import type { LubricantRuleId, Place } from './schema';
import type { PlaceState } from './state';

/** What each school says for itself, where they differ. Common practice, no source. */
export const LUBRICANT_RULE_WORDS: Readonly<Record<Exclude<LubricantRuleId, 'unknown'>, string>> = {
  oil: 'Fine oil on guides and rods: it runs freest, creeps into every pair, and nothing hardens. It also creeps away, towards the belt, and has to be renewed.',
  grease:
    'Light grease on guides and rods: it stays where it is put and damps the tray. Too much drags, and in ten years it is the next hardened grease.',
};

/** A drop from a fine needle is about a ball of this diameter. From memory, no source. */
export const DROP_DIAMETER_MM = 3.86;
/** A film of grease that is seen and does not smear. Common practice, no source. */
export const FILM_MM = 0.05;

/** The volume of a drop, taken for a ball: π·d³/6. @example dropMl(3.86) // 0.0301 */
export const dropMl = (diameterMm: number): number => (Math.PI * diameterMm ** 3) / 6 / 1000;

/** The volume of a film round a rod: π·d·l·t. @example filmOnRodMl(6, 120, 0.05) // 0.1131 */
export const filmOnRodMl = (diameterMm: number, lengthMm: number, thicknessMm = FILM_MM): number =>
  (Math.PI * diameterMm * lengthMm * thicknessMm) / 1000;

/** Drops to the film of a rod. @example dropsFor(0.1131) // 4 */
export const dropsFor = (volumeMl: number): number => Math.max(1, Math.round(volumeMl / dropMl(DROP_DIAMETER_MM)));

/** Where a point of lubrication stands. */
export type LubricationStep = 'oldGreaseOff' | 'lubricate' | 'workIn' | 'wipeExcess' | 'done';

/**
 * What comes next at a point that is to run: old grease off first, then the lubricant, worked in, and wiped where the
 * belt is within reach.
 *
 * @returns undefined where nothing that lubricates belongs
 * @example nextLubrication({ ...place, kind: 'rod' }, placeState(place, [], null), false) // 'oldGreaseOff'
 */
export function nextLubrication(place: Place, state: PlaceState, inReach: boolean): LubricationStep | undefined {
  if (!PLACE_KNOWN[place.kind].lubrication) return undefined;
  if (!state.lubricant) return state.oldGreaseOff || state.clean ? 'lubricate' : 'oldGreaseOff';
  if (!state.workedIn) return 'workIn';
  return inReach && !state.excessWiped ? 'wipeExcess' : 'done';
}

/** What goes on a place: what all agree on, else what this bench’s school has; null until it is asked. */
export const lubricantFor = (place: Pick<Place, 'kind'>, school: LubricantRuleId): 'oil' | 'grease' | null => {
  const point = PLACE_KNOWN[place.kind].lubrication;
  if (!point) return null;
  return point.agreed ?? (school === 'unknown' ? null : school);
};
