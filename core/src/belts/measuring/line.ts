import { formatLength, ok, refuse, type LengthUnit, type Result } from '../../base/units';
import { parseRingSection } from '../../base/shapes';
import { AUX } from './aux';
import { METHODS, findMethod } from './methods';
import { parseAmount } from './read';
import type { Aux, Method } from './types';
import type { AuxKey } from './schema';

/** A typed line as understood: which method, what number, with which section and tools. */
export interface BenchLine {
  readonly method: Method;
  readonly amount: number;
  readonly aux: Aux;
  readonly typed: string;
}

const AUX_WORDS: ReadonlyArray<readonly [RegExp, AuxKey]> = [
  [/^(?:section|thickness|thick|t)\b\s*/i, 'sectionMm'],
  [/^pins?\b\s*/i, 'pinDiameterMm'],
  [/^(?:string|thread)\b\s*/i, 'stringDiameterMm'],
  [/^(?:next|not)\b\s*/i, 'nextCapMm'],
  [/^(?:by|across)\b\s*/i, 'secondDiameterMm'],
];
const LINE_METHODS = METHODS.filter(({ measurand }) => measurand === 'oldBelt' || measurand === 'stringPath');

/** The method whose longest word starts the text, and the rest. */
function leadingMethod(text: string): { method: Method; rest: string } | undefined {
  const lower = text.toLowerCase();
  let best: { method: Method; length: number } | undefined;
  for (const method of LINE_METHODS) {
    for (const word of method.words) {
      const fits = lower.startsWith(word) && !/^[a-z]/.test(lower.slice(word.length));
      if (fits && word.length > (best?.length ?? 0)) best = { method, length: word.length };
    }
  }
  return best && { method: best.method, rest: text.slice(best.length).replace(/^[\s:]+/, '') };
}

/** The method whose word ends the text, after a number: `66.4 doubled`. */
function trailingMethod(text: string): { method: Method; rest: string } | undefined {
  const [, number = '', word = ''] = /^([\d.,/ ]+(?:mm|in|cm|")?)\s+([a-z][a-z ]*)$/i.exec(text) ?? [];
  const method = LINE_METHODS.find(({ words }) => words.includes(word.toLowerCase().trim()));
  return method && { method, rest: number };
}

/**
 * Reads one line as said at the bench: `doubled flat 66.4, section 1.2`, or a bare number with the method chosen by
 * button. Parts are set apart by commas followed by a space, or semicolons, so that 66,4 stays a number.
 *
 * @param chosen method id used where the line names none
 * @param section section in mm used where the line names none; undefined where unknown
 * @returns what was understood, or a sentence
 * @example parseBenchLine('doubled flat 66.4, section 1.2', 'overCap', undefined, 'mm').value.method.id // 'doubledOuter'
 * // { method: doubledOuter, amount: 66.4, aux: { sectionMm: 1.2 } }
 */
export function parseBenchLine(
  text: string,
  chosen: string,
  section: number | undefined,
  assumed: LengthUnit,
): Result<BenchLine> {
  const parts = text
    .split(/;|,\s+|\s+(?=section\b)/i)
    .map((part) => part.trim())
    .filter((part) => part !== '');
  const [first = '', ...others] = parts;
  if (first === '') return refuse('Type a reading, such as “doubled flat 66.4, section 1.2”.');
  const named = leadingMethod(first) ?? trailingMethod(first);
  const method = named?.method ?? findMethod(chosen);
  if (!method) return refuse('Choose how it was measured: doubled flat, over a cap, laid straight or string.');
  const amount = parseAmount(method, named?.rest ?? first, assumed);
  if (!amount.ok) return amount;
  const aux: Partial<Record<AuxKey, number>> = section === undefined ? {} : { sectionMm: section };
  for (const part of others) {
    const found = AUX_WORDS.find(([word]) => word.test(part));
    if (!found) return refuse(`Read “${part}”. After the reading comes “section 1.2” or a tool, such as “pins 3”.`);
    const [word, key] = found;
    const length = parseRingSection(part.replace(word, ''));
    if (!length.ok) return length;
    const { min, max, label } = AUX[key];
    if (length.value < min || length.value > max) {
      return refuse(`Read ${label} ${formatLength(length.value, 'mm')} mm. Allowed: ${min} to ${max} mm.`);
    }
    aux[key] = length.value;
  }
  return ok({ method, amount: amount.value, aux, typed: text.trim() });
}
