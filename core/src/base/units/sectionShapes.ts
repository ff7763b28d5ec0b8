/** All that a shape of section brings with it. */
interface ShapeFacts {
  /** For the eye, where no drawing can stand. */
  readonly sign: string;
  /** Its outline on a box of 20 by 20, as an SVG path. */
  readonly outline: string;
  /** What the bench calls such a belt. */
  readonly name: string;
  /** What to ask for in a shop. */
  readonly inShop: string;
  /** A ring is sold by its inner diameter, a belt by its inner length. */
  readonly soldBy: 'length' | 'diameter';
  /** Area, relaxed, of its thickness across the bend and its width. */
  readonly areaMm2: (thicknessMm: number, widthMm: number) => number;
}

/** How a belt can be cut across. A flat belt has a width besides its thickness. The only place that lists the shapes. */
export const SHAPES = {
  square: {
    sign: '□',
    outline: 'M1.5 1.5h17v17h-17z',
    name: 'square',
    inShop: 'square section',
    soldBy: 'length',
    areaMm2: (thicknessMm) => thicknessMm * thicknessMm,
  },
  round: {
    sign: '○',
    outline: 'M1.5 10a8.5 8.5 0 1 0 17 0a8.5 8.5 0 1 0 -17 0z',
    name: 'O-ring',
    inShop: 'round section (O-ring)',
    soldBy: 'diameter',
    areaMm2: (thicknessMm) => (Math.PI * thicknessMm * thicknessMm) / 4,
  },
  flat: {
    sign: '▭',
    outline: 'M1.5 6h17v8h-17z',
    name: 'flat',
    inShop: 'flat section',
    soldBy: 'length',
    areaMm2: (thicknessMm, widthMm) => thicknessMm * widthMm,
  },
} as const satisfies Readonly<Record<string, ShapeFacts>>;

export type SectionShape = keyof typeof SHAPES;
export const SECTION_SHAPES = Object.keys(SHAPES) as readonly SectionShape[];
