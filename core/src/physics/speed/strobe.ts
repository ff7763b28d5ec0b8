import { ok, refuse, type Result } from '../../base/units';

/** Mains frequencies for which a strobe disc is made. */
export const MAINS_HZ = [50, 60] as const;
export type MainsHz = (typeof MAINS_HZ)[number];

/** One ring of bars on a strobe disc. */
export interface StrobeRing {
  readonly mainsHz: MainsHz;
  readonly bars: number;
  /** The speed at which these bars really stand still: not the one asked for, where that wants no whole number. */
  readonly rpm: number;
}

/** Fewer bars cannot be told from a blur, more cannot be printed. */
const MIN_BARS = 3;
const MAX_BARS = 720;

/**
 * Bars of a disc that stands still at a speed, under a lamp that flashes at twice the mains frequency: 120·f/rpm,
 * rounded, with the speed that so many bars really show. Many LED lamps do not flash so.
 *
 * @returns the ring; refused where nothing turns, or it would need too few bars or too many
 * @example strobeRing(45, 50) // { mainsHz: 50, bars: 133, rpm: 45.11 }
 */
export function strobeRing(rpm: number, mainsHz: MainsHz): Result<StrobeRing> {
  if (!(rpm > 0)) return refuse('The speed must be more than 0.');
  const bars = Math.round((120 * mainsHz) / rpm);
  if (bars < MIN_BARS) {
    return refuse(
      `${rpm} rpm would need ${((120 * mainsHz) / rpm).toFixed(1)} bars at ${mainsHz} Hz: too fast for a printed disc. Take the index pulses instead.`,
    );
  }
  if (bars > MAX_BARS) return refuse(`${rpm} rpm would need ${bars} bars at ${mainsHz} Hz: too many to print.`);
  return ok({ mainsHz, bars, rpm: (120 * mainsHz) / bars });
}

const n = (value: number): string => value.toFixed(3);

/**
 * The bars of a ring as one SVG path: each as wide as the gap beside it.
 *
 * @param innerMm, outerMm radii of the ring
 */
export function strobePath({ bars }: StrobeRing, innerMm: number, outerMm: number): string {
  const half = Math.PI / (2 * bars);
  return Array.from({ length: bars }, (_, bar) => {
    const middle = (2 * Math.PI * bar) / bars;
    const at = (radius: number, angle: number) => `${n(radius * Math.cos(angle))} ${n(radius * Math.sin(angle))}`;
    const [from, to] = [middle - half, middle + half];
    return `M${at(innerMm, from)}L${at(outerMm, from)}A${n(outerMm)} ${n(outerMm)} 0 0 1 ${at(outerMm, to)}L${at(innerMm, to)}A${n(innerMm)} ${n(innerMm)} 0 0 0 ${at(innerMm, from)}Z`;
  }).join('');
}
