import { prepared, type Rule } from '../../base/spoken';
import { MM_PER_INCH, type LengthUnit } from '../../base/units';
import { AUX } from '../measuring';
import type { Bit, Figure } from './bits';

/* The grammar of a reading: figures, what each is of, and the way by which it was read. */

type Parts = readonly Bit[];
const rule = (makes: string, of: string, says: (parts: Parts) => Partial<Bit> | undefined, cost = 0): Rule<Bit> => ({
  makes,
  of: of.split(' '),
  cost,
  says(parts) {
    const said = says(parts);
    return said && { is: 'part', ...said, roles: parts.flatMap(({ roles }) => roles) };
  },
});
const n = (parts: Parts, at: number): number => parts[at]?.n ?? 0;

/** 1.2 of “one point two”: digits after the point, as they are said. */
const afterPoint = (text: string): number => Number(`0.${text}`);

const NUMBERS: readonly Rule<Bit>[] = [
  rule('small', 'teen', (p) => ({ n: n(p, 0) })),
  rule('small', 'ten', (p) => ({ n: n(p, 0) })),
  rule('small', 'ten digit', (p) => ({ n: n(p, 0) + n(p, 1) })),
  rule('spelt', 'digit', (p) => ({ n: n(p, 0) })),
  rule('spelt', 'small', (p) => ({ n: n(p, 0) })),
  rule('hundreds', 'digit hundred', (p) => ({ n: 100 * n(p, 0) })),
  rule('hundreds', 'article hundred', () => ({ n: 100 })),
  rule('hundreds', 'hundred', () => ({ n: 100 }), 0.1),
  rule('spelt', 'hundreds', (p) => ({ n: n(p, 0) })),
  ...['small', 'digit'].flatMap((rest) => [
    rule('spelt', `hundreds and ${rest}`, (p) => ({ n: n(p, 0) + n(p, 2) })),
    rule('spelt', `hundreds ${rest}`, (p) => ({ n: n(p, 0) + n(p, 1) })),
  ]),
  // “One twenty eight” is 128.
  rule('spelt', 'digit small', (p) => (n(p, 0) > 0 && n(p, 0) < 7 ? { n: 100 * n(p, 0) + n(p, 1) } : undefined), 0.1),
  rule('digits', 'digit', (p) => ({ text: String(n(p, 0)) })),
  rule('digits', 'number', (p) => (/^\d+$/.test(p[0]?.text ?? '') ? { text: p[0]?.text ?? '' } : undefined)),
  rule('digits', 'digits digit', (p) => ({ text: `${p[0]?.text ?? ''}${n(p, 1)}` })),
  rule('plain', 'number', (p) => ({ n: n(p, 0) })),
  rule('plain', 'spelt', (p) => ({ n: n(p, 0) }), 0.3),
  rule('plain', 'number point digits', (p) =>
    Number.isInteger(n(p, 0)) ? { n: n(p, 0) + afterPoint(p[2]?.text ?? '') } : undefined,
  ),
  rule('plain', 'spelt point digits', (p) => ({ n: n(p, 0) + afterPoint(p[2]?.text ?? '') })),
  rule('plain', 'point digits', (p) => ({ n: afterPoint(p[1]?.text ?? '') })),
  // “Forty and a half”, “two and five eighths”.
  rule('share', 'fraction', (p) => ({ n: n(p, 0) })),
  rule('share', 'article fraction', (p) => ({ n: n(p, 1) })),
  rule('share', 'digit fraction', (p) => ({ n: n(p, 0) * n(p, 1) })),
  rule('share', 'small fraction', (p) => ({ n: n(p, 0) * n(p, 1) })),
  rule('share', 'number fraction', (p) => (n(p, 0) < 16 ? { n: n(p, 0) * n(p, 1) } : undefined)),
  ...['number', 'spelt'].flatMap((whole) => [
    rule('plain', `${whole} and share`, (p) => ({ n: n(p, 0) + n(p, 2) })),
    rule('plain', `${whole} share`, (p) => ({ n: n(p, 0) + n(p, 1) })),
  ]),
  rule('plain', 'minus number', (p) => ({ n: -n(p, 1) })),
  rule('ruled', 'number slash number', (p) => (n(p, 2) > 0 ? { n: n(p, 0) / n(p, 2) } : undefined)),
];

