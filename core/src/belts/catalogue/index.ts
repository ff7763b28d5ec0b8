import { liesWhere, SECTION_SHAPES, shapeOf, type SectionShape } from '../../base/shapes';
import { AS568_BELTS } from './as568';
import { FLAT_BELTS } from './flat';
import { METRIC_BELTS } from './metric';
import { SQUARE_BELTS } from './square';
import type { CatalogueBelt } from './types';

export { AS568_BELTS, FLAT_BELTS, METRIC_BELTS, SQUARE_BELTS };

interface SeriesRecord {
  readonly name: string;
  readonly shape: SectionShape;
  readonly belts: readonly CatalogueBelt[];
  /** Whether it is on until a bench switches it off. */
  readonly usual: boolean;
}

/** The series that come with the app, as a bench switches them. A new one is a file and a line here. */
export const BUILT_IN = {
  square: { name: 'square assortment, 4 mm steps', shape: 'square', belts: SQUARE_BELTS, usual: true },
  as568: { name: 'inch O-rings, SAE AS568', shape: 'round', belts: AS568_BELTS, usual: true },
  metric: { name: 'metric O-rings, ISO 3601-1', shape: 'round', belts: METRIC_BELTS, usual: false },
  flat: { name: 'flat assortment', shape: 'flat', belts: FLAT_BELTS, usual: true },
} as const satisfies Readonly<Record<string, SeriesRecord>>;
export type BuiltIn = keyof typeof BUILT_IN;
export const SERIES = Object.keys(BUILT_IN) as readonly BuiltIn[];

/** What a bench can get: belts and rings, or one of them alone. */
export const TO_BE_HAD = ['both', 'belts', 'rings'] as const;
export type ToBeHad = (typeof TO_BE_HAD)[number];

/** What a bench chooses among beside what comes with the app: the series it has on, and sizes of its own. */
export interface BenchStock {
  readonly series: readonly BuiltIn[];
  readonly own: readonly CatalogueBelt[];
}
export const USUAL_SERIES: readonly BuiltIn[] = SERIES.filter((one) => BUILT_IN[one].usual);
/** Every belt of the series that are on unless a bench switches them off. */
export const CATALOGUE: readonly CatalogueBelt[] = USUAL_SERIES.flatMap((one) => [...BUILT_IN[one].belts]);
const USUAL: BenchStock = { series: USUAL_SERIES, own: [] };

/**
 * What of the catalogue may lie where a belt of a shape lay: flat belts take the place of flat ones alone, square belts
 * and rings that of each other.
 *
 * @param toBeHad what this bench can get of those
 * @param series those that are on
 * @param own what the bench has of its own
 * @example stockFor('flat').every(({ shape }) => shape === 'flat') // true
 */
export function stockFor(
  oldShape: SectionShape,
  toBeHad: ToBeHad = 'both',
  { series, own }: BenchStock = USUAL,
): readonly CatalogueBelt[] {
  // A shape that nothing else may lie in place of is chosen from whatever the bench can get.
  const alone = SECTION_SHAPES.filter((shape) => liesWhere(shape, oldShape)).length === 1;
  const had = (shape: SectionShape): boolean =>
    liesWhere(shape, oldShape) && (alone || toBeHad === 'both' || toBeHad === shapeOf(shape).soldAs);
  return [
    ...SERIES.flatMap((one) => (series.includes(one) && had(BUILT_IN[one].shape) ? [...BUILT_IN[one].belts] : [])),
    ...own.filter(({ shape }) => had(shape)),
  ];
}
export { ringNames } from './ringNames';
export { nextInSeries, SAME_LENGTH_MM, sameBelt, sameSection } from './neighbours';
export type { CatalogueBelt, SeriesId } from './types';
