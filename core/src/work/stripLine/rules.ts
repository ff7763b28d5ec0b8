import { prepared, type Rule } from '../../base/spoken';
import type { Said } from './said';
import { FASTENERS, NUMBERED } from './words';
import { COUNTS, DRIVERS, FIGURES, LENGTHS } from './figureRules';
import { as, over, part, rule, strangeIn, type Parts } from './rule';

/* The grammar of a line of Strip: how words make counts, things, places and what was done. */

/** Nouns that a number after them names rather than counts. */
const named = (noun: Said, label: Said): Said | undefined =>
  noun.plural ? undefined : over([noun, label], { ...noun, to: label.to, nouns: nounsOf(noun) });
const nounsOf = ({ kind, noun, plural, nouns }: Said): NonNullable<Said['nouns']> =>
  nouns ?? (kind === undefined ? [] : [{ kind, noun: noun ?? '', plural: plural ?? false }]);

const THINGS: readonly Rule<Said>[] = [
  rule('Nouns', 'noun', (parts) => over(parts, { ...part(parts, 0), nouns: nounsOf(part(parts, 0)) })),
  rule(
    'Nouns',
    'noun Nouns',
    ([first, rest]) =>
      first && rest
        ? over([first, rest], {
            ...rest,
            from: first.from,
            nouns: [...nounsOf(first), ...nounsOf(rest)],
            slip: first.slip === true || rest.slip === true,
          })
        : undefined,
    -0.2,
  ),
  rule('Nouns', 'noun Label', ([noun, label]) => (noun && label ? named(noun, label) : undefined), -0.2),
  rule(
    'Nouns',
    'noun num',
    ([noun, label]) => (noun && label && /^\d/.test(label.figure ?? '') ? named(noun, label) : undefined),
    0.1,
  ),
  rule(
    'Nouns',
    'noun num Nouns',
    ([noun, label, rest]) =>
      noun && label && rest && !noun.plural && NUMBERED.has(noun.noun ?? '') && /^\d/.test(label.figure ?? '')
        ? over([noun, rest], { ...rest, from: noun.from, nouns: [...nounsOf(noun), ...nounsOf(rest)] })
        : undefined,
    0.2,
  ),
  rule('Nouns', 'noun letter', ([noun, label]) => (noun && label ? named(noun, label) : undefined), 0.2),
  rule('Nouns', 'Names', as('thing')),
  // J12 and J14, CN1 to CN4: so many plugs.
  rule('Names', 'Name', as('thing', { plural: false })),
  ...['Names sep Name', 'Names slash Name'].map((of) =>
    rule(
      'Names',
      of,
      ([before, sep, name]) =>
        before && sep && name && (sep.noun === undefined || [',', 'and'].includes(sep.noun))
          ? over([before, name], {
              is: 'thing',
              kind: 'connector',
              noun: 'plug',
              plural: true,
              nouns: [],
              number: (before.number ?? 1) + 1,
            })
          : undefined,
      -0.5,
    ),
  ),
  rule(
    'Names',
    'letters num to letters num',
    (parts) => {
      const many = (part(parts, 4).number ?? 0) - (part(parts, 1).number ?? 0) + 1;
      return many > 1 && many < 40
        ? over(parts, { is: 'thing', kind: 'connector', noun: 'plug', plural: true, nouns: [], number: many })
        : undefined;
    },
    -0.5,
  ),
  rule('Letters', 'letter', as('figure', { number: 1 })),
  rule('Letters', 'Letters sep letter', ([before, , letter]) =>
    before && letter ? over([before, letter], { is: 'figure', number: (before.number ?? 1) + 1 }) : undefined,
  ),
  rule(
    'Nouns',
    'noun Letters',
    ([noun, letters]) =>
      noun?.plural && letters && (letters.number ?? 1) > 1
        ? over([noun, letters], { ...noun, to: letters.to, nouns: nounsOf(noun), number: letters.number ?? 1 })
        : undefined,
    -1,
  ),
  ...['look', 'fault', 'plain', 'place', 'Unit', 'Length', 'Driver', 'Thread', 'Ways'].map((of) =>
    rule('Looks', of, ([look]) => look, of === 'place' ? 0.1 : 0),
  ),
  rule('Looks', 'strange', ([look]) => look, 1.5),
  rule('Looks', 'fraction', ([look]) => look && over([look], { is: 'look' }), 0.6),
  rule('Described', 'Nouns', as('thing')),
  // “Left and right rails” are two.
  rule(
    'Described',
    'place sep place Nouns',
    ([a, and, b, things]) =>
      a && and?.noun === 'and' && b && things?.plural
        ? { ...things, from: a.from, number: 2, looks: [a, b] }
        : undefined,
    -0.5,
  ),
  // “Screws 1, 2 and 3”.
  rule('Numbers', 'num sep num', ([a, , b]) =>
    a && b && b.number === (a.number ?? 0) + 1 ? over([a, b], { is: 'figure', number: b.number }) : undefined,
  ),
  rule('Numbers', 'Numbers sep num', ([a, , b]) =>
    a && b && b.number === (a.number ?? 0) + 1 ? over([a, b], { is: 'figure', number: b.number }) : undefined,
  ),
  rule(
    'Described',
    'Nouns Numbers',
    ([things, numbers]) =>
      things?.plural && numbers && things.to === numbers.from
        ? { ...things, to: numbers.to, number: numbers.number ?? 1 }
        : undefined,
    -0.8,
  ),
  rule('Described', 'Looks Described', ([look, thing]) =>
    look && thing
      ? over([look, thing], {
          ...thing,
          from: look.from,
          looks: [look, ...(thing.looks ?? [])],
          strange: strangeIn([look, thing]),
        })
      : undefined,
  ),
  rule(
    'Described',
    'noun Looks Described',
    ([noun, look, thing]) =>
      noun && look && thing && (thing.looks ?? []).length === 0
        ? over([noun, thing], {
            ...thing,
            from: noun.from,
            looks: [look],
            nouns: [...nounsOf(noun), ...nounsOf(thing)],
            strange: strangeIn([look, thing]),
          })
        : undefined,
    0.8,
  ),
  rule('Thing', 'Described', as('thing')),
  rule('Thing', 'det Described', ([det, thing]) => (det && thing ? { ...thing, from: det.from } : undefined)),
  rule('Thing', 'vague Described', ([vague, thing]) =>
    vague && thing ? over([vague, thing], { ...thing, from: vague.from, counts: [] }) : undefined,
  ),
  rule('Thing', 'vague of det Described', ([vague, , , thing]) =>
    vague && thing ? over([vague, thing], { ...thing, from: vague.from, counts: [] }) : undefined,
  ),
  ...[
    'Count Described',
    'det Count Described',
    'Count det Described',
    'Count of det Described',
    'Count of Described',
  ].map((of) =>
    rule('Thing', of, (parts) => {
      const count = parts.find(({ is }) => is === 'count');
      const thing = parts.at(-1);
      return count && thing ? over(parts, { ...thing, from: part(parts, 0).from, count }) : undefined;
    }),
  ),
  rule('Thing', 'none Described', ([none, thing]) =>
    none && thing ? over([none, thing], { ...thing, from: none.from, none: true }) : undefined,
  ),
  // A word that is no noun here may be the name of a part.
  rule(
    'Unknown',
    'strange',
    (parts) =>
      over(parts, {
        is: 'thing',
        kind: 'part',
        noun: part(parts, 0).noun ?? '',
        plural: false,
        guessed: true,
        nouns: [],
        strange: 1,
      }),
    1.5,
  ),
  rule(
    'Unknown',
    'Ways',
    (parts) =>
      over(parts, {
        is: 'thing',
        kind: 'connector',
        noun: 'plug',
        plural: false,
        nouns: [],
        figure: part(parts, 0).figure ?? '',
      }),
    1.6,
  ),
  rule(
    'Unknown',
    'strange Unknown',
    ([first, rest]) =>
      first && rest ? over([first, rest], { ...rest, from: first.from, strange: strangeIn([first, rest]) }) : undefined,
    1,
  ),
  rule(
    'Unknown',
    'noun Unknown',
    ([first, rest]) =>
      first && rest ? over([first, rest], { ...rest, from: first.from, nouns: nounsOf(first) }) : undefined,
    1.2,
  ),
  rule('Thing', 'Unknown', as('thing')),
  rule('Thing', 'det Unknown', ([, thing]) => thing),
  rule('Thing', 'look Unknown', ([look, thing]) =>
    look && thing ? over([look, thing], { ...thing, from: look.from }) : undefined,
  ),
  rule('Thing', 'det look Unknown', ([, look, thing]) =>
    look && thing ? over([look, thing], { ...thing, from: look.from }) : undefined,
  ),
  rule(
    'Thing',
    'Count Unknown',
    ([count, thing]) => (count && thing ? over([count, thing], { ...thing, from: count.from, count }) : undefined),
    0.5,
  ),
];