const figure = (value: number, more: Partial<Figure> = {}): Partial<Bit> => ({
  is: 'figure',
  figure: { value, unit: null, parts: 1, times: 1, fraction: false, ...more },
});
const figureOf = (parts: Parts, at: number): Figure => parts[at]?.figure as Figure;
/** All of a sum are of the unit that one of them names. */
const sameUnit = (a: Figure, b: Figure): Figure['unit'] | undefined =>
  a.unit === null ? b.unit : b.unit === null || a.unit === b.unit ? a.unit : undefined;

const FIGURES: readonly Rule<Bit>[] = [
  rule('bare', 'plain', (p) => figure(n(p, 0))),
  rule('bare', 'ruled', (p) => figure(n(p, 0), { fraction: true })),
  rule('bare', 'number ruled', (p) => figure(n(p, 0) + n(p, 1), { fraction: true })),
  rule('bare', 'number minus ruled', (p) => figure(n(p, 0) + n(p, 2), { fraction: true })),
  rule('figure', 'bare', (p) => figure(figureOf(p, 0).value, figureOf(p, 0))),
  rule('figure', 'bare unit', (p) => figure(figureOf(p, 0).value, { ...figureOf(p, 0), unit: p[1]?.unit ?? null })),
  // Two times a figure is of a belt laid double.
  rule('figure', 'number times figure', (p) =>
    n(p, 0) === 2 && figureOf(p, 2).times === 1
      ? figure(figureOf(p, 2).value, { ...figureOf(p, 2), times: 2 })
      : undefined,
  ),
  rule('sum', 'figure plus figure', (p) => summed(figureOf(p, 0), figureOf(p, 2))),
  rule('sum', 'sum plus figure', (p) => summed(figureOf(p, 0), figureOf(p, 2))),
  rule('sum', 'sum sep figure', (p) => summed(figureOf(p, 0), figureOf(p, 2)), 0.3),
  rule(
    'sum',
    'figure sep figure plus figure',
    (p) => {
      const first = summed(figureOf(p, 0), figureOf(p, 2));
      return first?.figure && summed(first.figure, figureOf(p, 4));
    },
    0.4,
  ),
];
function summed(a: Figure, b: Figure): Partial<Bit> | undefined {
  const unit = sameUnit(a, b);
  if (unit === undefined || a.times !== 1 || b.times !== 1) return undefined;
  return figure(a.value + b.value, { unit, parts: a.parts + b.parts, fraction: a.fraction || b.fraction });
}

/** The nominal names of O-ring sections (SAE AS568). */
const NOMINAL: ReadonlyArray<readonly [of: number, mm: number]> = [
  [1 / 16, 0.07 * MM_PER_INCH],
  [3 / 32, 0.103 * MM_PER_INCH],
];

/** A figure in mm. A bare fraction is inches: nobody rules millimetres in sixteenths. */
export function mmOf({ value, unit, fraction }: Figure, assumed: LengthUnit): number {
  const of = unit ?? (fraction ? 'in' : assumed);
  return of === 'in' ? value * MM_PER_INCH : of === 'cm' ? value * 10 : value;
}
/** The same of a section, where a fraction is the name of another figure. */
export function sectionMmOf(said: Figure, assumed: LengthUnit): number {
  const [, mm] = said.fraction ? (NOMINAL.find(([of]) => Math.abs(of - said.value) < 1e-6) ?? []) : [];
  return mm ?? mmOf({ ...said, unit: said.unit ?? (said.fraction ? 'in' : null) }, assumed);
}
const canBe = (key: keyof typeof AUX, said: Figure): boolean =>
  said.parts === 1 &&
  said.times === 1 &&
  (['mm', 'in'] as const).some((unit) => {
    const mm = key === 'sectionMm' ? sectionMmOf(said, unit) : mmOf(said, unit);
    return mm >= AUX[key].min && mm <= AUX[key].max;
  });

