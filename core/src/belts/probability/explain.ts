import { THRESHOLDS } from '../../base/thresholds';
import type { Combined } from '../../base/statistics';
import type { Samples } from './samples';
import type { Believed } from './temper';

/** What of a drive may lie otherwise than it was believed to. */
export type Explained = 'need' | 'motor' | 'rubber' | 'friction' | 'path';

/** One thing that would explain a verdict: by how much it moved, and by how many of its own standard uncertainties. */
export interface Explanation {
  readonly what: Explained;
  /** After over before, less 1: 0.3 is three tenths more. */
  readonly change: number;
  readonly sigmas: number;
}

type Weighted = Pick<Believed<Samples>, 'value' | 'weights'>;

/** Mean and standard deviation of a quantity over weighted samples. */
export function momentsOf(list: Float64Array, weights: Float64Array): Combined {
  let mean = 0;
  for (let i = 0; i < list.length; i++) mean += (list[i] as number) * (weights[i] as number);
  let variance = 0;
  for (let i = 0; i < list.length; i++) variance += ((list[i] as number) - mean) ** 2 * (weights[i] as number);
  return { value: mean, std: Math.sqrt(variance) };
}

const MOST_SAID = 2;

const LISTS: Readonly<Record<Explained, (samples: Samples) => Float64Array>> = {
  need: ({ needNmm }) => needNmm,
  motor: ({ stallNmm, needNmm }) => stallNmm.map((stall, i) => stall / (needNmm[i] as number)),
  rubber: ({ modulusMpa }) => modulusMpa.square.map((one, i) => one * (modulusMpa.round[i] as number)),
  friction: ({ motorFriction, drivenFriction }) =>
    motorFriction.map((one, i) => Math.min(one, drivenFriction[i] as number)),
  path: ({ pathMm }) => pathMm,
};

/**
 * What moved most between what was believed before a verdict and after it.
 *
 * For instance explanations(before, after)[0]: { what: 'motor', change: −0.3, sigmas: −1.2 }
 */
export function explanations(before: Weighted, after: Weighted): readonly Explanation[] {
  return (Object.keys(LISTS) as Explained[])
    .map((what): Explanation => {
      const was = momentsOf(LISTS[what](before.value), before.weights);
      const is = momentsOf(LISTS[what](after.value), after.weights);
      return { what, change: is.value / was.value - 1, sigmas: (is.value - was.value) / Math.max(was.std, 1e-9) };
    })
    .filter(({ sigmas }) => Math.abs(sigmas) > THRESHOLDS.explains)
    .sort((a, b) => Math.abs(b.sigmas) - Math.abs(a.sigmas))
    .slice(0, MOST_SAID);
}
