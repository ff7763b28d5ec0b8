/**
 * One estimate of a quantity with its errors kept apart: what repeating would shrink, and what every estimate that
 * used the same tool or the same section shares. Standard uncertainties (k = 1), in the unit of the value.
 */
export interface Estimate {
  readonly value: number;
  /** Repeatability of this reading alone. */
  readonly ownStd: number;
  /** Signed effect of one standard uncertainty of each shared source, by the source's name. */
  readonly shared: Readonly<Record<string, number>>;
}

/** A value and its combined standard uncertainty. */
export interface Combined {
  readonly value: number;
  readonly std: number;
}

/**
 * Root of the sum of squares, the combination of independent contributions (JCGM 100:2008, 5.1.2).
 *
 * @example rootSumSquares([3, 4]) // 5
 */
export function rootSumSquares(parts: readonly number[]): number {
  return Math.sqrt(parts.reduce((sum, part) => sum + part * part, 0));
}

/** The whole standard uncertainty of one estimate. @example totalStd({ value: 0, ownStd: 3, shared: { t: 4 } }) // 5 */
export function totalStd(estimate: Estimate): number {
  return rootSumSquares([estimate.ownStd, ...Object.values(estimate.shared)]);
}

/** Covariance of two different estimates: the product of what they share (JCGM 100:2008, 5.2.2). */
function covariance(a: Estimate, b: Estimate): number {
  return Object.entries(a.shared).reduce((sum, [source, effect]) => sum + effect * (b.shared[source] ?? 0), 0);
}

/**
 * The weighted mean of several estimates of one quantity. Weights are inverse variances; the uncertainty counts the
 * covariance of shared sources in full, so that ten readings with one wrong section stay as wrong as the section.
 *
 * @returns undefined for no estimates. An estimate of zero uncertainty is given one of 1e-9.
 * @example combineEstimates([{ value: 10, ownStd: 1, shared: {} }, { value: 12, ownStd: 1, shared: {} }]) // { value: 11, std: 0.707 }
 * // { value: 11, std: 0.7071… }
 */
export function combineEstimates(estimates: readonly Estimate[]): Combined | undefined {
  if (estimates.length === 0) return undefined;
  const variances = estimates.map((estimate) => Math.max(totalStd(estimate), 1e-9) ** 2);
  const weightSum = variances.reduce((sum, variance) => sum + 1 / variance, 0);
  const weights = variances.map((variance) => 1 / variance / weightSum);
  let value = 0;
  let variance = 0;
  estimates.forEach((a, i) => {
    const wi = weights[i] ?? 0;
    value += wi * a.value;
    estimates.forEach((b, j) => {
      const wj = weights[j] ?? 0;
      variance += wi * wj * (i === j ? (variances[i] ?? 0) : covariance(a, b));
    });
  });
  return { value, std: Math.sqrt(Math.max(variance, 0)) };
}

/**
 * The places of estimates that lie more than two combined standard uncertainties from the mean of the others,
 * farthest first. With two estimates that disagree both are named, since neither can be told from the other.
 *
 * @returns indexes into `estimates`; empty for fewer than two.
 * @example oddOnesOut([10, 10.1, 15].map((value) => ({ value, ownStd: 0.2, shared: {} })))[0] // 2
 */
export function oddOnesOut(estimates: readonly Estimate[]): number[] {
  if (estimates.length < 2) return [];
  const distances = estimates.map((estimate, index) => {
    const rest = estimates.filter((_, other) => other !== index);
    const mean = combineEstimates(rest);
    if (!mean) return { index, distance: 0 };
    // What both sides share moves them together and cannot part them.
    const bothWays = rest.reduce((sum, other) => sum + covariance(estimate, other), 0) / rest.length;
    const variance = totalStd(estimate) ** 2 + mean.std ** 2 - 2 * bothWays;
    return { index, distance: Math.abs(estimate.value - mean.value) / Math.sqrt(Math.max(variance, 1e-12)) };
  });
  const far = distances.filter(({ distance }) => distance > 2).sort((a, b) => b.distance - a.distance);
  // One wild reading drags the mean of the others' rest: name the farthest alone when setting it aside cures the rest.
  const worst = far[0];
  if (worst && estimates.length > 2 && far.length > 1) {
    const without = estimates.filter((_, index) => index !== worst.index);
    if (oddOnesOut(without).length === 0) return [worst.index];
  }
  return far.map(({ index }) => index);
}
