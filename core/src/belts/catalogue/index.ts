import type { SectionShape } from '../../base/units';
import { AS568_BELTS } from './as568';
import { FLAT_BELTS } from './flat';
import { METRIC_BELTS } from './metric';
import { SQUARE_BELTS } from './square';
import type { CatalogueBelt } from './types';

/** Every belt of the series that are on unless a bench switches them off. */
export const CATALOGUE: readonly CatalogueBelt[] = [...SQUARE_BELTS, ...AS568_BELTS, ...FLAT_BELTS];
export { AS568_BELTS, FLAT_BELTS, METRIC_BELTS, SQUARE_BELTS };

/** The series that come with the app, as a bench switches them. */
export const BUILT_IN = { square: SQUARE_BELTS, as568: AS568_BELTS, metric: METRIC_BELTS, flat: FLAT_BELTS } as const;
export type BuiltIn = keyof typeof BUILT_IN;

/** What a bench can get: belts and rings, or one of them alone. */
export const TO_BE_HAD = ['both', 'belts', 'rings'] as const;
export type ToBeHad = (typeof TO_BE_HAD)[number];

/** What a bench chooses among beside what comes with the app: the series it has on, and sizes of its own. */
export interface BenchStock {
  readonly series: readonly BuiltIn[];
  readonly own: readonly CatalogueBelt[];
}
export const USUAL_SERIES: readonly BuiltIn[] = ['square', 'as568', 'flat'];
const USUAL: BenchStock = { series: USUAL_SERIES, own: [] };

/**
 * What of the catalogue may lie where a belt of a shape lay: flat belts take the place of flat ones alone, square belts
 * and rings that of each other.
 *
 * @param toBeHad what this bench can get of those
 * @param stock the series that are on, and what the bench has of its own
 * @example stockFor('flat').every(({ shape }) => shape === 'flat') // true
 */
export function stockFor(
  oldShape: SectionShape,
  toBeHad: ToBeHad = 'both',
  { series, own }: BenchStock = USUAL,
): readonly CatalogueBelt[] {
  const on = (one: BuiltIn): readonly CatalogueBelt[] => (series.includes(one) ? BUILT_IN[one] : []);
  if (oldShape === 'flat') return [...on('flat'), ...own.filter(({ shape }) => shape === 'flat')];
  return [
    ...(toBeHad === 'rings' ? [] : on('square')),
    ...(toBeHad === 'belts' ? [] : [...on('as568'), ...on('metric')]),
    ...own.filter(
      ({ shape }) => (shape === 'square' && toBeHad !== 'rings') || (shape === 'round' && toBeHad !== 'belts'),
    ),
  ];
}
export { ringNames } from './ringNames';
export { nextInSeries, SAME_LENGTH_MM, sameBelt, sameSection } from './neighbours';
export type { CatalogueBelt, SeriesId } from './types';