const SORTS: readonly Rule<Said>[] = [
  rule('Sorts', 'num sorts', (parts) => over(parts, { is: 'look' })),
  rule('Sorts', 'of num sorts', (parts) => over(parts, { is: 'look' })),
];

const placed = (parts: Parts, within?: Said, away?: boolean): Said =>
  over(parts, { is: 'where', strange: strangeIn(parts), ...(within && { within }), ...(away && { away }) });
const PLACED: readonly Rule<Said>[] = [
  rule('Place', 'place', as('where')),
  rule('Place', 'place Place', (parts) => placed(parts), -0.2),
  rule('Place', 'look place', (parts) => placed(parts), 0.2),
  rule('Place', 'place sep place', (parts) => (part(parts, 1).noun === 'and' ? placed(parts) : undefined)),
  rule('Where', 'Place', as('where')),
  rule('Where', 'det Place', (parts) => placed(parts), 0.2),
  rule('Where', 'prep Thing', (parts) =>
    /^(?:after|before)$/.test(part(parts, 0).noun ?? '') && part(parts, 1).count
      ? undefined
      : { ...placed(parts, part(parts, 1)), noun: part(parts, 0).noun ?? '' },
  ),
  rule('Where', 'prep Place', (parts) => ({ ...placed(parts), noun: part(parts, 0).noun ?? '' })),
  rule('Where', 'prep det Place', (parts) => ({ ...placed(parts), noun: part(parts, 0).noun ?? '' })),
  rule('Where', 'prep Place Thing', (parts) => placed(parts, part(parts, 2)), 0.2),
  rule(
    'Where',
    'place prep Thing',
    (parts) =>
      part(parts, 0).noun === 'left' && part(parts, 1).noun === 'in'
        ? undefined
        : { ...placed(parts, part(parts, 2)), noun: part(parts, 1).noun ?? '' },
    -0.1,
  ),
  rule('Where', 'prep pronoun', (parts) => placed(parts)),
  rule('Where', 'prep num', (parts) => (part(parts, 0).noun === 'at' ? placed(parts) : undefined), 0.6),
  rule('Where', 'prep prep Thing', (parts) => placed(parts, part(parts, 2)), 0.3),
  rule(
    'Where',
    'prep Thing sep Thing',
    (parts) =>
      part(parts, 2).noun === 'and' && part(parts, 0).noun === 'between' ? placed(parts, part(parts, 1)) : undefined,
    -0.5,
  ),
  rule(
    'Where',
    'from Thing',
    (parts) =>
      part(parts, 1).count && FASTENERS.has(part(parts, 1).kind ?? 'part')
        ? undefined
        : placed(parts, part(parts, 1), true),
    -0.1,
  ),
  rule('Where', 'from vague Thing', (parts) => placed(parts, part(parts, 2), true)),
  rule('Where', 'from Count Place', (parts) => placed(parts, undefined, true)),
  rule('Where', 'prep Count Place', (parts) =>
    /^(?:at|on|from|in|to)$/.test(part(parts, 0).noun ?? '') ? placed(parts) : undefined,
  ),
  rule('Where', 'from Place', (parts) => placed(parts, undefined, true)),
  rule('Where', 'from det Place', (parts) => placed(parts, undefined, true)),
  rule('Where', 'from pronoun', (parts) => placed(parts, undefined, true)),
  rule('Each', 'each eachOf', (parts) => over(parts, { is: 'each', number: part(parts, 1).number ?? 2 })),
  rule('Each', 'each det eachOf', (parts) => over(parts, { is: 'each', number: part(parts, 2).number ?? 2 })),
  rule('Each', 'prep each eachOf', (parts) => over(parts, { is: 'each', number: part(parts, 2).number ?? 2 })),
  // “Under each foot”: so many feet as there are.
  rule('EachUnknown', 'prep each Nouns', (parts) =>
    /^an?$/.test(part(parts, 1).noun ?? '') ? undefined : over(parts, { is: 'each' }),
  ),
  rule('Missing', 'num short', (parts) => over(parts, { is: 'missing', number: part(parts, 0).number ?? 0 })),
  rule('Missing', 'num idle short', (parts) => over(parts, { is: 'missing', number: part(parts, 0).number ?? 0 })),
];

