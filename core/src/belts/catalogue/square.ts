import type { CatalogueBelt } from './types';

/**
 * The square-section assortment: sections as the trade sells them, inner lengths in 4 mm steps, limits of ±1 % of the
 * length and ±0.05 mm of the section. Common practice, no published source; a bench with its own stock edits it.
 */
const SECTIONS_MM = [1.0, 1.2, 1.5, 2.0];
const FIRST_MM = 60;
const LAST_MM = 400;
const STEP_MM = 4;

export const SQUARE_BELTS: readonly CatalogueBelt[] = SECTIONS_MM.flatMap((thicknessMm) =>
  Array.from({ length: (LAST_MM - FIRST_MM) / STEP_MM + 1 }, (_, index): CatalogueBelt => {
    const innerLengthMm = FIRST_MM + index * STEP_MM;
    return {
      id: `square-${thicknessMm.toFixed(1)}-${innerLengthMm}`,
      series: 'square',
      name: 'square assortment',
      shape: 'square',
      thicknessMm,
      thicknessToleranceMm: 0.05,
      innerLengthMm,
      innerLengthToleranceMm: innerLengthMm * 0.01,
    };
  }),
);
