import { exactInterval, noneAfterChance } from '../../base/statistics';

/** How many clean cycles it takes, by three readings of the same evidence. */
export interface CleanWanted {
  /** So many clean ones would come by luck 1 time in 20, were the fault as frequent as it was counted. */
  readonly plugIn: number;
  /** So many make before and after differ by Fisher's one-sided test below 0.05. */
  readonly fisher: number;
  /** So many would come by luck 1 time in 20, were the fault as rare as the count still allows. */
  readonly cautious: number;
}

const LUCK = 0.05;

/**
 * How many clean cycles prove a fault cured that failed k times in n.
 *
 * Source: binomial luck ⌈ln 0.05/ln(1 − rate)⌉ at the counted rate and at its exact lower bound (Clopper and Pearson,
 * 1934), and Fisher's exact test, one-sided.
 *
 * @param k failures, 1 ≤ k ≤ n
 * @returns undefined where nothing failed: a fault never seen cannot be proved cured
 * @example cleanWanted(4, 12) // { plugIn: 8, fisher: 12, cautious: 29 }
 */
export function cleanWanted(k: number, n: number): CleanWanted | undefined {
  if (k < 1 || n < k) return undefined;
  const byLuck = (rate: number): number => (rate >= 1 ? 1 : Math.ceil(Math.log(LUCK) / Math.log1p(-rate)));
  let fisher = 1;
  while (noneAfterChance(k, n, fisher) >= LUCK) fisher += Math.max(1, Math.floor(fisher / 64));
  // Large steps overshoot; walk back to the first that does.
  while (fisher > 1 && noneAfterChance(k, n, fisher - 1) < LUCK) fisher -= 1;
  return { plugIn: byLuck(k / n), fisher, cautious: byLuck(exactInterval(k, n).low) };
}

/** More clean cycles than a bench can count in a day: past it a fault is too rare to be proved cured there. */
export const TOO_MANY_CYCLES = 300;
