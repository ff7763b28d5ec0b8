/** Logarithms of the factorials from 0 to n. */
function logFactorials(n: number): Float64Array {
  const list = new Float64Array(n + 1);
  for (let i = 1; i <= n; i++) list[i] = (list[i - 1] ?? 0) + Math.log(i);
  return list;
}

/** Logarithm of the number of ways to choose k of n, by a table that reaches n. */
const logChoose = (table: Float64Array, n: number, k: number): number =>
  (table[n] ?? 0) - (table[k] ?? 0) - (table[n - k] ?? 0);

/** A table of two groups, each counted as failed and good. */
export interface TwoByTwo {
  readonly failedA: number;
  readonly goodA: number;
  readonly failedB: number;
  readonly goodB: number;
}

/**
 * Fisher's exact test, two-sided: how often chance alone would give so large a difference between the groups, or a
 * larger one. Not the odds that the difference is real.
 *
 * Source: R. A. Fisher, The Design of Experiments, 1935. Tables no likelier than the one seen are summed.
 *
 * @returns 1 where either group is empty
 * @example fisherTwoSided({ failedA: 3, goodA: 1, failedB: 1, goodB: 3 }) // 0.486
 */
export function fisherTwoSided({ failedA, goodA, failedB, goodB }: TwoByTwo): number {
  const [nA, nB, failed] = [failedA + goodA, failedB + goodB, failedA + failedB];
  if (nA === 0 || nB === 0) return 1;
  const table = logFactorials(nA + nB);
  const all = logChoose(table, nA + nB, failed);
  /** Chance of exactly this many failures in A, the margins given. */
  const chance = (inA: number): number =>
    Math.exp(logChoose(table, nA, inA) + logChoose(table, nB, failed - inA) - all);
  // Rounding must not part tables of the very same chance.
  const seen = chance(failedA) * (1 + 1e-9);
  let sum = 0;
  for (let k = Math.max(0, failed - nB); k <= Math.min(nA, failed); k++) {
    const likely = chance(k);
    if (likely <= seen) sum += likely;
  }
  return Math.min(1, sum);
}

/**
 * Fisher's test, one-sided, of k failures in n before against none in m after: the chance that all k would fall before.
 *
 * @example noneAfterChance(4, 12, 12) // 0.0466
 */
export function noneAfterChance(k: number, n: number, m: number): number {
  let log = 0;
  for (let i = 0; i < k; i++) log += Math.log((n - i) / (n + m - i));
  return Math.exp(log);
}
