import type { CatalogueBelt } from './types';

/**
 * The flat assortment: width by thickness as the trade sells them, inner lengths in 4 mm steps, limits of ±1 % of the
 * length and ±0.05 mm of the thickness. Common practice, no published source.
 */
const SECTIONS_MM = [
  [3, 0.5],
  [4, 0.6],
  [5, 0.6],
  [5, 0.8],
] as const;
const FIRST_MM = 100;
const LAST_MM = 400;
const STEP_MM = 4;

export const FLAT_BELTS: readonly CatalogueBelt[] = SECTIONS_MM.flatMap(([widthMm, thicknessMm]) =>
  Array.from({ length: (LAST_MM - FIRST_MM) / STEP_MM + 1 }, (_, index): CatalogueBelt => {
    const innerLengthMm = FIRST_MM + index * STEP_MM;
    return {
      id: `flat-${widthMm}x${thicknessMm.toFixed(1)}-${innerLengthMm}`,
      series: 'flat',
      name: 'flat assortment',
      shape: 'flat',
      thicknessMm,
      widthMm,
      thicknessToleranceMm: 0.05,
      innerLengthMm,
      innerLengthToleranceMm: innerLengthMm * 0.01,
    };
  }),
);
