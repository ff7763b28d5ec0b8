import type { CatalogueBelt } from './types';

/**
 * Metric O-rings of the general series of ISO 3601-1 in sections 1.8 and 2.65 mm: inner diameters from 14 mm up, which are
 * for the most part the R40 preferred numbers of ISO 3. Sizes and limits from memory of the standard's first edition.
 */
const BY_SECTION: ReadonlyArray<readonly [sectionMm: number, sectionLimitMm: number, innerMm: readonly number[]]> = [
  [
    1.8,
    0.08,
    [
      14, 15, 16, 17, 18, 19, 20, 21.2, 22.4, 23.6, 25, 25.8, 26.5, 28, 30, 31.5, 32.5, 33.5, 34.5, 35.5, 36.5, 37.5,
      38.7, 40, 41.2, 42.5, 43.7, 45, 46.2, 47.5, 48.7, 50,
    ],
  ],
  [
    2.65,
    0.09,
    [
      14, 15, 16, 17, 18, 19, 20, 21.2, 22.4, 23.6, 25, 25.8, 26.5, 28, 30, 31.5, 32.5, 33.5, 34.5, 35.5, 36.5, 37.5,
      38.7, 40, 41.2, 42.5, 43.7, 45, 46.2, 47.5, 48.7, 50, 53, 56, 60, 63, 67, 71, 75, 80, 85, 90, 95, 100, 106, 112,
      118, 125,
    ],
  ],
];

/** Limit of the inner diameter, mm: ISO 3601-1, grade N, by its formula for general industrial rings. From memory. */
const limitMm = (innerMm: number): number => 0.009 * innerMm ** 0.95 + 0.11;

export const METRIC_BELTS: readonly CatalogueBelt[] = BY_SECTION.flatMap(([thicknessMm, thicknessToleranceMm, inner]) =>
  inner.map((innerMm): CatalogueBelt => ({
    id: `metric-${thicknessMm}-${innerMm}`,
    series: 'metric',
    name: `${innerMm} × ${thicknessMm} metric`,
    shape: 'round',
    thicknessMm,
    thicknessToleranceMm,
    innerLengthMm: Math.PI * innerMm,
    innerLengthToleranceMm: Math.PI * limitMm(innerMm),
  })),
);
