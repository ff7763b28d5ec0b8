/**
 * Chance of at most k failures in n tries of failure rate p, summed term by term. Exact to rounding for the few
 * thousand tries a bench ever counts; cost linear in the smaller
 * of k and n − k.
 *
 * @example atMost(0, 20, 0.05) // 0.358…
 */
export function atMost(k: number, n: number, p: number): number {
  if (k >= n) return 1;
  if (p <= 0) return 1;
  if (p >= 1) return 0;
  // The shorter side is summed: failures counted from below are successes counted from above.
  if (k > n / 2) return 1 - atMost(n - k - 1, n, 1 - p);
  const odds = Math.log(p) - Math.log1p(-p);
  let logTerm = n * Math.log1p(-p);
  let sum = Math.exp(logTerm);
  for (let i = 1; i <= k; i++) {
    logTerm += Math.log((n - i + 1) / i) + odds;
    sum += Math.exp(logTerm);
  }
  return Math.min(1, sum);
}

/** The rate at which a falling function of the rate passes a value, by halving. */
function rateWhere(falling: (rate: number) => number, value: number): number {
  let low = 0;
  let high = 1;
  for (let turn = 0; turn < 60; turn++) {
    const middle = (low + high) / 2;
    if (falling(middle) > value) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * The exact two-sided interval of a failure rate from k failures in n tries.
 *
 * Source: C. J. Clopper and E. S. Pearson, 1934.
 *
 * @param k, n whole numbers, 0 ≤ k ≤ n; n = 0 knows nothing and gives 0 to 1
 * @example exactInterval(4, 12) // { low: 0.0992, high: 0.6511 }
 */
export function exactInterval(
  k: number,
  n: number,
  confidence = 0.95,
): { readonly low: number; readonly high: number } {
  if (n === 0) return { low: 0, high: 1 };
  const tail = (1 - confidence) / 2;
  return {
    low: k === 0 ? 0 : rateWhere((rate) => atMost(k - 1, n, rate), 1 - tail),
    high: k === n ? 1 : rateWhere((rate) => atMost(k, n, rate), tail),
  };
}

/**
 * The one-sided upper bound of a failure rate when none failed: 1 − 0.05^{1/n}, about 3/n.
 *
 * @example noneFailedBound(20) // 0.139
 */
export const noneFailedBound = (n: number, confidence = 0.95): number =>
  n === 0 ? 1 : 1 - (1 - confidence) ** (1 / n);
