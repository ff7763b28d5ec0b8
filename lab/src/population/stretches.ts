import { sameSection, stockFor, type CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { SECTION_SHAPES, type SectionShape } from '@loose-pulley/core/base/shapes';
import type { Effort } from './bench';
import { meanOf } from './outcomes';
import type { TrueDrive } from './drive';

/** What a fixed percentage is taken off: the old belt's length, the path by a string, the path by all that was measured. */
export const STRETCHED_FROM = ['oldBelt', 'string', 'pulleys'] as const satisfies readonly Effort[];
export type StretchedFrom = (typeof STRETCHED_FROM)[number];

/** The readings from which a fixed percentage could be taken, at an effort. */
export const stretchedFrom = (effort: Effort): StretchedFrom =>
  effort === 'oldBelt' || effort === 'string' ? effort : 'pulleys';

const PERCENTS = Array.from({ length: 35 }, (_, i) => -0.03 + i * 0.005);

/** The section on sale that is nearest the old one. */
export function oldSectionOf(one: TrueDrive): readonly CatalogueBelt[] {
  const like = stockFor(one.section.shape).filter(({ shape }) => shape === one.section.shape);
  const off = (belt: CatalogueBelt): number =>
    Math.abs(belt.thicknessMm - one.section.thicknessMm) +
    Math.abs((belt.widthMm ?? 0) - (one.section.widthMm ?? belt.widthMm ?? 0));
  const nearest = like.reduce<CatalogueBelt | undefined>(
    (best, belt) => (!best || off(belt) < off(best) ? belt : best),
    undefined,
  );
  return nearest ? like.filter((belt) => sameSection(belt, nearest)) : [];
}

/** Of the old section's belts the one whose centre line would be stretched most nearly by so much. */
export function byStretch(stock: readonly CatalogueBelt[], lengthMm: number, stretch: number) {
  const t = stock[0]?.thicknessMm ?? 1.2;
  const aimMm = (lengthMm + Math.PI * t * 0.96) / (1 + stretch) - Math.PI * t;
  return stock.reduce<CatalogueBelt | undefined>(
    (best, belt) =>
      !best || Math.abs(belt.innerLengthMm - aimMm) < Math.abs(best.innerLengthMm - aimMm) ? belt : best,
    undefined,
  );
}

/** Of each stock and from each set of readings the percentage that did best. */
export type BestStretches = Readonly<Record<SectionShape, Readonly<Record<StretchedFrom, number>>>>;

/** How every fixed percentage did, drive by drive. */
export class Stretches {
  private readonly did: Record<string, number[][]> = {};
  private readonly shapes: SectionShape[] = [];

  /** @param lengthMm what the percentages are taken off; undefined where nothing could be read */
  add(one: TrueDrive, from: StretchedFrom, lengthMm: number | undefined, works: (belt?: CatalogueBelt) => boolean) {
    if (from === STRETCHED_FROM[0]) this.shapes.push(one.section.shape);
    const own = oldSectionOf(one);
    const rows = (this.did[from] ??= []);
    rows.push(PERCENTS.map((percent) => (lengthMm !== undefined && works(byStretch(own, lengthMm, percent)) ? 1 : 0)));
  }

  /** The best of each stock, knowing how it went. */
  best(): BestStretches {
    const bestOf = (shape: SectionShape, from: StretchedFrom): number => {
      const rows = (this.did[from] ?? []).filter((_, i) => this.shapes[i] === shape);
      const means = PERCENTS.map((_, at) => meanOf(rows.map((row) => row[at] ?? 0)));
      return PERCENTS[means.indexOf(Math.max(...means))] ?? 0;
    };
    return Object.fromEntries(
      SECTION_SHAPES.map((shape) => [
        shape,
        Object.fromEntries(STRETCHED_FROM.map((from) => [from, bestOf(shape, from)])),
      ]),
    ) as BestStretches;
  }

  /** How the given percentages did, drive by drive. */
  outcomes(from: StretchedFrom, by: BestStretches): readonly number[] {
    return (this.did[from] ?? []).map((row, i) => {
      const shape = this.shapes[i] as SectionShape;
      return row[PERCENTS.indexOf(by[shape][from])] ?? 0;
    });
  }
}