const tool = (parts: Parts, key: number, said: number): Partial<Bit> | undefined => {
  const { auxKey } = parts[key] as Bit;
  const of = figureOf(parts, said);
  // What comes beside a cap or across the other way is said before its figure.
  const follows = said < key && (auxKey === 'secondDiameterMm' || auxKey === 'nextCapMm');
  return auxKey && !follows && canBe(auxKey, of) ? { is: 'tool', auxKey, figure: of } : undefined;
};
const shaped = (parts: Parts, shape: number, said: number): Partial<Bit> | undefined => {
  const of = figureOf(parts, said);
  const { shape: is } = parts[shape] as Bit;
  return is && canBe('sectionMm', of) ? { is: 'tool', auxKey: 'sectionMm', figure: of, shape: is } : undefined;
};

const LINES: readonly Rule<Bit>[] = [
  // “Four pieces” are a count of them, and no figure.
  ...['digit', 'number'].map((count) =>
    rule('way', `${count} way`, (p) =>
      p[1]?.way === 'inPieces' ? { is: 'way', way: 'inPieces', n: n(p, 0) } : undefined,
    ),
  ),
  // A tool before its figure or after it; words that say nothing may stand between.
  rule('key', 'aux', ([one]) => ({ ...one })),
  rule('key', 'key idle', ([one]) => ({ ...one })),
  rule('key', 'key sep', ([one]) => ({ ...one }), 0.6),
  rule('tool', 'key figure', (p) => tool(p, 0, 1)),
  rule('tool', 'figure aux', (p) => tool(p, 1, 0), 0.2),
  rule('tool', 'key rough figure', (p) => tool(p, 0, 2)),
  // “Square 1.2” is its section; so is “1.2 square”, and “1.2 mm square section”.
  rule('tool', 'shape figure', (p) => shaped(p, 0, 1), 0.1),
  rule('tool', 'figure shape', (p) => shaped(p, 1, 0), 0.1),
  rule('tool', 'shape key figure', (p) => (p[1]?.auxKey === 'sectionMm' ? shaped(p, 0, 2) : undefined)),
  rule('tool', 'figure shape aux', (p) => (p[2]?.auxKey === 'sectionMm' ? shaped(p, 1, 0) : undefined)),
  // Section × size, as belts are written on bags and in drawers.
  rule('size', 'figure times figure', (p) =>
    // Two of something is a belt laid double.
    figureOf(p, 0).value !== 2 && canBe('sectionMm', figureOf(p, 0)) && figureOf(p, 2).value > 2 * figureOf(p, 0).value
      ? { is: 'size', section: figureOf(p, 0), figure: figureOf(p, 2) }
      : undefined,
  ),
  rule('amount', 'figure', ([one]) => ({ ...one, is: 'amount' }), 0.9),
  rule('amount', 'sum', ([one]) => ({ ...one, is: 'amount' }), 0.9),
  ...['amount', 'tool', 'size', 'way', 'length', 'shape', 'rough', 'deny', 'idle', 'sep', 'strange', 'unit', 'aux'].map(
    (name) => rule('bit', name, ([one]) => ({ ...one }), name === 'unit' || name === 'aux' ? 5 : 0),
  ),
  rule('bits', 'bit', ([one]) => ({ is: 'line', bits: [one as Bit] })),
  rule('bits', 'bits bit', ([all, one]) => ({ is: 'line', bits: [...(all?.bits ?? []), one as Bit] })),
  rule('line', 'bits', ([one]) => ({ ...one })),
];

const told = ({ is, figure: f, section, way, auxKey, shape, text }: Bit): string =>
  is === 'idle' ? '' : JSON.stringify([is, f, section, way, auxKey, shape, text]);

export const GRAMMAR = prepared<Bit>({
  rules: [...NUMBERS, ...FIGURES, ...LINES],
  start: 'line',
  keep: { start: 6, other: 4 },
  sameAs: ({ bits = [] }) => bits.map(told).join(''),
});
