import type { SectionShape } from '../units';
import { AS568_BELTS } from './as568';
import { FLAT_BELTS } from './flat';
import { SQUARE_BELTS } from './square';
import type { CatalogueBelt } from './types';

/** Every belt the bench can choose from. */
export const CATALOGUE: readonly CatalogueBelt[] = [...SQUARE_BELTS, ...AS568_BELTS, ...FLAT_BELTS];
export { AS568_BELTS, FLAT_BELTS, SQUARE_BELTS };

/**
 * What of the catalogue may lie where a belt of a shape lay: flat belts take the place of flat ones alone, square belts
 * and rings that of each other.
 *
 * @example stockFor('flat').every(({ shape }) => shape === 'flat') // true
 */
export const stockFor = (oldShape: SectionShape): readonly CatalogueBelt[] =>
  oldShape === 'flat' ? FLAT_BELTS : NOT_FLAT;
const NOT_FLAT: readonly CatalogueBelt[] = [...SQUARE_BELTS, ...AS568_BELTS];
export { ringNames } from './ringNames';
export { nextInSeries, sameSection } from './neighbours';
export type { CatalogueBelt, SeriesId } from './types';
