import { ok, refuse, type Result } from './result';

const DECIMAL = /^[+-]?(\d+([.,]\d*)?|[.,]\d+)$/;
const FRACTION = /^([+-])?(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/;

/**
 * Reads a plain number as a bench types it: decimal point or decimal comma, or an inch-style fraction.
 * Both separators at once are refused, since 1,234.5 and 1.234,5 mean different things to different hands.
 *
 * @returns the number, or a sentence naming what was read.
 * @example parseNumber('44,5') // 44.5
 * @example parseNumber('1 3/16') // 1.1875
 */
export function parseNumber(text: string): Result<number> {
  const trimmed = text.trim();
  if (trimmed === '') return refuse('Nothing was typed. Type a number, such as 45 or 44,5.');
  if (DECIMAL.test(trimmed)) return ok(Number(trimmed.replace(',', '.')));
  const fraction = FRACTION.exec(trimmed);
  if (fraction) {
    const below = Number(fraction[4]);
    if (below === 0) return refuse(`Read “${trimmed}”. A fraction cannot have 0 below the line.`);
    const size = Number(fraction[2] ?? 0) + Number(fraction[3]) / below;
    return ok(fraction[1] === '-' ? -size : size);
  }
  if (trimmed.includes(',') && trimmed.includes('.')) {
    return refuse(`Read “${trimmed}”. Use one decimal sign only, a point or a comma.`);
  }
  return refuse(`Read “${trimmed}”. That is not a number; type one such as 45, 44,5 or 1 3/16 in.`);
}
