import { exactInterval, noneFailedBound } from '../statistics';
import { formatPercent } from '../units';
import type { CycleRow, Tally } from './cycles';
import type { CleanRunState } from './cleanRun';
import { TOO_MANY_CYCLES, type CleanWanted } from './wanted';

/**
 * A count with its exact interval, saying which bound is shown.
 *
 * @example tallyWords({ n: 12, failures: 4, slow: 0 })
 * // '4 of 12 failed: 33.3 %, between 9.9 and 65.1 % (exact, 19 in 20).'
 */
export function tallyWords({ n, failures }: Tally): string {
  if (n === 0) return 'Nothing counted yet.';
  const { low, high } = exactInterval(failures, n);
  if (failures === 0) {
    return `None of ${n} failed; it could still fail up to ${Math.round(100 * noneFailedBound(n))} times in 100 (95 % confidence).`;
  }
  return `${failures} of ${n} failed: ${formatPercent(failures / n)}, between ${(low * 100).toFixed(1)} and ${formatPercent(high)} (exact, 19 in 20).`;
}

/**
 * Empty against loaded, worded as what the test is: how often chance alone would part them so.
 *
 * @example chanceWords(row) // 'Chance alone would give so large a difference 1 time in 21.'
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
      means: 'were the fault as frequent as counted, luck would give these 1 time in 20',
    },
    {
      id: 'fisher',
      count: wanted.fisher,
      means: 'before and after then differ more than chance would have it (1 in 20)',
    },
    {
      id: 'cautious',
      count: wanted.cautious,
      means: 'were the fault as rare as the count still allows, luck would give these 1 time in 20',
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
