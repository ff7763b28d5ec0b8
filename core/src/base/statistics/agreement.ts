import { combineEstimates, totalStd, type Combined, type Estimate } from './combine';

/** How well several estimates of one quantity agree with one another. */
export interface Agreement {
  readonly chiSquared: number;
  readonly degrees: number;
  /** Root of χ² over its degrees of freedom: about 1 where the stated uncertainties tell the scatter, above where not. */
  readonly birge: number;
  /** Whether estimates that tell of one quantity would scatter so in at least 5 of 100 cases. */
  readonly agrees: boolean;
}

/**
 * Whether estimates can all be true of one quantity. What two of them share moves both and cannot part them, so it is
 * left out of their difference; for independent ones this is the usual sum of squares about the weighted mean.
 *
 * Source: R. T. Birge, Phys. Rev. 40, 207 (1932); the test at 5 in 100, M. G. Cox, Metrologia 39, 589 (2002).
 *
 * @example agreementOf([10, 14].map((value) => ({ value, ownStd: 1, shared: {} }))).chiSquared // 8
 */
export function agreementOf(estimates: readonly Estimate[]): Agreement {
  const degrees = estimates.length - 1;
  if (degrees < 1) return { chiSquared: 0, degrees: 0, birge: 1, agrees: true };
  const weights = estimates.map((one) => 1 / Math.max(totalStd(one), 1e-9) ** 2);
  const sum = weights.reduce((all, weight) => all + weight, 0);
  let chiSquared = 0;
  estimates.forEach((a, i) =>
    estimates.slice(i + 1).forEach((b, further) => {
      const [wa, wb] = [weights[i] ?? 0, weights[i + 1 + further] ?? 0];
      // The weighted sum over pairs, each by the variance of its own difference.
      const independent = 1 / wa + 1 / wb;
      const variance = Math.max(differenceVariance(a, b), 1e-18);
      chiSquared += ((wa * wb) / sum) * (a.value - b.value) ** 2 * (independent / variance);
    }),
  );
  return {
    chiSquared,
    degrees,
    birge: Math.sqrt(chiSquared / degrees),
    agrees: chiSquared <= chiSquaredAt95(degrees),
  };
}

function differenceVariance(a: Estimate, b: Estimate): number {
  const names = new Set([...Object.keys(a.shared), ...Object.keys(b.shared)]);
  const shared = [...names].reduce((sum, name) => sum + ((a.shared[name] ?? 0) - (b.shared[name] ?? 0)) ** 2, 0);
  return a.ownStd ** 2 + b.ownStd ** 2 + shared;
}

/**
 * What χ² stays below in 95 of 100 cases, to one per cent.
 *
 * Source: Wilson and Hilferty (1931), by Abramowitz and Stegun, 26.4.17; one degree of freedom is the square of 1.96.
 *
 * @example chiSquaredAt95(4) // 9.4563
 */
export function chiSquaredAt95(degrees: number): number {
  if (degrees === 1) return 3.841;
  const part = 2 / (9 * degrees);
  return degrees * (1 - part + 1.6449 * Math.sqrt(part)) ** 3;
}

/** One way in which estimates may hang together. */
export interface Mode extends Combined {
  /** Its chance among the ways. */
  readonly weight: number;
  /** Place of the estimate that is a misreading then; absent where none is. */
  readonly misread?: number;
}

/** How often a reading is of something else than it says it is. Our judgement, no source. */
const MISREAD = 0.03;

/**
 * The ways in which estimates may hang together: all of them true, or one of them a misreading, whichever it be. A
 * misreading is a usual slip in half of the cases, and may be anything about as large otherwise.
 *
 * @param slips what an estimate would have been without each usual slip, by its place
 * @returns the likeliest first; one alone for less than two estimates
 * For instance modesOf([130.35 ± 1, 97.5 ± 1]): two of half the chance each, at 130.35 and at 97.5
 */
export function modesOf(
  estimates: readonly Estimate[],
  slips: (index: number) => readonly number[] = () => [],
): readonly Mode[] {
  const all = combineEstimates(estimates);
  if (!all) return [];
  if (estimates.length < 2) return [{ ...all, weight: 1 }];
  const { birge, agrees } = agreementOf(estimates);
  const logs: Array<{ readonly mode: Omit<Mode, 'weight'>; readonly log: number }> = [
    // What scatters more than it should is less sure than it says, though none be a misreading.
    { mode: { value: all.value, std: agrees ? all.std : all.std * birge }, log: logTogether(estimates) },
  ];
  estimates.forEach((one, misread) => {
    const others = estimates.filter((_, index) => index !== misread);
    const mode = combineEstimates(others) as Combined;
    const std = Math.hypot(totalStd(one), mode.std);
    const usual = slips(misread);
    const bySlip = usual.reduce((sum, would) => sum + bell(would - mode.value, std), 0) / Math.max(1, usual.length);
    const anything = 1 / Math.max(Math.abs(mode.value), 1e-9);
    const density = usual.length > 0 ? 0.5 * bySlip + 0.5 * anything : anything;
    const odds = Math.log(MISREAD) - Math.log1p(-MISREAD);
    logs.push({ mode: { ...mode, misread }, log: odds + logTogether(others) + Math.log(density) });
  });
  const most = Math.max(...logs.map(({ log }) => log));
  const weights = logs.map(({ log }) => Math.exp(log - most));
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return logs
    .map(({ mode }, index): Mode => ({ ...mode, weight: (weights[index] as number) / sum }))
    .sort((a, b) => b.weight - a.weight);
}

const bell = (off: number, std: number): number =>
  Math.exp(-0.5 * (off / std) ** 2) / (Math.max(std, 1e-9) * Math.sqrt(2 * Math.PI));

/** Logarithm of the density of estimates that tell of one quantity, of which nothing else is known. */
function logTogether(estimates: readonly Estimate[]): number {
  const { chiSquared, degrees } = agreementOf(estimates);
  const stds = estimates.map((one) => Math.max(totalStd(one), 1e-9));
  const mean = 1 / Math.sqrt(stds.reduce((sum, std) => sum + 1 / std ** 2, 0));
  return (
    -0.5 * chiSquared -
    stds.reduce((sum, std) => sum + Math.log(std), 0) +
    Math.log(mean) -
    (degrees / 2) * Math.log(2 * Math.PI)
  );
}

/**
 * What the ways say together: their mean, and how far they and their own uncertainties spread about it.
 *
 * @example momentsOfModes([{ value: 0, std: 3, weight: 0.5 }, { value: 8, std: 3, weight: 0.5 }]) // { value: 4, std: 5 }
 */
export function momentsOfModes(modes: readonly Mode[]): Combined {
  const value = modes.reduce((sum, mode) => sum + mode.weight * mode.value, 0);
  return { value, std: spreadAbout(modes, value) };
}

/** How far the ways spread about a value: the root of their mean square distance from it. */
export const spreadAbout = (modes: readonly Mode[], value: number): number =>
  Math.sqrt(modes.reduce((sum, mode) => sum + mode.weight * (mode.std ** 2 + (mode.value - value) ** 2), 0));
