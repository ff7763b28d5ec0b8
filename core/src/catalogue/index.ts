import type { SectionShape } from '../units';
import { AS568_BELTS } from './as568';
import { FLAT_BELTS } from './flat';
import { SQUARE_BELTS } from './square';
import type { CatalogueBelt } from './types';

/** Every belt the bench can choose from. */
export const CATALOGUE: readonly CatalogueBelt[] = [...SQUARE_BELTS, ...AS568_BELTS, ...FLAT_BELTS];
export { AS568_BELTS, FLAT_BELTS, SQUARE_BELTS };

/** What a bench can get: belts and rings, or one of them alone. */
export const TO_BE_HAD = ['both', 'belts', 'rings'] as const;
export type ToBeHad = (typeof TO_BE_HAD)[number];

const NOT_FLAT: Readonly<Record<ToBeHad, readonly CatalogueBelt[]>> = {
  both: [...SQUARE_BELTS, ...AS568_BELTS],
  belts: SQUARE_BELTS,
  rings: AS568_BELTS,
};

/**
 * What of the catalogue may lie where a belt of a shape lay: flat belts take the place of flat ones alone, square belts
 * and rings that of each other.
 *
 * @param toBeHad what this bench can get of those
 * @example stockFor('flat').every(({ shape }) => shape === 'flat') // true
 */
export const stockFor = (oldShape: SectionShape, toBeHad: ToBeHad = 'both'): readonly CatalogueBelt[] =>
  oldShape === 'flat' ? FLAT_BELTS : NOT_FLAT[toBeHad];
export { ringNames } from './ringNames';
export { nextInSeries, SAME_LENGTH_MM, sameBelt, sameSection } from './neighbours';
export type { CatalogueBelt, SeriesId } from './types';
