import { diameters, type Pair } from './gear';
import { toothProfile, type Making } from './outline';

/** What two gears do as they turn together through a whole pitch. */
export interface MeshCheck {
  /** By how much the play changes while they turn: none, where the profiles are conjugate. */
  readonly unevenMm: number;
  /** The least play of either flank; negative where the teeth cut into one another. */
  readonly leastMm: number;
  /** Where that is: on the flanks, or where a tip meets a fillet. */
  readonly interferes: boolean;
}

const STEPS = 64;
const SAMPLES = 160;
/** A micrometre: what is less is the arithmetic, not the gear. */
const TOLERANCE_MM = 0.001;

/**
 * Turns a pair through one pitch and looks how near its teeth come to one another on either side.
 *
 * Cost: steps × teeth in mesh × points along a tooth, some 60,000 distances.
 *
 * @param centreMm the distance of their shafts
 * @param making how each is made: thinned teeth give the play that they turn in
 */
export function meshCheck(
  { first, second }: Pair,
  centreMm: number,
  making: readonly [Making, Making] = [{}, {}],
): MeshCheck {
  const [p1, p2] = [toothProfile(first, making[0]), toothProfile(second, making[1])];
  const pitch1 = (2 * Math.PI) / first.teeth;
  const pitch2 = (2 * Math.PI) / second.teeth;
  const radii = Array.from({ length: SAMPLES }, (_, i) => p1.rootMm + ((p1.tipMm - p1.rootMm) * (i + 0.5)) / SAMPLES);
  const d2 = diameters(second);
  const reach2 = d2.tipMm / 2;
  const plays: Array<readonly [number, number]> = [];
  let least = Infinity;
  for (let step = 0; step < STEPS; step++) {
    const turned = (pitch1 * step) / STEPS;
    // First at the left, a gap of the second facing it; they turn against one another.
    const turned2 = -(turned * first.teeth) / second.teeth;
    let [left, right] = [Infinity, Infinity];
    for (let tooth = -2; tooth <= 2; tooth++) {
      const centre = turned + tooth * pitch1;
      for (const radius of radii) {
        const half = p1.halfAngleRad(radius);
        for (const side of [-1, 1] as const) {
          const angle = centre + side * half;
          const [x, y] = [radius * Math.cos(angle) - centreMm, radius * Math.sin(angle)];
          const from2 = Math.hypot(x, y);
          if (from2 > reach2 || from2 < p2.rootMm) {
            if (from2 < p2.rootMm - 1e-9) least = Math.min(least, from2 - p2.rootMm);
            continue;
          }
          // The angle from the middle of the second's nearest gap.
          const around = Math.atan2(y, -x) + turned2;
          const gap = around - pitch2 * Math.round(around / pitch2);
          const room = pitch2 / 2 - p2.halfAngleRad(from2);
          // By how much it could turn before it touches, along the line of action.
          const play = ((room - Math.abs(gap)) * d2.baseMm) / 2;
          if (gap * side >= 0) {
            if (gap >= 0) right = Math.min(right, play);
            else left = Math.min(left, play);
          } else least = Math.min(least, play);
        }
      }
    }
    plays.push([left, right]);
    least = Math.min(least, left, right);
  }
  const uneven = (side: 0 | 1): number => {
    const all = plays.map((pair) => pair[side]).filter(Number.isFinite);
    return all.length === 0 ? 0 : Math.max(...all) - Math.min(...all);
  };
  return { unevenMm: Math.max(uneven(0), uneven(1)), leastMm: least, interferes: least < -TOLERANCE_MM };
}
