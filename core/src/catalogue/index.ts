import { AS568_BELTS } from './as568';
import { SQUARE_BELTS } from './square';
import type { CatalogueBelt } from './types';

/** Every belt the bench can choose from. */
export const CATALOGUE: readonly CatalogueBelt[] = [...SQUARE_BELTS, ...AS568_BELTS];
export { AS568_BELTS, SQUARE_BELTS };
export { nextInSeries, sameSection } from './neighbours';
export type { CatalogueBelt, SeriesId } from './types';
