/** All that a shape of section brings with it. A new shape is one file that fills this in, and a line in `all.ts`. */
export interface ShapeRecord {
  /** For the eye, where no drawing can stand. */
  readonly sign: string;
  /** Its outline on a box of 20 by 20, as an SVG path. */
  readonly outline: string;
  /** What the bench calls such a belt, before its size. */
  readonly name: string;
  /** The same where a rail or a list says it in one word. */
  readonly short: string;
  /** What to ask for in a shop. */
  readonly inShop: string;
  /** How a typed line or a list says it: any of these words in front; the first is written in lists of what is allowed. */
  readonly said: readonly [string, ...string[]];
  /** A ring is sold by its inner diameter, a belt by its inner length. */
  readonly soldBy: 'length' | 'diameter';
  /** Which of the two a bench that can get only one of them gets. */
  readonly soldAs: 'belts' | 'rings';
  /** Shapes of one seat lie where another of it lay: a flat belt lies between rims, a narrow one on the ground. */
  readonly seat: 'narrow' | 'wide';
  /** Whether it has a width besides its thickness; a width of its own is what rims hold. */
  readonly hasWidth: boolean;
  /** Area, relaxed, of its thickness across the bend and its width. */
  readonly areaMm2: (thicknessMm: number, widthMm: number) => number;
  /** Such a section in words, of its thickness and width as written. */
  readonly inWords: (thickness: string, width: string) => string;
  /** Thicknesses that are this shape where nobody says which. */
  readonly knownByMm: readonly number[];
  /** Sizes that are rare, taken as it is sold: there the figure may as well be the other thing. */
  readonly rareMm: { readonly below: number; readonly above: number };
  /** Hardness as sold, Shore A: what the bench's own figure is kept under, what it is called, and what is believed. */
  readonly hardness: { readonly key: string; readonly of: string; readonly best: number; readonly std: number };
}
