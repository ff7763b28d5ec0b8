import { SECTION_SHAPES } from '../../base/shapes';
import { bestOf, relativeOf, type Spread } from '../sizing';
import type { Combined } from '../../base/statistics';

/* Quantities as lists of one number a sample, made from standard normal coordinates. */

/** The coordinates, in their order; those of the idlers and of sister machines come after. */
const NAMED = [
  'unusual',
  'path',
  'motorDiameter',
  'drivenDiameter',
  'motorFriction',
  'drivenFriction',
  'relaxed',
  'strainMax',
  'pull',
  'travel',
  'efficiency',
  'stiffness',
  'stall',
  'heldThrough',
  'groove',
  'lengthWithin',
  'madeStretch',
  'setShare',
  'oldRubber',
  'swelling',
  'pathMode',
  'thicker',
  'oldThicker',
] as const;
/** A stock's own rubber has its coordinate by the name of the shape. They stand after the frictions. */
const RUBBER_AT = NAMED.indexOf('relaxed');
export const COORDINATES = [...NAMED.slice(0, RUBBER_AT), ...SECTION_SHAPES, ...NAMED.slice(RUBBER_AT)] as const;
/** A list for each, by its name: one number a sample. */
export type Coordinates = Readonly<Record<(typeof COORDINATES)[number], Float64Array>>;

/** Chance that something holds which every other sign speaks against. Our judgement, no source. */
export const LOG_UNLIKELY = Math.log(0.05);

/** How likely a standard normal number is to lie below z, to 1e-7. Source: Abramowitz and Stegun, 26.2.17. */
export function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    0.3989422804 *
    Math.exp((-z * z) / 2) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

/** Logarithm of a log-normal’s density at a value, less what is the same for all samples. */
export const logDensity = (value: number, { best, std }: Spread, wide: number): number => {
  const relative = (std / best) * wide;
  const off = Math.log(value / best) / relative;
  return -0.5 * off * off - Math.log(wide);
};

/** A list of one number a sample. */
export function each(count: number, of: (i: number) => number): Float64Array {
  const list = new Float64Array(count);
  for (let i = 0; i < count; i++) list[i] = of(i);
  return list;
}

/** A positive quantity, log-normal about its best, in every sample. */
export function spreadOf(of: Spread | Combined, z: Float64Array, wide?: Float64Array): Float64Array {
  const best = bestOf(of);
  const relative = relativeOf(of);
  return each(z.length, (i) => best * Math.exp(relative * (wide ? (wide[i] as number) : 1) * (z[i] as number)));
}

/** Where a standard normal number lies with this chance below. */
export function quantile(chance: number): number {
  let [low, high] = [-8, 8];
  for (let turn = 0; turn < 40; turn++) {
    const middle = (low + high) / 2;
    if (below(middle) < chance) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
