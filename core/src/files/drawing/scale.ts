import type { Drafting, Figure } from './types';

const RULE_MM = 150;
/** The wedge: its gap from one end to the other, over its length. */
const WEDGE = { lengthMm: 150, fromMm: 0.5, toMm: 4 } as const;
const ROUND = { fromMm: 4, toMm: 60, stepMm: 2 } as const;

/** How wide the wedge is open this far along, mm. */
export const gapAt = (alongMm: number): number =>
  WEDGE.fromMm + ((WEDGE.toMm - WEDGE.fromMm) * alongMm) / WEDGE.lengthMm;
/** How far along the wedge is open so wide, mm: the inverse of `gapAt`. */
export const alongOf = (gapMm: number): number =>
  ((gapMm - WEDGE.fromMm) * WEDGE.lengthMm) / (WEDGE.toMm - WEDGE.fromMm);

const line = (x1: number, y1: number, x2: number, y2: number): Figure => ({ type: 'line', x1, y1, x2, y2 });
const text = (x: number, y: number, words: string, heightMm = 2.6): Figure => ({
  type: 'text',
  x,
  y,
  heightMm,
  text: words,
});

function rule(y: number): Figure[] {
  const ticks = Array.from({ length: RULE_MM + 1 }, (_, mm) =>
    line(mm, y, mm, y + (mm % 10 === 0 ? 7 : mm % 5 === 0 ? 5 : 3)),
  );
  const numbers = Array.from({ length: RULE_MM / 10 + 1 }, (_, ten) => text(10 * ten + 0.5, y + 7.5, String(10 * ten)));
  return [line(0, y, RULE_MM, y), ...ticks, ...numbers];
}

function wedge(y: number): Figure[] {
  const tenths = Math.round((WEDGE.toMm - WEDGE.fromMm) * 10);
  const marks = Array.from({ length: tenths + 1 }, (_, tenth) => {
    const gap = WEDGE.fromMm + tenth / 10;
    const x = alongOf(gap);
    const half = Math.round(gap * 10) % 5 === 0;
    return [line(x, y, x, y - (half ? 5 : 2.5)), ...(half ? [text(x + 0.6, y - 6, gap.toFixed(1))] : [])];
  });
  return [line(0, y, WEDGE.lengthMm, y), line(0, y + WEDGE.fromMm, WEDGE.lengthMm, y + WEDGE.toMm), ...marks.flat()];
}

function rounds(x: number, y: number): Figure[] {
  const count = (ROUND.toMm - ROUND.fromMm) / ROUND.stepMm + 1;
  const diameters = Array.from({ length: count }, (_, at) => ROUND.fromMm + at * ROUND.stepMm);
  return [
    ...diameters.map((d): Figure => ({ type: 'circle', x, y, r: d / 2 })),
    ...diameters.filter((d) => d % 10 === 0).map((d) => text(x + d / 2 - 3.4, y + 0.3, String(d), 2.2)),
    line(x - 2, y, x + 2, y),
    line(x, y - 2, x, y + 2),
  ];
}

/**
 * The paper scale, for a bench without a caliper: a rule, a wedge whose gap tells the section of a belt that just fills
 * it, and circles for caps and pulleys. At 1:1, in mm; it fits an A4 and a Letter sheet.
 *
 * @example draftScale().figures.length > 100 // true
 */
export function draftScale(): Drafting {
  return {
    name: 'Paper scale',
    figures: [
      ...rule(150),
      text(0, 162, 'Rule, mm'),
      ...wedge(128),
      text(0, 135, 'Section, mm: where the belt just fills the gap, read below it'),
      text(0, 108, 'Diameter, mm: the first circle that shows round the cap or pulley is just larger'),
      ...rounds(75, 72),
    ],
  };
}
