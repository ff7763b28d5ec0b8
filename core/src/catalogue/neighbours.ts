import { formatLength, MM_PER_INCH, type LengthUnit, type SectionShape } from '../units';
import type { CatalogueBelt } from './types';

/** What tells two belts of one section apart is their length alone. */
export function sameSection(
  a: { readonly shape: SectionShape; readonly thicknessMm: number },
  b: { readonly shape: SectionShape; readonly thicknessMm: number },
): boolean {
  return a.shape === b.shape && Math.abs(a.thicknessMm - b.thicknessMm) < 0.005;
}

/**
 * The neighbours of a length in a list of belts of one section: the longest below and the shortest above it.
 *
 * @example nextInSeries(belts of 112, 116, 120, 116) // { down: 112, up: 120 }
 */
export function nextInSeries(
  belts: readonly CatalogueBelt[],
  innerLengthMm: number,
): { readonly down?: CatalogueBelt; readonly up?: CatalogueBelt } {
  let down: CatalogueBelt | undefined;
  let up: CatalogueBelt | undefined;
  for (const belt of belts) {
    if (belt.innerLengthMm < innerLengthMm - 0.01 && belt.innerLengthMm > (down?.innerLengthMm ?? 0)) down = belt;
    if (belt.innerLengthMm > innerLengthMm + 0.01 && belt.innerLengthMm < (up?.innerLengthMm ?? Infinity)) up = belt;
  }
  return { ...(down && { down }), ...(up && { up }) };
}

/**
 * Section × size as the trade writes it: an O-ring by inner diameter, another belt by inner length. The shape's sign
 * is for the eye; the words say it too.
 *
 * @example beltLabel({ shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 }, 'mm')
 * // { sign: '□', size: '1.2 × 116.0', words: 'square, inner length mm' }
 */
export function beltLabel(
  belt: { readonly shape: SectionShape; readonly thicknessMm: number; readonly innerLengthMm: number },
  unit: LengthUnit,
): { readonly sign: string; readonly size: string; readonly words: string } {
  const ring = belt.shape === 'round';
  const size = ring ? belt.innerLengthMm / Math.PI : belt.innerLengthMm;
  const thickness = unit === 'in' ? (belt.thicknessMm / MM_PER_INCH).toFixed(3) : formatLength(belt.thicknessMm, 'mm');
  return {
    sign: ring ? '○' : belt.shape === 'square' ? '□' : '▭',
    size: `${thickness} × ${ring && unit === 'mm' ? size.toFixed(2) : formatLength(size, unit)}`,
    words: `${ring ? 'O-ring, inner diameter' : `${belt.shape}, inner length`} ${unit}`,
  };
}
