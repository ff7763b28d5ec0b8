import { MM_PER_INCH, type LengthUnit } from './constants';
import { parseNumber } from './parseNumber';
import { ok, refuse, type Result } from './result';

/** A length as understood: millimetres, and the unit it was given in. */
export interface ParsedLength {
  readonly lengthMm: number;
  readonly unit: LengthUnit;
}

const UNITS: ReadonlyArray<readonly [RegExp, LengthUnit, number]> = [
  [/\s*(millimet(?:re|er)s?|mm)\.?$/i, 'mm', 1],
  [/\s*(centimet(?:re|er)s?|cm)\.?$/i, 'mm', 10],
  [/\s*(inch(?:es)?|in|"|″|”|'')\.?$/i, 'in', MM_PER_INCH],
];
const OTHER_UNIT = /[\d.,/]\s*([a-zµ%°]+)$/i;

/**
 * Reads a length: `45`, `45 mm`, `4.5 cm`, `1 3/16 in`, `1.77"`, `44,5`, `+0024.80mm` from a typing caliper.
 * A bare number takes `assumed`; a bare fraction is inches, since nobody rules millimetres in sixteenths.
 *
 * @param assumed unit of a number typed without one
 * @returns millimetres and the unit understood, or a sentence. Sign and range are the caller's to judge.
 * @example parseLength('1 3/16 in', 'mm') // { lengthMm: 30.1625, unit: 'in' }
 */
export function parseLength(text: string, assumed: LengthUnit = 'mm'): Result<ParsedLength> {
  const trimmed = text.trim();
  for (const [ending, unit, factorMm] of UNITS) {
    if (!ending.test(trimmed)) continue;
    const number = parseNumber(trimmed.replace(ending, ''));
    return number.ok ? ok({ lengthMm: number.value * factorMm, unit }) : number;
  }
  const foreign = OTHER_UNIT.exec(trimmed);
  if (foreign) {
    return refuse(`Read “${trimmed}”. “${foreign[1]}” is not a unit of length here; use mm, cm or in.`);
  }
  const number = parseNumber(trimmed);
  if (!number.ok) return number;
  const unit: LengthUnit = trimmed.includes('/') ? 'in' : assumed;
  return ok({ lengthMm: unit === 'in' ? number.value * MM_PER_INCH : number.value, unit });
}
