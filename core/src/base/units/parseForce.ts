import { NEWTON_PER_KGF } from './constants';
import { parseLength } from './parseLength';
import { parseNumber } from './parseNumber';
import { ok, refuse, type Result } from './result';

const UNITS: ReadonlyArray<readonly [RegExp, number]> = [
  [/\s*(kgf|kg)$/i, NEWTON_PER_KGF],
  [/\s*(gf|g|grams?)$/i, NEWTON_PER_KGF / 1000],
  [/\s*(n|newtons?)$/i, 1],
];

/**
 * Reads a pull off a scale: `1.4 N`, `140 g`, `0,14 kg`. A bare number is newtons.
 *
 * @returns newtons, or a sentence.
 * @example parseForce('150 g') // 1.4709975
 */
export function parseForce(text: string): Result<number> {
  const trimmed = text.trim();
  if (parseLength(trimmed, 'mm').ok && /(mm|cm|in|inch|")$/i.test(trimmed)) {
    return refuse(`Read “${trimmed}”, a length. A pull is in N, or in grams as a scale shows it: 2.6 or 265 g.`);
  }
  for (const [ending, factorN] of UNITS) {
    if (!ending.test(trimmed)) continue;
    const number = parseNumber(trimmed.replace(ending, ''));
    return number.ok ? ok(number.value * factorN) : number;
  }
  const number = parseNumber(trimmed);
  return number.ok ? number : refuse(`${number.problem} A pull is in N, or in grams as a scale shows it.`);
}
