import { flat } from './flat';
import type { ShapeRecord } from './record';
import { round } from './round';
import { square } from './square';

/** How a belt can be cut across. The only place that lists the shapes; the first is what is meant where nobody says which. */
export const SHAPES = { square, round, flat } as const satisfies Readonly<Record<string, ShapeRecord>>;

export type SectionShape = keyof typeof SHAPES;
export const SECTION_SHAPES = Object.keys(SHAPES) as readonly SectionShape[];
export const USUAL_SHAPE = SECTION_SHAPES[0] as SectionShape;
const RECORDS: Readonly<Record<SectionShape, ShapeRecord>> = SHAPES;

/** The record of a shape. @example shapeOf('round').soldBy // 'diameter' */
export const shapeOf = (shape: SectionShape): ShapeRecord => RECORDS[shape];

/** Something for each shape. @example forShapes((shape) => shape.length).flat // 4 */
export const forShapes = <T>(of: (shape: SectionShape) => T): Record<SectionShape, T> =>
  Object.fromEntries(SECTION_SHAPES.map((shape) => [shape, of(shape)])) as Record<SectionShape, T>;

/** Whether a belt of one shape may lie where one of the other lay. @example liesWhere('square', 'round') // true */
export const liesWhere = (one: SectionShape, other: SectionShape): boolean => shapeOf(one).seat === shapeOf(other).seat;

const find = (of: (record: ShapeRecord) => boolean): SectionShape | undefined =>
  SECTION_SHAPES.find((shape) => of(shapeOf(shape)));

/** The shape that a word names; undefined where it names none. @example shapeSaid('O-ring') // 'round' */
export const shapeSaid = (word: string): SectionShape | undefined =>
  find(({ said }) => new RegExp(`^(?:${said.join('|')})s?(?![a-z])`, 'i').test(word.trim()));

/**
 * The shape of a belt of which nobody says it: one sold by its diameter where a diameter is given, one with a width where a
 * width is, one that a thickness is known by; else the usual one.
 *
 * @example shapeUnsaid({ thicknessMm: 1.78 }) // 'round'
 */
export const shapeUnsaid = (given: {
  readonly across?: boolean;
  readonly wide?: boolean;
  readonly thicknessMm?: number;
}): SectionShape =>
  find(
    (one) =>
      (given.across === true && one.soldBy === 'diameter') ||
      (given.wide === true && one.hasWidth) ||
      (given.thicknessMm !== undefined && one.knownByMm.some((mm) => Math.abs(mm - given.thicknessMm!) < 0.025)),
  ) ?? USUAL_SHAPE;

/** The words by which lines and lists name a shape, as a pattern's alternatives, the longest first. */
export const SHAPE_WORDS: string = SECTION_SHAPES.flatMap((shape) => shapeOf(shape).said)
  .sort((a, b) => b.length - a.length)
  .join('|');
