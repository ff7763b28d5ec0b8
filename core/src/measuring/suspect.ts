import { formatLength } from '../units';
import type { Method } from './types';

const near = (ratio: number, target: number): boolean => Math.abs(Math.log(ratio / target)) < 0.16;

/**
 * Says why a belt length cannot be right beside what is already known of it: people confuse inner diameter,
 * length round and doubled length, factors of π and 2.
 *
 * @param valueMm inner length this reading comes to
 * @param expectedMm the path, or what other readings say; a belt is within a third of it
 * @returns a sentence, or undefined where the reading may be true
 * @example suspectLength(overCap, 90, 282.7, 127) // '… looks like an inner length …'
 */
export function suspectLength(method: Method, amount: number, valueMm: number, expectedMm: number): string | undefined {
  const ratio = valueMm / expectedMm;
  if (ratio > 0.67 && ratio < 1.5) return undefined;
  const read = `Read ${formatLength(amount, 'mm')} mm as ${method.numberIs.split(':')[0]}: a belt ${formatLength(valueMm, 'mm')} mm round, where about ${formatLength(expectedMm, 'mm')} mm is expected.`;
  if (method.across && amount / expectedMm > 0.6 && amount / expectedMm < 1.5) {
    return `${read} It looks like an inner length; choose a way that takes a length.`;
  }
  if (near(ratio, Math.PI)) return `${read} That is π times too much.`;
  if (near(ratio, 1 / Math.PI)) return `${read} It looks like a diameter; choose “over a cap”.`;
  if (near(ratio, 2)) return `${read} It looks like the whole length; halve it, or choose a way that takes the whole.`;
  if (near(ratio, 0.5)) return `${read} It looks like a doubled length; choose “doubled flat”.`;
  return `${read} Check the unit and what was measured.`;
}