const BITS: ReadonlyArray<readonly [of: string, is: Said['is'], cost: number]> = [
  ['Thing', 'thing', 0.3],
  ['Where', 'where', 0.3],
  ['Count', 'count', 0.5],
  ['vague', 'vague', 0.5],
  ['Missing', 'missing', 0.4],
  ['short', 'how', 0.6],
  ['Driver', 'driver', 0.3],
  ['Thread', 'thread', 0.3],
  ['Length', 'length', 0.3],
  ['Turns', 'turns', 0.3],
  ['clock', 'direction', 0.2],
  ['Viewed', 'viewedFrom', 0],
  ['Parked', 'parkedAt', 0],
  ['Ways', 'ways', 1.2],
  ['Unit', 'figure', 1.4],
  ['Label', 'figure', 0.8],
  ['verb', 'done', 0.2],
  ['away', 'toward', 0.2],
  ['aside', 'toward', 0.3],
  ['home', 'toward', 0.6],
  ['fault', 'how', 0.3],
  ['plain', 'how', 0.3],
  ['state', 'how', 0.2],
  ['look', 'look', 0.6],
  ['sorts', 'look', 0.3],
  ['Sorts', 'look', -0.2],
  ['idle', 'idle', 0.2],
  ['opener', 'idle', 0.3],
  ['det', 'idle', 0.8],
  ['each', 'idle', 1],
  ['eachOf', 'idle', 1.5],
  ['pronoun', 'pronoun', 0.3],
  ['minding', 'mind', 0.2],
  ['leaving', 'leave', 0.1],
  ['denying', 'deny', 0.2],
  ['none', 'deny', 0.5],
  ['toCome', 'toCome', 0.3],
  ['others', 'others', 0.2],
  ['Each', 'each', 0],
  ['EachUnknown', 'each', 0],
  ['prep', 'idle', 1.2],
  ['decimal', 'figure', 1.5],
  ['strange', 'strange', 2.5],
  ['stray', 'strange', 3.5],
  ['sep', 'separator', 0],
];

