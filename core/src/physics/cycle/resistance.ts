import type { CycleConditions, CycleTravel, Place } from './types';

/** Each so many degrees of warming halve what grease resists: from memory of the trade, no source. */
const GREASE_HALVES_C = 11;
/** By what share dry friction falls with each degree: from memory, no source. */
const DRY_A_DEGREE = 0.004;
const ROOM_C = 20;
/** Of its pull at no distance, what the clamp’s magnet has left through a disc: from memory, no source. */
const THROUGH_DISC = 0.55;
/** How much faster guides hold after so many hours of rest, a tenfold of time: from memory, no source. */
const IDLE_A_DECADE = 0.05;
const heldAfter = (idleHours: number): number => IDLE_A_DECADE * Math.log10(1 + idleHours);
/** A tap lifts the friction of rest for a moment: so much of it is left. */
const TAPPED_LEFT = 0.25;
const GRAVITY_N_A_G = 9.81e-3;

/** Dry friction against its figure at 20 °C, never less than half of it. */
const dryAt = (roomC: number): number => Math.max(0.5, 1 - DRY_A_DEGREE * (roomC - ROOM_C));
/** Grease against its figure at 20 °C. @example greaseAt(9) // 2 */
export const greaseAt = (roomC: number): number => 2 ** ((ROOM_C - roomC) / GREASE_HALVES_C);

/** What of a pull is not plain dry friction, as shares of it: grease at the speed that it runs at, and the hold of rest. */
export interface GuideShares {
  readonly greaseShare: number;
  readonly restShare: number;
}

/** Half of what turns a spindle is the oil in its bearing: from memory of the trade, no source. */
export const SPINDLE_OIL: GuideShares = { greaseShare: 1, restShare: 0.08 };

/**
 * How many times of what it takes on the bench it takes to move the same in a room, after so many hours of rest: the larger
 * of what it takes to keep it moving and to start it.
 *
 * Source: MODEL.md §6; the figures are from memory of the trade.
 *
 * For instance needTimes({ roomC: 8, idleHours: 12 }, { greaseShare: 0.12, restShare: 0.08 }): 1.164
 */
export function needTimes(
  { roomC, idleHours }: Pick<CycleConditions, 'roomC' | 'idleHours'>,
  { greaseShare, restShare }: GuideShares,
): number {
  const dry = dryAt(roomC);
  const held = restShare + heldAfter(idleHours);
  return Math.max((dry + greaseShare * greaseAt(roomC)) / (1 + greaseShare), (dry * (1 + held)) / (1 + restShare));
}

/** What resists a travel, at the conditions of one cycle: forces at the tray. */
export interface Resistance {
  /** Dry friction while it moves without a film, by place. */
  dryN(atMm: number): number;
  /** How much more than `dryN` it holds at rest. */
  readonly restShare: number;
  /** What has to be overcome at a place whichever way it stands: against opening where above zero. */
  againstN(atMm: number): number;
  /** Grease, N·s/mm. */
  readonly viscousNsPerMm: number;
}

/** A bump over a place: nothing at its edges, all of it in its middle, so that no step in force is met. */
const bump = ({ fromMm, toMm, forceN }: Place, atMm: number): number =>
  atMm <= fromMm || atMm >= toMm ? 0 : forceN * Math.sin((Math.PI * (atMm - fromMm)) / (toMm - fromMm));

/**
 * What resists a travel under conditions: cold thickens grease and dries guides a little, a long rest makes them hold, a
 * tap takes that away, a disc lies between clamp and magnet, and on its side the mass is lifted.
 *
 * Sources: MODEL.md §6; Stribeck’s curve (1902) for what falls with speed. The figures are from memory of the trade.
 */
export function resistanceOf(load: CycleTravel, on: CycleConditions): Resistance {
  const dry = dryAt(on.roomC);
  const binds = load.places.filter(({ kind }) => kind === 'binds');
  const lifts = load.places.filter(({ kind }) => kind !== 'binds');
  const held = load.restShare + heldAfter(on.idleHours);
  const weightN = on.onItsSide ? load.massG * GRAVITY_N_A_G : 0;
  const share = ({ kind }: Place): number => (kind === 'clamps' && on.disc ? THROUGH_DISC : 1);
  return {
    dryN(atMm) {
      let sum = load.guideN;
      for (const one of binds) sum += bump(one, atMm);
      return sum * dry;
    },
    restShare: on.tapped ? held * TAPPED_LEFT : held,
    againstN(atMm) {
      let sum = weightN;
      for (const one of lifts) sum += share(one) * bump(one, atMm);
      return sum;
    },
    viscousNsPerMm: load.viscousNsPerMm * greaseAt(on.roomC),
  };
}
