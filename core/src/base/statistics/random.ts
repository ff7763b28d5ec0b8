import { randomNormal } from 'd3-random';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';

/** A source of chance that is the same every time for the same seed. */
export type Random = () => number;

/** A small seed leaves most of the generator's state empty; after so many draws it is mixed through. */
const WARM_UP = 20;

/**
 * Numbers from 0 up to 1, evenly spread, the same for the same seed.
 *
 * Source: xoroshiro128+ (Blackman and Vigna, 2018), by the library.
 *
 * @example seeded(7)() === seeded(7)() // true
 */
export function seeded(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  const random = () => uniformFloat64(generator);
  for (let i = 0; i < WARM_UP; i++) random();
  return random;
}

/**
 * Standard normal numbers from a source of chance: mean 0, standard deviation 1.
 *
 * Source: the polar method (Marsaglia, 1964), by the library.
 *
 * @example Math.abs(bellCurve(seeded(1))()) < 6 // true
 */
export const bellCurve = (random: Random): (() => number) => randomNormal.source(random)(0, 1);
