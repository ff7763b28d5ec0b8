import type { ReadingResult } from './facts';
import { usualSlips } from './usualSlips';

/** How near an alternative must come to count as the likely reason, relative. */
const NEAR = 0.015;

/**
 * Why the odd one out may be odd: what it would have been, had the usual slip been made, lies where the others lie.
 *
 * @param odd the reading that lies apart, with what it came to
 * @param othersMm what the others come to together
 * @param sectionMm of the belt, where it is known
 * @returns a question in words; undefined where no usual slip explains it
 * For instance oddReason(doubledInner read 66.4, 128, 1.2): 'Read at the outer ends?'
 */
export function oddReason(odd: ReadingResult, othersMm: number, sectionMm: number | undefined): string | undefined {
  const value = odd.read?.value;
  if (value === undefined || !(othersMm > 0)) return undefined;
  return usualSlips(odd.reading, value, othersMm, sectionMm).find(
    ({ wouldBeMm }) => wouldBeMm === undefined || Math.abs(wouldBeMm - othersMm) < NEAR * othersMm,
  )?.question;
}
