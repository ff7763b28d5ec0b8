import { totalStd, type Estimate } from '../../base/statistics';
import { formatLength, ok, parseForce, parseLength, refuse, type LengthUnit, type Result } from '../../base/units';
import { AUX, needAux } from './aux';
import { findMethod } from './methods';
import { isForce, type Aux, type Converted, type KnownOfDrive, type Method } from './types';
import type { AuxKey, Reading } from './schema';

/** A converted reading with its uncertainty parted into its own and what it shares with others. */
export interface ReadReading extends Converted {
  readonly estimate: Estimate;
  /** Combined standard uncertainty, k = 1. */
  readonly std: number;
}

const SHARED_NAMES: Readonly<Partial<Record<AuxKey, string>>> = {
  // The section enters every belt reading with the same error; a tool's size only its own reading.
  sectionMm: 'section',
};

/**
 * Works out what a reading comes to, with its uncertainty (JCGM 100:2008, 5.1.2: sensitivities times standard
 * uncertainties, in quadrature; the section's part is kept as shared).
 *
 * @param aux tool sizes
 * @param known of the drive: its section stands for `sectionMm`, its wraps say what a string's thickness adds
 * @returns the value, or a sentence
 * @example readAmount(findMethod('doubledOuter'), 66.4, { sectionMm: 1.2 }).value.value // 128.0
 */
export function readAmount(
  method: Method,
  amount: number,
  aux: Aux,
  ownStd: number | null = null,
  known: KnownOfDrive = {},
): Result<ReadReading> {
  const range = checkAmount(method, amount);
  if (!range.ok) return range;
  const { section, wraps } = known;
  const tools = section ? { ...aux, sectionMm: section.value } : aux;
  const complete = needAux(tools, method.aux);
  if (!complete.ok) return complete;
  const converted = method.convert(amount, tools, wraps);
  if (!converted.ok) return converted;
  const { value, perReading, perAux } = converted.value;
  const own = [perReading * (ownStd ?? method.readingStd), converted.value.ownStd ?? 0];
  const shared: Record<string, number> = {};
  for (const [key, sensitivity] of Object.entries(perAux) as Array<[AuxKey, number]>) {
    const name = SHARED_NAMES[key];
    if (name) shared[name] = sensitivity * (section?.std ?? AUX.sectionMm.std);
    else own.push(sensitivity * AUX[key].std);
  }
  const estimate: Estimate = { value, ownStd: Math.hypot(...own), shared };
  return ok({ ...converted.value, estimate, std: totalStd(estimate) });
}

/** The same for a kept reading. An unknown method, from a newer file, is refused and not guessed. */
export function readReading(reading: Reading, known: KnownOfDrive = {}): Result<ReadReading> {
  const method = findMethod(reading.method);
  if (!method) return refuse(`This bench does not know the method “${reading.method}”.`);
  return readAmount(method, reading.amount, reading.aux, reading.ownStd, known);
}

/**
 * Refuses zero, negative and out-of-range amounts, saying what was read and what is allowed.
 *
 * @param amount mm, or N for a pull
 * @example checkAmount(findMethod('motorJaws'), 0) // refuses: Read 0. Nothing real measures 0…
 */
export function checkAmount(method: Method, amount: number): Result<true> {
  const unit = isForce(method.measurand) ? 'N' : 'mm';
  if (!Number.isFinite(amount)) return refuse('That is not a number.');
  if (amount >= method.min && amount <= method.max) return ok(true);
  const shown = unit === 'mm' ? formatLength(amount, 'mm') : amount.toFixed(2);
  const allowed = `Allowed here: ${method.min} to ${method.max} ${unit}.`;
  if (amount < 0) return refuse(`Read ${shown} ${unit}. A measured size cannot be negative. ${allowed}`);
  if (amount === 0) return refuse(`Read 0. Nothing real measures 0; is the caliper zeroed on the part? ${allowed}`);
  if (method.across && amount > method.max) {
    return refuse(
      `Read an inner diameter of ${shown} mm, a belt ${formatLength(Math.PI * amount, 'mm')} mm round. ` +
        `That looks like a length; choose “printed, as length” or “doubled flat” for it. ${allowed}`,
    );
  }
  return refuse(`Read ${shown} ${unit} as the ${method.numberIs}. ${allowed}`);
}

/**
 * Reads the text typed into a method's field: a length, a pull, or for pieces a sum (`40 + 52.5 + 31`); for the
 * doubled length also `2x45`.
 *
 * @returns the amount in mm or N, or a sentence
 * @example parseAmount(findMethod('doubledOuter'), '66.4', 'mm').value // 66.4
 */
export function parseAmount(method: Method, text: string, assumed: LengthUnit): Result<number> {
  if (method.takes === 'force') return parseForce(text);
  const doubled = /^\s*2\s*[x×*]\s*(.+)$/i.exec(text);
  if (doubled) {
    if (method.takes === 'doubledLength') return amountOf(doubled[1] ?? '', assumed);
    return refuse(`Read “${text.trim()}”. 2 × is for a doubled length only; here type the number alone.`);
  }
  const pieces = method.takes === 'sum' ? text.split('+') : [text];
  let sum = 0;
  for (const piece of pieces) {
    const length = amountOf(piece, assumed);
    if (!length.ok) return length;
    sum += length.value;
  }
  return ok(sum);
}

function amountOf(text: string, assumed: LengthUnit): Result<number> {
  const length = parseLength(text, assumed);
  return length.ok ? ok(length.value.lengthMm) : length;
}
