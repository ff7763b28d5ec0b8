import type { ReadingResult } from './facts';
import { findMethod } from './methods';

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
  const { method, aux } = odd.reading;
  const would = (mm: number): boolean => Math.abs(mm - othersMm) < NEAR * othersMm;
  if (would(value * Math.PI)) return 'A diameter typed as a length?';
  if (would(value / Math.PI)) return 'A length typed as a diameter?';
  if (would(value * 2)) return 'Half of it read, doubled flat?';
  if (would(value / 2)) return 'The whole length typed as the doubled one?';
  if (would(value * 25.4) || would(value / 25.4)) return 'Inches taken for millimetres, or the other way round?';
  const slips = findMethod(method)?.slips?.({ value, othersMm, sectionMm: sectionMm ?? 0, aux }) ?? [];
  return slips.find(({ wouldBeMm }) => wouldBeMm === undefined || would(wouldBeMm))?.question;
}
