import { shapeOf, type SectionShape } from '../../base/shapes';
import type { CatalogueBelt } from './types';

/** A section as it is told from another. */
interface Section {
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  readonly widthMm?: number | null | undefined;
}

/** What tells two belts of one section apart is their length alone. */
export function sameSection(a: Section, b: Section): boolean {
  const wide =
    !shapeOf(a.shape).hasWidth || a.widthMm == null || b.widthMm == null || Math.abs(a.widthMm - b.widthMm) < 0.05;
  return a.shape === b.shape && Math.abs(a.thicknessMm - b.thicknessMm) < 0.005 && wide;
}

/** Two lengths that nobody could tell apart, mm. */
export const SAME_LENGTH_MM = 0.2;

/** Whether two belts are of one size: section and length. @example sameBelt(belt, { ...belt, innerLengthMm: 116.1 }) // true */
export const sameBelt = (
  a: Section & { readonly innerLengthMm: number },
  b: Section & { readonly innerLengthMm: number },
): boolean => sameSection(a, b) && Math.abs(a.innerLengthMm - b.innerLengthMm) < SAME_LENGTH_MM;

/**
 * The neighbours of a length in a list of belts of one section: the longest below and the shortest above it.
 *
 * For instance nextInSeries(belts of 112, 116, 120, 116): { down: 112, up: 120 }
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
