import { exactInterval, noneFailedBound } from '../../base/statistics';
import type { CycleRow, Tally } from './cycles';
import type { CleanRunState } from './cleanRun';
import { TOO_MANY_CYCLES, type CleanWanted } from './wanted';

/**
 * A count with its exact interval, saying which bound is shown.
 *
 * @example tallyWords({ n: 12, failures: 4, slow: 0 }) // '4 of 12 failed. As counted, it may truly fail 10 to 65 times in 100 (exact, 19 in 20).'
 * // '4 of 12 failed. As counted, it may truly fail 10 to 65 times in 100 (exact, 19 in 20).'
 */
export function tallyWords({ n, failures }: Tally): string {
  if (n === 0) return 'Nothing counted yet.';
  const { low, high } = exactInterval(failures, n);
  if (failures === 0) {
    return `None of ${n} failed; it could still fail up to ${Math.round(100 * noneFailedBound(n))} times in 100 (95 % confidence).`;
  }
  return `${failures} of ${n} failed. As counted, it may truly fail ${Math.round(low * 100)} to ${Math.round(high * 100)} times in 100 (exact, 19 in 20).`;
}

/**
 * Empty against loaded, worded as what the test is: how often chance alone would part them so.
 *
 * For instance chanceWords(row): 'Chance alone would give so large a difference 1 time in 21.'
 */
export function chanceWords({ empty, loaded, chance }: CycleRow): string {
  if (empty.n === 0 || loaded.n === 0) return 'Count it both empty and loaded to compare them.';
  if (chance > 0.5) return 'Empty and loaded differ no more than chance would have it.';
  return `Chance alone would give so large a difference 1 time in ${Math.max(2, Math.round(1 / chance))}.`;
}

/** The three readings of how many clean cycles, each with what it means. */
export function wantedWords(
  wanted: CleanWanted,
): ReadonlyArray<{ readonly id: keyof CleanWanted; readonly count: number; readonly means: string }> {
  return [
    {
      id: 'plugIn',
      count: wanted.plugIn,
      means: 'if it fails as often as counted: so many clean ones come by luck 1 time in 20',
    },
    {
      id: 'fisher',
      count: wanted.fisher,
      means: 'then before and after differ by more than chance',
    },
    {
      id: 'cautious',
      count: wanted.cautious,
      means: 'even if it fails as seldom as the count still allows',
    },
  ];
}

/**
 * How a clean run stands, in a sentence.
 *
 * @example cleanRunWords({ cleanRun, clean: 8, slow: 0, failedAt: 9 }) // 'failed at cycle 9: not cured.'
 */
export function cleanRunWords({ clean, slow, failedAt }: CleanRunState): string {
  if (failedAt !== undefined) return `failed at cycle ${failedAt}: not cured.`;
  return `${clean} clean${slow > 0 ? `, ${slow} of them slow` : ''}.`;
}

/** Says that a fault is too rare to be proved cured at a bench, where it is. */
export function unprovableWords(wanted: CleanWanted | undefined, failures: number): string | undefined {
  if (failures === 0) return 'It never failed here, so no count can prove it cured. Say what was shown instead.';
  if (wanted && wanted.fisher > TOO_MANY_CYCLES) {
    return `It fails so rarely that ${wanted.fisher} clean cycles would be wanted: not to be proved on a bench. Say what was shown instead.`;
  }
  return undefined;
}
