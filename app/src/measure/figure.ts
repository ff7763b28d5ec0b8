import { isForce, type Measurand } from '@loose-pulley/core/measuring';
import { MM_PER_INCH, type LengthUnit } from '@loose-pulley/core/units';

/** A reading's amount as it stands in its field: to the hundredth or the thousandth inch, trailing noughts off. */
export function figure(measurand: Measurand, amount: number, unit: LengthUnit): string {
  if (isForce(measurand)) return String(Number(amount.toFixed(2)));
  if (unit === 'in') return (amount / MM_PER_INCH).toFixed(3);
  return amount.toFixed(2).replace(/0$/, '');
}
