import { formatEntered, formatSpread, type LengthUnit } from '../../base/units';
import type { Measurand } from './schema';
import { isForce } from './types';

/**
 * A reading's amount as it stands in its field: to the hundredth or the thousandth inch, trailing noughts off. A force is
 * in newtons whatever the unit of lengths.
 *
 * @example figure('trayPull', 2.5, 'in') // '2.5'
 */
export function figure(measurand: Measurand, amount: number, unit: LengthUnit): string {
  if (isForce(measurand)) return String(Number(amount.toFixed(2)));
  return formatEntered(amount, unit);
}

/**
 * The uncertainty of what a reading comes to, in the same unit as that: newtons stay newtons.
 *
 * @example figureSpread('trayPull', 0.2, 'in') // '0.20'; figureSpread('oldBelt', 0.9, 'in') // '0.035'
 */
export const figureSpread = (measurand: Measurand, spread: number, unit: LengthUnit): string =>
  isForce(measurand) ? spread.toFixed(2) : formatSpread(spread, unit);

/** What a reading's figure is in. @example figureUnit('trayPull', 'in') // 'N' */
export const figureUnit = (measurand: Measurand, unit: LengthUnit): string => (isForce(measurand) ? 'N' : unit);
