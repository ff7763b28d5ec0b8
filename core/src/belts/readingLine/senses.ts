import { SECTION_SHAPES, shapeOf } from '../../base/shapes';
import {
  DENYING,
  edgeOf,
  IDLE,
  lexiconOf,
  OPENERS,
  sensesAt,
  slipsOf,
  type Edge,
  type Sense,
  type Token,
  type WordRole,
} from '../../base/spoken';
import { METHODS, type AuxKey } from '../measuring';
import type { Bit } from './bits';
import {
  AUX_WORDS,
  BARE_LENGTH,
  IDLE_HERE,
  NO_SLIPS,
  PARTS_SAID,
  ROUGH,
  TEENS_SAID,
  TENS_SAID,
  UNITS_SAID,
  WAY_WORDS,
} from './words';

type Entry = readonly [words: string, sense: Sense<Bit>];

const bit = (is: Bit['is'], more: Partial<Bit> = {}): Bit => ({ is, roles: [], ...more });
const listed = (words: string): readonly string[] => words.split(' ').map((one) => one.replaceAll('_', ' '));
const all = (words: string, sense: string, cost: number, value: Bit): Entry[] =>
  listed(words).map((one) => [one, { sense, cost, value }]);

/** Ways by which a line may be read: of a belt, or of a path. */
const WAYS = METHODS.filter(({ measurand }) => measurand === 'oldBelt' || measurand === 'stringPath');

const UNITS: ReadonlyArray<readonly [words: string, unit: 'mm' | 'cm' | 'in']> = [
  ['mm millimetre millimetres millimeter millimeters mil mils', 'mm'],
  ['cm centimetre centimetres centimeter centimeters', 'cm'],
  ['in inch inches " ″ ” ins', 'in'],
];

const numbers = (words: Readonly<Record<string, number>>, sense: string): Entry[] =>
  Object.entries(words).map(([word, n]) => [word, { sense, cost: 0, value: bit('part', { n, text: word }) }]);

const ENTRIES: readonly Entry[] = [
  ...WAYS.flatMap(({ id, words }) =>
    [...words, ...listed(WAY_WORDS[id] ?? '')].map((one): Entry => [
      one,
      { sense: 'way', cost: 0.4, value: bit('way', { way: id }) },
    ]),
  ),
  ...all(BARE_LENGTH, 'length', 0.2, bit('length')),
  ...Object.entries(AUX_WORDS).flatMap(([key, words]) =>
    all(words ?? '', 'aux', 0.1, bit('aux', { auxKey: key as AuxKey })),
  ),
  ...SECTION_SHAPES.flatMap((shape) =>
    shapeOf(shape).said.flatMap((said) =>
      all(said.replace(/[^\p{L}\p{N}]+/gu, '_'), 'shape', 0.2, bit('shape', { shape })),
    ),
  ),
  ...all(ROUGH, 'rough', 0.1, bit('rough')),
  ...all(DENYING, 'deny', 0.3, bit('deny')),
  ...all(`${IDLE_HERE} ${IDLE} ${OPENERS}`, 'idle', 0.4, bit('idle')).filter(
    ([word]) => UNITS_SAID[word] === undefined,
  ),
  ...UNITS.flatMap(([words, unit]) => all(words, 'unit', 0, bit('unit', { unit }))),
  ...numbers(UNITS_SAID, 'digit'),
  ...numbers(TEENS_SAID, 'teen'),
  ...numbers(TENS_SAID, 'ten'),
  ...numbers(PARTS_SAID, 'fraction'),
  ...all('hundred', 'hundred', 0, bit('part')),
  ...all('point dot comma', 'point', 0, bit('part')),
  ...all('and', 'and', 0, bit('part')),
  ...all('a', 'article', 0, bit('part')),
  ...all('x × * by times', 'times', 0.1, bit('part')),
  ...all('+ plus', 'plus', 0.1, bit('part')),
  ...all('/', 'slash', 0, bit('part')),
  ...all('- −', 'minus', 0, bit('part')),
];

const LEXICON = lexiconOf(
  ENTRIES,
  ENTRIES.filter(([, { sense }]) => ['way', 'aux', 'shape', 'length', 'rough'].includes(sense)).flatMap(([words]) =>
    words.split(' '),
  ),
);

const ELSEWHERE: ReadonlySet<string> = new Set(NO_SLIPS.split(' '));

/** What words are taken for, by their sense. */
const ROLE: Readonly<Record<string, WordRole>> = {
  way: 'way',
  length: 'way',
  sep: 'idle',
  aux: 'thing',
  shape: 'thing',
  rough: 'how',
  deny: 'denied',
  strange: 'notKnown',
  idle: 'idle',
};

const placed = ({ from, to, sense, value, cost }: Edge<Bit>): Edge<Bit> => ({
  from,
  to,
  sense,
  cost,
  value: {
    ...value,
    roles: Array.from({ length: to - from }, (_, i) => [from + i, ROLE[sense] ?? 'figure'] as const),
  },
});

/** What taking an unknown word as said aside costs: more than any other reading of the line. */
const STRANGE_COST = 6;
const SLIP_COST = 0.8;

/** A mark within a number, as of 66..4: it is no comma between two. */
const between = (tokens: readonly Token[], at: number): boolean =>
  tokens[at]?.glued === true && tokens[at + 1]?.glued === true;

/** The senses of a line's words. A number in figures is a figure; what is not known stands as strange. */
export function sensesOf(tokens: readonly Token[]): readonly Edge<Bit>[] {
  const edges: Edge<Bit>[] = [];
  tokens.forEach(({ word }, at) => {
    const known = sensesAt(tokens, at, LEXICON);
    for (const [length, sense] of known) edges.push(edgeOf(at, length, sense));
    if (/^\d/.test(word))
      edges.push(
        edgeOf(at, 1, {
          sense: 'number',
          cost: 0,
          value: bit('part', { n: Number(word.replace(',', '.')), text: word }),
        }),
      );
    else if (/[\p{L}]/u.test(word)) {
      if (known.length === 0 && !ELSEWHERE.has(word))
        for (const meant of slipsOf(word, LEXICON)) {
          const instead = tokens.map((token, i) => (i === at ? { ...token, word: meant } : token));
          for (const [length, sense] of sensesAt(instead, at, LEXICON))
            edges.push(edgeOf(at, length, { ...sense, cost: sense.cost + SLIP_COST }));
        }
      edges.push(edgeOf(at, 1, { sense: 'strange', cost: STRANGE_COST, value: bit('strange', { text: word }) }));
    } else if (/[,;:.=()!]/.test(word) && !between(tokens, at))
      edges.push(edgeOf(at, 1, { sense: 'sep', cost: 0, value: bit('idle') }));
    else if (known.length === 0)
      edges.push(edgeOf(at, 1, { sense: 'strange', cost: STRANGE_COST, value: bit('strange', { text: word }) }));
  });
  return edges.map(placed);
}
