import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';

/** A source of chance that is the same every time for the same seed. */
export type Random = () => number;

/**
 * Numbers from 0 up to 1, evenly spread, the same for the same seed.
 *
 * Source: xoroshiro128+ (Blackman and Vigna, 2018), by the library.
 *
 * @example seeded(7)() === seeded(7)() // true
 */
export function seeded(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  return () => uniformFloat64(generator);
}
