import { MM_PER_INCH, NEWTON_PER_KGF, type LengthUnit } from './constants';

const MINUS = '−';
const signed = (text: string): string => text.replace('-', MINUS);
/** Rounded as a decimal is, a half away from nought: 33.05 lies a hair lower as a binary number. */
const rounded = (value: number, places: number): string => (value + Math.sign(value) * 1e-9).toFixed(places);

/**
 * A length as a figure without its unit: one decimal of a millimetre (two under 3 mm, where a section lives),
 * or three decimals of an inch.
 *
 * @example formatLength(128, 'mm') // '128.0'
 * @example formatLength(128, 'in') // '5.039'
 * @example formatLength(1.78, 'mm') // '1.78'
 */
export function formatLength(lengthMm: number, unit: LengthUnit): string {
  if (!Number.isFinite(lengthMm)) return '–';
  if (unit === 'in') return signed((lengthMm / MM_PER_INCH).toFixed(3));
  if (Math.abs(lengthMm) >= 3) return signed(rounded(lengthMm, 1));
  return signed(rounded(lengthMm, 2).replace(/0$/, ''));
}

/**
 * A length as it was typed in: to the hundredth of a millimetre or the thousandth of an inch, a trailing nought off.
 *
 * @example formatEntered(33.05, 'mm') // '33.05'
 * @example formatEntered(33, 'mm') // '33.0'
 */
export function formatEntered(lengthMm: number, unit: LengthUnit): string {
  if (unit === 'in') return signed((lengthMm / MM_PER_INCH).toFixed(3));
  return signed(rounded(lengthMm, 2).replace(/0$/, ''));
}

/**
 * A difference or an uncertainty: one decimal of a millimetre (two under 0.1), three of an inch.
 *
 * @example formatSpread(1.24, 'mm') // '1.2'
 */
export function formatSpread(lengthMm: number, unit: LengthUnit): string {
  if (!Number.isFinite(lengthMm)) return '–';
  if (unit === 'in') return signed((lengthMm / MM_PER_INCH).toFixed(3));
  return signed(rounded(lengthMm, Math.abs(lengthMm) < 0.095 ? 2 : 1));
}

/** A length with its unit. @example formatLengthWithUnit(128, 'mm') // '128.0 mm' */
export function formatLengthWithUnit(lengthMm: number, unit: LengthUnit): string {
  return `${formatLength(lengthMm, unit)} ${unit}`;
}

/**
 * The nearest fraction of an inch that a rule shows, reduced; `≈` where it misses by more than 0.001 in.
 *
 * @param denominator finest division of the rule, a power of two
 * @example formatInchFraction(30.1625) // '1 3/16'
 * @example formatInchFraction(28.3) // '≈ 1 7/64'
 */
export function formatInchFraction(lengthMm: number, denominator = 64): string {
  const inches = Math.abs(lengthMm) / MM_PER_INCH;
  let above = Math.round(inches * denominator);
  let below = denominator;
  const missInches = Math.abs(inches - above / below);
  while (above > 0 && above % 2 === 0 && below > 1) {
    above /= 2;
    below /= 2;
  }
  const whole = Math.floor(above / below);
  const rest = above % below;
  const figure = rest === 0 ? String(whole) : `${whole ? `${whole} ` : ''}${rest}/${below}`;
  return `${missInches > 0.001 ? '≈ ' : ''}${lengthMm < 0 ? MINUS : ''}${figure}`;
}

/** A force in newtons and grams-force. @example formatForce(3.1) // '3.1 N · 316 gf' */
export function formatForce(forceN: number): string {
  return `${formatNewton(forceN)} · ${formatGramForce(forceN)}`;
}

/** A force in newtons, two decimals under 1 N. @example formatNewton(0.778) // '0.78 N' */
export function formatNewton(forceN: number): string {
  if (!Number.isFinite(forceN)) return '–';
  return `${signed(forceN.toFixed(Math.abs(forceN) < 1 ? 2 : 1))} N`;
}

/** A force as a scale shows it. @example formatGramForce(3.1) // '316 gf' */
export function formatGramForce(forceN: number): string {
  if (!Number.isFinite(forceN)) return '–';
  return `${signed(((forceN / NEWTON_PER_KGF) * 1000).toFixed(0))} gf`;
}

/** A change as a percentage, its sign always said. @example signedPercent(0.004) // '+0.4 %' */
export const signedPercent = (change: number): string =>
  `${change < 0 ? '−' : '+'}${Math.abs(100 * change).toFixed(1)} %`;

/** A ratio as a percentage of one decimal. @example formatPercent(0.074) // '7.4 %' */
export function formatPercent(ratio: number): string {
  return Number.isFinite(ratio) ? `${signed((ratio * 100).toFixed(1))} %` : '–';
}
