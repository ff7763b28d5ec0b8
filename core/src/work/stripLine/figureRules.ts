import type { Rule } from '../../base/spoken';
import { as, over, part, rule, type Parts } from './rule';
import type { Said } from './said';

/* Counts, lengths, drivers, turns and names: all that is said in figures. */

const WHOLE = 1000;
const whole = ({ number = -1 }: Said): boolean => number >= 0 && number <= WHOLE;
const countAt = (at: number) => (parts: Parts) =>
  whole(part(parts, at)) ? over(parts, { is: 'count', number: part(parts, at).number ?? 0 }) : undefined;

export const COUNTS: readonly Rule<Said>[] = [
  rule('Count', 'num', countAt(0)),
  rule('Count', 'num x', countAt(0)),
  rule('Count', 'x num', countAt(1)),
  rule('Count', 'lpar num rpar', countAt(1)),
  rule('Count', 'lpar num x rpar', countAt(1)),
  rule(
    'Count',
    'num x num',
    ([a, , b]) =>
      a && b
        ? over([a, b], {
            is: 'count',
            number: (a.number ?? 0) * (b.number ?? 0),
            counts: [(a.number ?? 0) * (b.number ?? 0), b.number ?? 0, a.number ?? 0],
          })
        : undefined,
    0.2,
  ),
  rule('Count', 'num pieces', countAt(0)),
  rule('Count', 'num pieces dot', countAt(0), -0.5),
  rule('Count', 'qty num', countAt(1)),
  rule('Count', 'num vague', countAt(0), 0.2),
  rule(
    'Count',
    'vague num',
    (parts) => (/^all (?:but|except|bar)$/.test(part(parts, 0).noun ?? '') ? undefined : countAt(1)(parts)),
    0.1,
  ),
  rule('Count', 'num awayOff', countAt(0), 1.2),
  rule('Count', 'num or num', ([a, , b]) =>
    a && b ? over([a, b], { is: 'count', number: b.number ?? 0, counts: [b.number ?? 0, a.number ?? 0] }) : undefined,
  ),
  rule(
    'Count',
    'num to num',
    ([a, to, b]) =>
      a && b && to && (b.number ?? 0) > (a.number ?? 0)
        ? over([a, b], { is: 'count', number: b.number ?? 0, counts: [b.number ?? 0, a.number ?? 0] })
        : undefined,
    0.8,
  ),
  rule('Count', 'num plus num', ([a, , b]) =>
    a && b ? over([a, b], { is: 'count', number: (a.number ?? 0) + (b.number ?? 0) }) : undefined,
  ),
  ...['num of num', 'num of det num'].map((of) =>
    rule('Count', of, (parts) => {
      const [some, all] = [part(parts, 0).number ?? 0, parts.at(-1)?.number ?? 0];
      return some <= all ? over(parts, { is: 'count', number: some, ofMany: [some, all] }) : undefined;
    }),
  ),
];

const MM_PER_INCH = 25.4;
const rounded = (mm: number): number => Math.round(mm * 100) / 100;
const inches = (parts: Parts, number: number): Said =>
  over(parts, { is: 'length', lengthMm: rounded(number * MM_PER_INCH) });
const mm = (parts: Parts, at: number): Said =>
  over(parts, { is: 'length', lengthMm: rounded(part(parts, at).number ?? 0) });
const fraction = (parts: Parts, at: number): number | undefined => {
  const [over_, under] = [part(parts, at).number ?? 0, part(parts, at + 2).number ?? 0];
  return under > 1 && over_ < under ? over_ / under : undefined;
};

export const LENGTHS: readonly Rule<Said>[] = [
  rule('Length', 'Figure mm', (parts) => mm(parts, 0)),
  rule('Length', 'x Figure mm', (parts) => mm(parts, 1)),
  rule('Figure', 'num', as('count')),
  rule('Figure', 'decimal', as('count')),
  rule('Length', 'Figure inch', (parts) =>
    part(parts, 0).figure === undefined ? undefined : inches(parts, part(parts, 0).number ?? 0),
  ),
  rule(
    'Length',
    'num slash num',
    (parts) => (fraction(parts, 0) === undefined ? undefined : inches(parts, fraction(parts, 0) ?? 0)),
    0.3,
  ),
  rule('Length', 'num slash num inch', (parts) =>
    fraction(parts, 0) === undefined ? undefined : inches(parts, fraction(parts, 0) ?? 0),
  ),
  rule(
    'Length',
    'num num slash num inch',
    (parts) =>
      fraction(parts, 1) === undefined
        ? undefined
        : inches(parts, (part(parts, 0).number ?? 0) + (fraction(parts, 1) ?? 0)),
    0.3,
  ),
  rule('Thread', 'metric Figure', (parts) =>
    part(parts, 1).glued ? over(parts, { is: 'thread', figure: `M${part(parts, 1).number ?? ''}` }) : undefined,
  ),
  ...['metric Figure x Figure', 'metric Figure x Figure mm'].map((of) =>
    rule(
      'Thread',
      of,
      (parts) =>
        part(parts, 1).glued
          ? over(parts, {
              is: 'thread',
              figure: `M${part(parts, 1).number ?? ''}`,
              lengthMm: part(parts, 3).number ?? 0,
            })
          : undefined,
      -0.5,
    ),
  ),
  rule(
    'Thread',
    'hash num',
    (parts) =>
      part(parts, 1).glued ? over(parts, { is: 'thread', figure: `#${part(parts, 1).figure ?? ''}` }) : undefined,
    0.5,
  ),
];

