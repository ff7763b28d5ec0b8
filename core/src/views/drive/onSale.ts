import { liesWhere, SECTION_SHAPES, shapeOf } from '../../base/shapes';
import { CATALOGUE, sameSection, stockFor, type CatalogueBelt } from '../../belts/catalogue';
import { isOldSection } from '../../belts/probability';
import type { BeltSection } from '../../physics/rubber';
import type { Try } from '../../record/stations';
import type { DriveView } from './view';

/** What tells which belts can be had for a drive. */
export interface OnSaleFor extends Pick<DriveView, 'toBeHad' | 'stock'> {
  readonly drive: Pick<DriveView['drive'], 'oldShape'>;
}

/** What can be had for a drive. */
export const stockOf = ({ drive, toBeHad, stock }: OnSaleFor): readonly CatalogueBelt[] =>
  stockFor(drive.oldShape, toBeHad, stock);

/** Belts on sale of the section that lay in a drive. */
export const oldSectionOnSale = (old: BeltSection): readonly CatalogueBelt[] => {
  const like = stockFor(old.shape).filter((belt) => isOldSection(belt, old));
  const [first, ...others] = like;
  if (!first) return [];
  const off = (belt: CatalogueBelt): number => Math.abs(belt.thicknessMm - old.thicknessMm);
  const nearest = others.reduce((best, belt) => (off(belt) < off(best) ? belt : best), first);
  return like.filter((belt) => sameSection(belt, nearest));
};

/** The belt on sale that a tried one was. */
export const onSale = (
  tried: Pick<Try, 'shape' | 'thicknessMm' | 'widthMm' | 'innerLengthMm'>,
  stock: readonly CatalogueBelt[] = CATALOGUE,
) => stock.find((belt) => sameSection(belt, tried) && Math.abs(belt.innerLengthMm - tried.innerLengthMm) < 0.05);

/**
 * Whether the answer is given among belts or rings alone where both would lie, because this bench says that no other is to
 * be had: in words that stand beside every such answer.
 *
 * For instance limitedWords(view): 'Chosen among rings alone: “To be had here” says so.'
 */
export function limitedWords({ drive, toBeHad }: Pick<DriveView, 'drive' | 'toBeHad'>): string | undefined {
  const lie = SECTION_SHAPES.filter((shape) => liesWhere(shape, drive.oldShape));
  if (toBeHad === 'both' || lie.every((shape) => shapeOf(shape).soldAs === toBeHad) || lie.length === 1)
    return undefined;
  return `Chosen among ${toBeHad} alone: “To be had here” says so.`;
}
