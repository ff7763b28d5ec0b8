import type { SectionShape } from '../../base/shapes';

/** Which assortment a belt belongs to; one that was tried may belong to none. */
export type SeriesId = 'as568-070' | 'as568-103' | 'square' | 'flat' | 'metric' | 'own' | 'tried';

/** A belt that can be bought: nominal size and the maker's limits. Lengths in mm. */
export interface CatalogueBelt {
  readonly id: string;
  readonly series: SeriesId;
  readonly name: string;
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  /** Only a flat belt has one of its own. */
  readonly widthMm?: number;
  readonly thicknessToleranceMm: number;
  readonly innerLengthMm: number;
  readonly innerLengthToleranceMm: number;
}