const SIZED: Readonly<Record<string, RegExp>> = { PH: /^(?:0{1,3}|[1-4])$/, PZ: /^[0-4]$/, T: /^\d{1,2}$/ };
const driven = (parts: Parts, name: number, size?: number): Said | undefined => {
  const { figure: type = '' } = part(parts, name);
  if (size === undefined) return over(parts, { is: 'driver', figure: type });
  const { figure = '' } = part(parts, size);
  return SIZED[type]?.test(figure) ? over(parts, { is: 'driver', figure: `${type}${figure}` }) : undefined;
};
export const DRIVERS: readonly Rule<Said>[] = [
  rule('Drive', 'drive num', (parts) => driven(parts, 0, 1), -0.3),
  rule('Drive', 'drive', (parts) => (part(parts, 0).noun === 'short' ? undefined : driven(parts, 0)), 0.8),
  rule('Drive', 'drive hash num', (parts) => driven(parts, 0, 2)),
  rule('Drive', 'hash num drive', (parts) => driven(parts, 2, 1), -0.3),
  rule('Drive', 'slotted', as('driver')),
  rule('Drive', 'hexKey', as('driver'), 0.1),
  rule('Described', 'slotBefore Described', ([slot, thing]) =>
    slot && thing?.kind === 'screws' ? { ...thing, from: slot.from, looks: [slot, ...(thing.looks ?? [])] } : undefined,
  ),
  rule(
    'Drive',
    'hexKey Figure',
    (parts) => over(parts, { is: 'driver', figure: `hex socket ${part(parts, 1).number ?? ''}` }),
    0.1,
  ),
  rule('Drive', 'hexKey Figure mm', (parts) =>
    over(parts, { is: 'driver', figure: `hex socket ${part(parts, 1).number ?? ''}` }),
  ),
  rule('Drive', 'Figure mm hexKey', (parts) =>
    over(parts, { is: 'driver', figure: `hex socket ${part(parts, 0).number ?? ''}` }),
  ),
  rule('Driver', 'Drive', as('driver')),
  rule('Driver', 'Drive pinned', (parts) =>
    over(parts, { is: 'driver', figure: `${part(parts, 0).figure ?? ''} pinned` }),
  ),
  rule('Driver', 'pinned', (parts) => over(parts, { is: 'driver', figure: 'pinned' }), 0.5),
];

const turned = (parts: Parts): Said => over(parts, { is: 'turns' });
export const FIGURES: readonly Rule<Said>[] = [
  rule('Turns', 'Figure turn', turned),
  rule('Turns', 'Figure half turn', turned),
  rule('Turns', 'Figure turn half', turned),
  rule('Turns', 'num vague turn', turned),
  rule('Turns', 'fraction turn', turned),
  rule('Turns', 'num slash num turn', turned),
  rule('Turns', 'turn', turned, 0.6),
  rule('Viewed', 'viewed noun', (parts) => over(parts, { is: 'viewedFrom', noun: part(parts, 1).noun ?? '' })),
  rule('Viewed', 'viewed Place', (parts) => over(parts, { is: 'viewedFrom', within: part(parts, 1) })),
  rule('Viewed', 'viewed strange', (parts) => over(parts, { is: 'viewedFrom', within: part(parts, 1) }), 1),
  rule('Parked', 'upTo stop', (parts) => over(parts, { is: 'parkedAt' })),
  rule('Parked', 'upTo look stop', (parts) => over(parts, { is: 'parkedAt' })),
  rule('Unit', 'Figure unit', (parts) => over(parts, { is: 'figure' }), -0.9),
  rule(
    'Unit',
    'num nth',
    (parts) => (part(parts, 1).glued ? over(parts, { is: 'figure', plain: true }) : undefined),
    -0.5,
  ),
  rule('Unit', 'ordinal', (parts) => over(parts, { is: 'figure', plain: true }), 0.1),
  rule(
    'Ways',
    'num ways',
    (parts) =>
      over(parts, {
        is: 'ways',
        figure: part(parts, 0).figure ?? String(part(parts, 0).number ?? ''),
        noun: part(parts, 1).noun ?? '',
      }),
    -0.7,
  ),
  rule('Name', 'letters num', (parts) =>
    part(parts, 1).glued
      ? over(parts, { is: 'thing', kind: 'connector', noun: 'plug', plural: false, nouns: [] })
      : undefined,
  ),
  rule('Label', 'Name', as('figure')),
  rule('Label', 'hash num', (parts) =>
    /^\d/.test(part(parts, 1).figure ?? '') ? over(parts, { is: 'figure' }) : undefined,
  ),
];
