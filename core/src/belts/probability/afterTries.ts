import { SAME_LENGTH_MM, sameBelt, sameSection } from '../catalogue';
import type { TriedBelt } from './believe';
import type { JudgedBelt } from './kernel';

/** What the bench has said of belts on this machine: it outranks whatever the model thinks. */
export interface AfterTries {
  /** Whether any belt was tried and found wrong. */
  readonly any: boolean;
  /** The belt last judged right: the answer, until the bench says otherwise. */
  readonly right?: JudgedBelt;
  /**
   * Which verdict forbids a belt; undefined where none does. Too tight forbids that length and every shorter one of its
   * section, too loose that and every longer one, twisted the section's length that was tried.
   */
  readonly forbidden: (belt: JudgedBelt) => TriedBelt | undefined;
}

/**
 * What tries leave of the choice. A later verdict on a belt of the same size takes the place of an earlier one.
 *
 * For instance chosenAfter([{ belt: square 1.2 × 112, verdict: 'tooTight' }]).forbidden(square 1.2 × 108): that try
 */
export function chosenAfter(tries: readonly TriedBelt[]): AfterTries {
  const standing = tries.filter(
    ({ belt }, index) => !tries.slice(index + 1).some((later) => sameBelt(later.belt, belt)),
  );
  const right = standing.findLast(({ verdict }) => verdict === 'right')?.belt;
  return {
    any: standing.some(({ verdict }) => verdict !== 'right'),
    ...(right && { right }),
    forbidden: (belt) =>
      standing.find((one) => {
        if (!sameSection(one.belt, belt)) return false;
        const longer = belt.innerLengthMm - one.belt.innerLengthMm;
        switch (one.verdict) {
          case 'tooTight':
            return longer < SAME_LENGTH_MM;
          case 'tooLoose':
            return longer > -SAME_LENGTH_MM;
          case 'twisted':
            return Math.abs(longer) < SAME_LENGTH_MM;
          case 'right':
            return false;
        }
      }),
  };
}
