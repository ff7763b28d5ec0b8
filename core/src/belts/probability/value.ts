import { THRESHOLDS } from '../../base/thresholds';
import { isTurned } from '../../base/loaders';
import type { Situation } from '../sizing';
import { bellCurve, seeded } from '../../base/statistics';
import type { Samples } from './samples';

/** What one more measurement is expected to add to the chance of the belt then chosen. */
export interface MeasurementValue {
  readonly what: Measurable;
  /** Chance of the best belt after it, less its chance now. Never below 0. */
  readonly gain: number;
}
export type Measurable = 'path' | 'motorDiameter' | 'trayPull' | 'stallPull' | 'trayTravel';

/** What a careful reading of each would still leave open, relative; the path in mm. From the methods' own figures. */
const AFTER = { pathMm: 0.5, motorDiameter: 0.01, trayPull: 0.07, stallPullN: 0.15, trayTravel: 0.03 };
/** What a spindle does not have. */
const AT_THE_TRAY: ReadonlySet<Measurable> = new Set(['trayPull', 'stallPull', 'trayTravel']);
const BINS = 16;

/**
 * The value of each measurement that is still open: samples are sorted by what it would show, split into bins, and the
 * best belt is chosen in each. Chosen by one half of the draws and counted by the other, both ways round, so that the
 * choice cannot flatter itself.
 *
 * @param outcomes of the belts that stand a chance, a few dozen
 */
export function valueOfMeasuring(
  samples: Samples,
  situation: Situation,
  outcomes: Uint8Array,
  weights: Float64Array,
): MeasurementValue[] {
  const { count } = samples;
  const belts = outcomes.length / count;
  if (belts === 0) return [];
  const noise = bellCurve(seeded(count));
  const now = chosenBy(outcomes, weights, belts, [every(count)]);
  const spreadOf = (values: Float64Array): number => {
    const mean = values.reduce((sum, value) => sum + value, 0) / count;
    return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / count);
  };
  const open: ReadonlyArray<readonly [Measurable, Float64Array, number]> = [
    ['path', samples.pathMm, AFTER.pathMm],
    ['motorDiameter', samples.motorRadiusMm, AFTER.motorDiameter * 3],
    ['trayPull', samples.trayPullN, AFTER.trayPull * 1.4],
    [
      'stallPull',
      samples.trayPullN.map((pullN, i) => pullN * ((samples.stallNmm[i] ?? 0) / (samples.needNmm[i] ?? 1) - 1)),
      AFTER.stallPullN,
    ],
    ['trayTravel', samples.travelPerTurnMm, AFTER.trayTravel * 2.2],
  ];
  return open
    .filter(
      ([what, values, left]) =>
        !(isTurned(situation.driven) && AT_THE_TRAY.has(what)) &&
        !(what === 'motorDiameter' && situation.drive) &&
        left < THRESHOLDS.worthReading * spreadOf(values),
    )
    .map(([what, values, left]) => {
      const shown = values.map((value) => value + left * noise());
      const order = Uint32Array.from({ length: count }, (_, i) => i).sort(
        (a, b) => (shown[a] as number) - (shown[b] as number),
      );
      const bins = Array.from({ length: BINS }, (_, bin) =>
        order.subarray(Math.floor((bin * count) / BINS), Math.floor(((bin + 1) * count) / BINS)),
      );
      return { what, gain: Math.max(0, chosenBy(outcomes, weights, belts, bins) - now) };
    })
    .sort((a, b) => b.gain - a.gain);
}

const every = (count: number): Uint32Array => Uint32Array.from({ length: count }, (_, i) => i);

/** Chances of the belts chosen bin by bin: chosen by one half, counted by the other. */
function chosenBy(outcomes: Uint8Array, weights: Float64Array, belts: number, bins: readonly Uint32Array[]): number {
  const count = weights.length;
  let total = 0;
  for (const bin of bins) {
    const halves = [new Float64Array(belts), new Float64Array(belts)] as const;
    for (let belt = 0; belt < belts; belt++) {
      for (let at = 0; at < bin.length; at++) {
        const i = bin[at] as number;
        if (outcomes[belt * count + i] !== 0) continue;
        const half = i % 2 === 0 ? halves[0] : halves[1];
        half[belt] = (half[belt] as number) + (weights[i] as number);
      }
    }
    const best = (half: Float64Array): number =>
      half.reduce((most, sum, belt) => (sum > (half[most] as number) ? belt : most), 0);
    total += (halves[1][best(halves[0])] as number) + (halves[0][best(halves[1])] as number);
  }
  return total;
}