/** What tells a bit from another of the same words. */
export const keyOf = ({ is, from, to, kind, number, away, count, bits }: Said): string =>
  bits ? `${from}-${to}` : `${from}-${to}${is}${kind ?? ''}${number ?? ''}${away ?? ''}${count?.number ?? ''}`;

/** A line is told by its bits, the last first: most readings are dropped before all of them are needed. */
const lineOf = (before: Said | undefined, bit: Said): Said => {
  return {
    is: 'line',
    from: before?.from ?? bit.from,
    to: bit.to,
    ...(before && { before }),
    last: bit,
    key: `${before?.key ?? ''} ${keyOf(bit)}`,
  };
};

/** The bits of a line that was read, in order. */
export function bitsOf(line: Said): readonly Said[] {
  const bits: Said[] = [];
  for (let at: Said | undefined = line; at; at = at.before)
    bits.unshift(...(at.last?.bits ?? (at.last ? [at.last] : [])));
  return bits;
}

/** The grammar of a line. */
export const GRAMMAR = prepared<Said>({
  rules: [
    ...COUNTS,
    ...LENGTHS,
    ...DRIVERS,
    ...FIGURES,
    ...THINGS,
    ...PLACED,
    ...SORTS,
    ...BITS.map(([of, is, cost]) => rule('Bit', of, as(is), cost)),
    // “Left the shield on”.
    rule(
      'Bit',
      'leftOn Thing',
      ([left, thing]) => (left && thing ? over([left, thing], { is: 'leave', noun: 'left' }) : undefined),
      -0.1,
    ),
    rule('Bit', 'order pronoun', (parts) => over(parts, { is: 'mind' }), -0.3),
    rule('Bit', 'order det Described', (parts) => over(parts, { is: 'mind' }), -0.3),
    rule('Bit', 'leftVerb Thing leaving', (parts) => over(parts, { is: 'line', bits: parts }), 0.2),
    rule('Bit', 'leftVerb Thing home', (parts) => over(parts, { is: 'line', bits: parts }), 0.2),
    rule('Line', 'Bit', ([bit]) => (bit ? lineOf(undefined, bit) : undefined)),
    rule('Line', 'Line Bit', ([line, bit]) => (line && bit ? lineOf(line, bit) : undefined)),
  ],
  start: 'Line',
  keep: { start: 6, other: 3 },
  sameAs: ({ key = '' }) => key,
});
