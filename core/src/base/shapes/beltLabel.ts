import { formatLength, MM_PER_INCH, type LengthUnit } from '../units';
import { shapeOf, type SectionShape } from './all';

/**
 * Section × size as the trade writes it: an O-ring by inner diameter, another belt by inner length. The shape's sign
 * is for the eye; the words say all of it, each figure with what it is and its unit.
 *
 * @example beltLabel({ shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 }, 'mm').words // 'square 1.2 mm, 116.0 mm inner length'
 */
export function beltLabel(
  belt: {
    readonly shape: SectionShape;
    readonly thicknessMm: number;
    readonly widthMm?: number | null | undefined;
    readonly innerLengthMm: number;
  },
  unit: LengthUnit,
): { readonly sign: string; readonly size: string; readonly words: string } {
  const { sign, name, soldBy, hasWidth } = shapeOf(belt.shape);
  const ring = soldBy === 'diameter';
  const size = ring ? belt.innerLengthMm / Math.PI : belt.innerLengthMm;
  const across = (mm: number): string => (unit === 'in' ? (mm / MM_PER_INCH).toFixed(3) : formatLength(mm, 'mm'));
  // A flat belt is written width first.
  const thickness =
    hasWidth && belt.widthMm != null
      ? `${across(belt.widthMm)} × ${across(belt.thicknessMm)}`
      : across(belt.thicknessMm);
  const figure = ring && unit === 'mm' ? size.toFixed(2) : formatLength(size, unit);
  return {
    sign,
    size: `${thickness} × ${figure}`,
    words: `${name} ${thickness} ${unit}, ${figure} ${unit} inner ${soldBy}`,
  };
}
