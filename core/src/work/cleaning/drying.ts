import { isLubricant, type Agent, type Compatibility } from '../compatibility';
import { clock, timerState, type Timer } from '../../base/timers';
import { PLACE_KNOWN } from './kinds';
import type { CleanDeed, Cleaning, Place } from './schema';
import { placeState } from './state';

/** Keys that were washed dry a whole day, whatever the table says of water. From memory, no source. */
const KEYS_DRY_MINUTES = 24 * 60;

/**
 * Minutes until a place is dry after an agent.
 *
 * @example dryMinutesOf(COMPATIBILITY, 'isopropanol', 'drivenPulley', 'wipe') // 2
 */
export function dryMinutesOf(table: Compatibility, agent: Agent | null, kind: Place['kind'], deed: CleanDeed): number {
  if (agent === null || isLubricant(agent) || deed === 'spotTest') return 0;
  if (kind === 'key' && (agent === 'water' || agent === 'soapyWater')) return KEYS_DRY_MINUTES;
  return table.dryMinutes[agent] ?? 0;
}

/** Whether a place’s name is of several things: rods, guides of the upper deck; a lens is one. */
const isSeveral = (name: string): boolean => /[^s]s$/.test(name.split(',')[0] ?? '') && !/\blens$/.test(name);

const VERBS = {
  dry: ['dries', 'dry'],
  soak: ['soaks', 'soak'],
  warm: ['warms', 'warm'],
  cool: ['cools', 'cool'],
} as const;
/**
 * What takes its time at a place, as a timer bears it.
 *
 * @example takesTime('drive pulley', 'dry') // 'drive pulley dries'; takesTime('rods', 'dry') // 'rods dry'
 */
export const takesTime = (name: string, what: keyof typeof VERBS): string =>
  `${name.slice(0, 70)} ${VERBS[what][isSeveral(name) ? 1 : 0]}`;

/** Something that still holds back the belt, or the power. */
export interface Held {
  readonly words: string;
  readonly placeId: string | null;
  /** The timer that ends it; undefined where a hand does. */
  readonly timerId?: string;
  readonly ends: 'dry' | 'wipe' | 'hands';
}

/** What a machine holds back by. */
export interface HeldBy {
  readonly cleaning: Cleaning;
  readonly places: readonly Place[];
  readonly timers: readonly Timer[];
}

/** Timers of places that still run. One whose clock was set back counts by what it was set to. */
function drying({ timers, places }: HeldBy, nowMs: number): ReadonlyArray<Held & { readonly place: Place }> {
  return timers.flatMap((timer) => {
    const place = places.find(({ id }) => id === timer.placeId);
    const state = timerState(timer, nowMs);
    return place && state.status === 'running'
      ? [
          {
            place,
            placeId: place.id,
            timerId: timer.id,
            ends: 'dry' as const,
            words: `the ${timer.what} another ${clock(state.leftS)}${state.clockBack ? ', by another clock: this one was set back' : ''}`,
          },
        ]
      : [];
  });
}

/** Hands that touched grease, oil or tar since they were last washed. */
export function handsDirty({ treatments }: Pick<Cleaning, 'treatments'>): boolean {
  const dirty = (one: Cleaning['treatments'][number]): boolean =>
    one.deed === 'oldGreaseOff' || one.deed === 'lubricate' || (one.agent !== null && isLubricant(one.agent));
  const last = treatments.findLastIndex(dirty);
  return last >= 0 && !treatments.slice(last + 1).some(({ deed }) => deed === 'handsClean');
}

/** Whether the belt is within reach of a place. */
export const beltInReach = (place: Place): boolean => place.nearBelt ?? PLACE_KNOWN[place.kind].nearBelt;

/**
 * What still holds back the belt of a drive: what dries, what is not wiped, hands that are greasy.
 *
 * @param driveId the drive whose belt it is; null for any
 * For instance heldBelt(by, null, now).map(({ words }) => words): ['the drive pulley dries another 1:20']
 */
export function heldBelt(by: HeldBy, driveId: string | null, nowMs: number): readonly Held[] {
  const own = (place: Place): boolean => driveId === null || place.driveId === null || place.driveId === driveId;
  const wet = drying(by, nowMs).filter(({ place }) => own(place) && PLACE_KNOWN[place.kind].driesBefore === 'belt');
  const unwiped = by.places.flatMap((place): Held[] => {
    if (!beltInReach(place) || !own(place)) return [];
    const { lubricant, excessWiped } = placeState(place, by.cleaning.treatments, null);
    return lubricant && !excessWiped
      ? [{ placeId: place.id, ends: 'wipe', words: `the ${place.name}: wipe the excess, the belt is within reach` }]
      : [];
  });
  return [
    ...wet.map(({ words, placeId, timerId, ends }) => ({ words, placeId, ends, ...(timerId && { timerId }) })),
    ...unwiped,
    ...(handsDirty(by.cleaning)
      ? [{ placeId: null, ends: 'hands' as const, words: 'your hands: wash the grease off first' }]
      : []),
  ];
}

/** What still holds back the power: whatever is wet inside. */
export const heldPower = (by: HeldBy, nowMs: number): readonly Held[] =>
  drying(by, nowMs).map(({ words, placeId, timerId, ends }) => ({ words, placeId, ends, ...(timerId && { timerId }) }));
