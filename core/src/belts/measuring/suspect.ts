import { formatEntered, formatLength } from '../../base/units';
import type { Combined } from '../../base/statistics';
import type { DriveFacts } from './facts';
import type { Measurand } from './schema';
import type { Converted, Method } from './types';

const near = (ratio: number, target: number): boolean => Math.abs(Math.log(ratio / target)) < 0.16;

/** A belt is stretched by a third at the most: what goes round further than that is in no such belt. */
const MAX_STRETCH_RATIO = 1.34;

/**
 * Says why a pulley cannot be so large beside the belt that runs on it: a decimal point was lost, most likely.
 *
 * @param diameterMm at the bottom of the groove
 * @param beltMm inner length of the belt that came off
 * @returns a sentence, or undefined where the pulley may be true
 * @example suspectPulley(6, 128) // undefined
 */
export function suspectPulley(diameterMm: number, beltMm: number): string | undefined {
  const roundMm = Math.PI * diameterMm;
  if (roundMm <= MAX_STRETCH_RATIO * beltMm) return undefined;
  return (
    `Read Ø ${formatEntered(diameterMm, 'mm')} mm: that is ${formatLength(roundMm, 'mm')} mm round, and the old belt is ` +
    `${formatLength(beltMm, 'mm')} mm. Check the decimal point and the old belt.`
  );
}

/**
 * Says why a belt length cannot be right beside what is already known of it: people confuse inner diameter,
 * length round and doubled length, factors of π and 2.
 *
 * @param valueMm inner length this reading comes to
 * @param expectedMm the path, or what other readings say; a belt is within a third of it
 * @returns a sentence, or undefined where the reading may be true
 * @example suspectLength(findMethod('overCap'), 90, 282.7, 127) // 'Read 90.0 mm as inner diameter: … looks like an inner length…'
 */
export function suspectLength(method: Method, amount: number, valueMm: number, expectedMm: number): string | undefined {
  const ratio = valueMm / expectedMm;
  if (ratio > 0.67 && ratio < 1.5) return undefined;
  const read = `Read ${formatEntered(amount, 'mm')} mm as ${method.numberIs.split(':')[0]}: a belt ${formatLength(valueMm, 'mm')} mm round, where about ${formatLength(expectedMm, 'mm')} mm is expected.`;
  if (method.across && amount / expectedMm > 0.6 && amount / expectedMm < 1.5) {
    return `${read} It looks like an inner length; choose a way that takes a length.`;
  }
  if (near(ratio, Math.PI)) return `${read} That is π times too much.`;
  if (near(ratio, 1 / Math.PI)) return `${read} It looks like a diameter; choose “over a cap”.`;
  if (near(ratio, 2)) return `${read} It looks like the whole length; halve it, or choose a way that takes the whole.`;
  if (near(ratio, 0.5)) return `${read} It looks like a doubled length; choose “doubled flat”.`;
  return `${read} Check the unit and what was measured.`;
}

/** Between what such sizes lie, mm. Common practice for small drives, no source: what lies far outside is asked about. */
const USUAL_MM: Readonly<Partial<Record<Measurand, readonly [least: number, most: number]>>> = {
  motorDiameter: [1.5, 40],
  drivenDiameter: [5, 90],
  centreDistance: [8, 250],
  oldBelt: [30, 700],
  stringPath: [30, 700],
  section: [0.5, 5],
  width: [1, 12],
};

/**
 * Asks about a size that may be but hardly ever is: ten times what such drives have, or a tenth.
 *
 * @returns a question, or undefined where the size is usual
 * @example unlikelySize('centreDistance', 385) // 'Read 385.0 mm: ten times what such drives have. Is it 38.5 mm?'
 */
export function unlikelySize(measurand: Measurand, valueMm: number): string | undefined {
  const [least, most] = USUAL_MM[measurand] ?? [0, Infinity];
  const usual = (mm: number): boolean => mm >= least && mm <= most;
  if (usual(valueMm)) return undefined;
  const read = `Read ${formatEntered(valueMm, 'mm')} mm`;
  if (usual(valueMm / 10))
    return `${read}: ten times what such drives have. Is it ${formatLength(valueMm / 10, 'mm')} mm?`;
  if (usual(valueMm * 10))
    return `${read}: a tenth of what such drives have. Is it ${formatLength(valueMm * 10, 'mm')} mm?`;
  return `${read}: such drives have ${least} to ${most} mm.`;
}

/** What is known of a drive's lengths. */
export type KnownLengths = { readonly [K in 'path' | 'geometricPath' | 'oldBelt']?: DriveFacts[K] | undefined };

/**
 * Says what speaks against a reading, by what else is known of the drive. The path is held against the pulleys, or the
 * old belt; the old belt against the path; a pulley against the old belt. Never anything against itself.
 *
 * @param amount as typed, in mm
 * @returns a sentence, or undefined where nothing speaks against it; a least length is never doubted
 * For instance doubtOf(motor jaws, 60, { value: 60 }, { oldBelt: { value: 128, … } }): 'Read Ø 60.0 mm: that is …'
 */
export function doubtOf(
  method: Method,
  amount: number,
  read: Pick<Converted, 'value' | 'lowerBound'>,
  { path, geometricPath, oldBelt }: KnownLengths,
): string | undefined {
  if (read.lowerBound) return undefined;
  const against = (expected: Combined | undefined) =>
    expected && suspectLength(method, amount, read.value, expected.value);
  switch (method.measurand) {
    case 'motorDiameter':
    case 'drivenDiameter':
      return (oldBelt && suspectPulley(read.value, oldBelt.value)) ?? unlikelySize(method.measurand, read.value);
    case 'stringPath':
      return against(geometricPath ?? oldBelt) ?? unlikelySize(method.measurand, read.value);
    case 'oldBelt':
      return against(path) ?? unlikelySize(method.measurand, read.value);
    default:
      return unlikelySize(method.measurand, read.value);
  }
}
