import { findMethod } from './methods';
import type { ReadingResult } from './facts';

/** What a new belt should read when it is measured as the old one was. */
export interface SameWay {
  readonly label: string;
  /** What the old belt read. */
  readonly oldMm: number;
  /** What the new one should read. */
  readonly newMm: number;
}

/**
 * Old against new by the same method, whose errors then nearly cancel: what a belt should read by each way in which the
 * old one was measured. Ways that give only a bound, and printed figures, say nothing.
 *
 * @param belt the new belt
 * @example sameWay(facts.results, { innerLengthMm: 116, thicknessMm: 1.2 })[0] // { label: 'doubled flat', oldMm: 66.4, newMm: 60.4 }
 */
export function sameWay(
  results: readonly ReadingResult[],
  belt: { readonly innerLengthMm: number; readonly thicknessMm: number },
): SameWay[] {
  return results.flatMap(({ reading, read }): SameWay[] => {
    const method = findMethod(reading.method);
    if (reading.measurand !== 'oldBelt' || reading.round || !read || read.lowerBound || !method?.comparable) return [];
    const aux = { ...reading.aux, ...(method.aux.includes('sectionMm') && { sectionMm: belt.thicknessMm }) };
    return [{ label: method.label, oldMm: reading.amount, newMm: method.invert(belt.innerLengthMm, aux) }];
  });
}
