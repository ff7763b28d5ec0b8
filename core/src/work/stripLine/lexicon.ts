import {
  DENYING,
  IDLE,
  lexiconOf,
  MINDING,
  NUMBERS,
  OPENERS,
  ORDERS,
  ORDINALS,
  OTHERS,
  PLACES,
  PREPOSITIONS,
  TO_COME,
  VAGUE,
  type Sense,
} from '../../base/spoken';
import type { Said, SaidAs } from './said';
import { CONDITIONS, IRREGULAR, LEAVING, LOOKS, NO_PLURAL, NOUNS, PARTICLES, VERBS } from './words';

/** Terminals of the grammar, each with the words that it may be. A word's tokens are set where it stands. */
export type Word = Omit<Said, 'from' | 'to'>;

const list = (words: string): readonly string[] => words.split(' ').map((word) => word.replaceAll('_', ' '));
const pluralOf = (noun: string): string =>
  (
    IRREGULAR[noun] ??
    (/(?:x|ch|sh|s)$/.test(noun) ? `${noun}es` : /[^aeiou]y$/.test(noun) ? noun.replace(/y$/, 'ies') : `${noun}s`)
  ).replaceAll('_', ' ');

function* entries(): Generator<readonly [string, Sense<Word>]> {
  const word = (
    words: string,
    sense: string,
    is: SaidAs,
    more: Partial<Word> = {},
    cost = 0,
  ): readonly [string, Sense<Word>] => [words, { sense, value: { is, ...more }, cost }];
  for (const [kind, nouns] of NOUNS)
    for (const noun of nouns.split(' ')) {
      const singular = noun.replaceAll('_', ' ');
      // Words that belong together are one noun, before they are two.
      const cost = -0.7 * (singular.split(' ').length - 1);
      yield word(singular, 'noun', 'thing', { kind, noun: singular, plural: false }, cost);
      if (!NO_PLURAL.has(noun))
        yield word(pluralOf(noun), 'noun', 'thing', { kind, noun: singular, plural: true }, cost);
    }
  for (const [done, verbs] of VERBS)
    for (const verb of list(verbs))
      yield word(verb, 'verb', 'done', { done, verb }, verb === 'bent' || verb === 'turns' ? 0.5 : 0);
  for (const one of list(PARTICLES.away)) yield word(one, 'away', 'toward', { away: true, noun: 'away' });
  yield word('off', 'awayOff', 'word');
  for (const one of list(PARTICLES.aside)) yield word(one, 'aside', 'toward', { noun: 'aside', verb: one });
  for (const one of list(PARTICLES.home)) yield word(one, 'home', 'toward', { noun: 'home' }, 0.3);
  for (const one of list(CONDITIONS.fault)) yield word(one, 'fault', 'how', { verb: one });
  for (const one of list(CONDITIONS.plain)) yield word(one, 'plain', 'how', { plain: true, verb: one });
  for (const one of list(CONDITIONS.state)) {
    yield word(one, 'state', 'how', { verb: one });
    yield word(one, 'look', 'look', {}, 0.3);
  }
  for (const one of list(LOOKS)) yield word(one, 'look', 'look');
  for (const one of list(PLACES)) yield word(one, 'place', 'where', { noun: one });
  yield word('base', 'place', 'where', { noun: 'base' }, 0.1);
  for (const one of list(PREPOSITIONS.at))
    yield word(one, 'prep', 'word', { noun: one }, one === 'hold' || one === 'holds' ? 1.2 : 0);
  for (const one of list(PREPOSITIONS.away)) yield word(one, 'from', 'word', { noun: one, away: true });
  for (const one of list(IDLE)) yield word(one, 'idle', 'idle', {}, 0.2);
  for (const one of list(OPENERS)) yield word(one, 'opener', 'idle', {}, 0.2);
  for (const one of list(MINDING))
    yield word(
      one,
      'minding',
      'mind',
      {},
      one === 'must' ? 0.4 : one === 'should' ? -0.1 : one.includes(' ') ? -0.4 : 0,
    );
  for (const one of list(LEAVING))
    yield word(one, 'leaving', 'leave', {}, one === 'left on' || one === 'left in' ? -0.3 : 0);
  yield word('left', 'leaving', 'leave', { noun: 'left' }, 0.7);
  yield word('left', 'leftVerb', 'leave', { noun: 'left' });
  for (const one of ['still on', 'still in']) yield word(one, 'leaving', 'leave', {}, 0.5);
  for (const one of ['left on', 'left in', 'still on', 'still in', 'left at', 'left under'])
    yield word(one, 'leftOn', 'leave');
  for (const one of list(ORDERS)) yield word(one, 'order', 'mind');
  for (const one of list(DENYING)) yield word(one, 'denying', 'deny');
  for (const one of list(TO_COME)) yield word(one, 'toCome', 'toCome');
  for (const one of list(OTHERS)) yield word(one, 'others', 'others', {}, -0.5);
  for (const [one, number] of Object.entries(NUMBERS)) yield word(one.replaceAll('_', ' '), 'num', 'count', { number });
  for (const one of ['another', 'one more', 'a further']) yield word(one, 'num', 'count', { number: 1 }, -0.1);
  for (const one of list(VAGUE))
    yield word(one, 'vague', 'vague', { noun: one }, /^all (?:but|except|bar)$/.test(one) ? -0.5 : 0);
  for (const one of list(ORDINALS)) yield word(one, 'ordinal', 'figure', { plain: true });
  for (const one of [
    'the',
    'a',
    'an',
    'its',
    'their',
    'this',
    'that',
    'these',
    'those',
    'his',
    'her',
    'my',
    'our',
    'any',
  ])
    yield word(one, 'det', 'idle');
  for (const one of ['a', 'an', 'each', 'per', 'every', 'either', 'on each', 'at each', 'on either', 'for each'])
    yield word(one, 'each', 'each', { noun: one }, /^an?$/.test(one) ? 0.2 : 0);
  for (const one of ['side', 'corner', 'end', 'edge'])
    yield word(one, 'eachOf', 'each', { number: one === 'corner' ? 4 : 2 });
  for (const one of ['it', 'them', 'they', 'he', 'she', 'one', 'ones', 'others', 'lot'])
    yield word(one, 'pronoun', 'pronoun', {}, one === 'one' ? 0.6 : 0);
  for (const one of ['no', 'none', 'nothing', 'none of', 'neither']) yield word(one, 'none', 'deny');
  for (const one of ['x', '×', '*', 'times']) yield word(one, 'x', 'word');
  for (const one of [
    'pcs',
    'pc',
    'pieces',
    'piece',
    'nos',
    'pieces of',
    'of them',
    'of these',
    'of those',
    'qty',
    'in all',
    'in total',
  ])
    yield word(one, one === 'qty' ? 'qty' : 'pieces', 'word');
  for (const one of ['of', 'out of']) yield word(one, 'of', 'word');
  yield word('or', 'or', 'word');
  for (const one of ['+', 'plus']) yield word(one, 'plus', 'word');
  for (const one of ['to', '-', '–', 'through']) yield word(one, 'to', 'word');
  for (const one of ['no', 'nr', 'number', '#', 'no .', 'nr .']) yield word(one, 'hash', 'word');
  for (const [mark, sense] of [
    ['(', 'lpar'],
    [')', 'rpar'],
    ['/', 'slash'],
    ['"', 'inch'],
    ['”', 'inch'],
    ['″', 'inch'],
    ["''", 'inch'],
  ] as const)
    yield word(mark, sense, 'word');
  for (const one of ['inch', 'inches', 'in']) yield word(one, 'inch', 'word');
  for (const one of ['mm', 'millimetres', 'millimeters', 'millimetre', 'mil']) yield word(one, 'mm', 'word');
  for (const one of [
    'tooth',
    'teeth',
    'toothed',
    'v',
    'volt',
    'volts',
    'w',
    'watt',
    'watts',
    'a',
    'amp',
    'amps',
    'ma',
    'hz',
    'ohm',
    'ohms',
    'ω',
    'kω',
    'k',
    'kohm',
    'uf',
    'µf',
    'nf',
    'pf',
    'rpm',
    'strokes',
    'g',
    'kg',
    'cm',
    'percent',
    '%',
    'degrees',
    'degree',
    'deg',
    '°',
    'years',
    'times',
    'minutes',
    'seconds',
  ])
    yield word(one, 'unit', 'figure', {}, one === 'a' ? 1 : 0);
  for (const one of ['pin', 'pins', 'way', 'ways', 'pole', 'poles', 'core', 'cores', 'wire', 'p', 'conductor'])
    yield word(one, 'ways', 'ways', { noun: one });
  for (const one of [
    'lengths',
    'sizes',
    'kinds',
    'types',
    'colours',
    'sorts',
    'different lengths',
    'different sizes',
    'different kinds',
    'different types',
  ])
    yield word(one, 'sorts', 'look');
  for (const one of ['st', 'nd', 'rd', 'th']) yield word(one, 'nth', 'word');
  for (const one of [
    'turn',
    'turns',
    'full turn',
    'full turns',
    'revolution',
    'revolutions',
    'rev',
    'revs',
    'more turns',
  ])
    yield word(one, 'turn', 'turns');
  for (const one of [
    'half a',
    'half',
    'a half',
    'half of a',
    'quarter',
    'a quarter',
    'quarter of a',
    'a',
    'about a',
    'a full',
  ])
    yield word(one, 'fraction', 'word', { figure: one });
  for (const one of ['and a half', '½', '¼', 'and a quarter']) yield word(one, 'half', 'word');
  for (const one of [
    'clockwise',
    'cw',
    'anticlockwise',
    'counterclockwise',
    'counter clockwise',
    'anti clockwise',
    'ccw',
    'against the clock',
    'with the clock',
  ])
    yield word(one, 'clock', 'direction', {
      figure:
        one === 'cw'
          ? 'clockwise'
          : /^with|^against/.test(one)
            ? one
            : /^(?:a|co|cc)/.test(one)
              ? 'anticlockwise'
              : one,
    });
  for (const one of [
    'viewed from',
    'seen from',
    'looking from',
    'looked at from',
    'viewed from the',
    'seen from the',
    'looking from the',
  ])
    yield word(one, 'viewed', 'word');
  for (const one of ['to the', 'to its', 'against the', 'against its', 'up to the', 'up to its', 'to an'])
    yield word(one, 'upTo', 'word');
  for (const one of ['stop', 'end stop', 'endstop', 'end', 'mark', 'middle', 'centre']) yield word(one, 'stop', 'word');
  for (const one of [
    'short',
    'missing',
    'absent',
    'gone',
    'lacking',
    'not there',
    'is missing',
    'are missing',
    'was missing',
    'were missing',
    'is short',
    'was absent',
  ])
    yield word(one, 'short', 'missing');
  // Drivers, by what they are called; registered names of recesses are known by how they begin, where the tokens are read.
  for (const one of ['ph', 'cross', 'crosshead', 'cross head', 'cross point', 'crosspoint', 'cross recess'])
    yield word(one, 'drive', 'driver', { figure: 'PH' });
  for (const one of ['pz']) yield word(one, 'drive', 'driver', { figure: 'PZ' });
  for (const one of ['t', 'tx', 'hx', 'hex', 'hexalobular', 'star'])
    yield word(one, 'drive', 'driver', { figure: 'T' });
  for (const one of ['hex', 'hex key', 'hex socket', 'hex head', 'socket head', 'socket'])
    yield word(one, 'hexKey', 'driver', { figure: 'hex socket' });
  for (const one of ['slotted', 'slot head', 'slot headed', 'flat blade', 'flatblade'])
    yield word(one, 'slotted', 'driver', { figure: 'slotted' });
  yield word('slot', 'slotBefore', 'driver', { figure: 'slotted' });
  for (const one of ['pinned', 'security', 'tamper', 'tamper proof', 'tamperproof', 'with pin', 'with a pin'])
    yield word(one, 'pinned', 'driver');
  yield word('m', 'metric', 'thread');
  for (const one of ['j', 'cn', 'con', 'cp', 'jk', 'p', 'jp', 'cnp']) yield word(one, 'letters', 'word');
  for (const one of 'abcdefgh') yield word(one, 'letter', 'word', {}, one === 'a' ? 1 : 0);
  for (const [mark, said] of [
    [',', ','],
    [';', ';'],
    ['.', '.'],
    ['!', '.'],
    ['?', '?'],
    [':', ':'],
    ['-', '-'],
    ['–', '-'],
    ['—', '-'],
    ['and', 'and'],
    ['&', 'and'],
    ['+', 'and'],
    ['plus', 'and'],
    ['then', 'then'],
    ['and then', 'then'],
    ['with', 'with'],
    ['held by', 'with'],
    ['fixed by', 'with'],
    ['secured by', 'with'],
    ['but', 'but'],
    ['once', 'when'],
    ['when', 'when'],
    ['till', 'when'],
    ['until', 'when'],
    ['while', 'when'],
    ['because', 'when'],
    ['unless', 'when'],
    ['so that', 'when'],
    ['if', 'when'],
    ['without', 'when'],
    ['scratch that', 'correct'],
    ['strike that', 'correct'],
    ['correction', 'correct'],
    ['make that', 'correct'],
    ['i mean', 'correct'],
    ['sorry', 'correct'],
    ['wait', 'correct'],
    ['no wait', 'correct'],
    ['no ,', 'correct'],
    ['no sorry', 'correct'],
    ['hang on', 'correct'],
    ['no hang on', 'correct'],
    ['hold on', 'correct'],
    ['no hold on', 'correct'],
    ['wait no', 'correct'],
    ['my mistake', 'correct'],
    ['actually', 'correct'],
    ['no actually', 'correct'],
    ['or rather', 'correct'],
    ['rather', 'correct'],
    ['before', 'when'],
    ['after', 'after'],
    ['(', '('],
    [')', '('],
  ] as const)
    yield word(
      mark,
      'sep',
      'separator',
      { noun: said },
      said === 'when' || said === 'correct' ? 0.3 : said === '(' ? 0.5 : 0,
    );
  yield word('.', 'dot', 'word');
}

/** All words that a line of Strip is read by, each with what it may be. */
export const LEXICON = lexiconOf(
  entries(),
  [...entries()]
    .filter(([, { sense }]) => sense === 'noun' || sense === 'verb')
    .map(([word]) => word)
    .filter((word) => !word.includes(' '))
    .concat(['mains', 'battery']),
);

/** Every single word of them. */
export const KNOWN: ReadonlySet<string> = new Set([...entries()].flatMap(([words]) => words.split(' ')));
