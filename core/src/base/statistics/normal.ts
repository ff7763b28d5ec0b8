import { crossing } from './bisect';

/**
 * The chance that a standard normal value lies below z: by the rational approximation of Abramowitz & Stegun, Handbook of
 * Mathematical Functions, 7.1.26, whose error is below 1.5e-7.
 *
 * @example normalCdf(1.96) // 0.975
 */
export function normalCdf(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const series = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = 0.5 * series * Math.exp(-x * x);
  return z > 0 ? 1 - tail : tail;
}

/** Beyond this many standard deviations nothing here is told apart. */
const FAR = 8;

/**
 * The value below which a standard normal lies with a chance.
 *
 * @param p 0 to 1; the ends give ±8
 * @example normalQuantile(0.975) // 1.96
 */
export const normalQuantile = (p: number): number =>
  p <= normalCdf(-FAR) ? -FAR : p >= normalCdf(FAR) ? FAR : crossing(-FAR, FAR, (z) => normalCdf(z) < p);
