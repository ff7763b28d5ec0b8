import { loaderOf, type Loader } from '../../base/loaders';
import {
  edgeOf,
  IDLE,
  lexiconOf,
  OPENERS,
  prepared,
  readings,
  sensesAt,
  slipsOf,
  tokensOf,
  wordsTaken,
  type Accounted,
  type Edge,
  type Rule,
  type Sense,
  type Token,
  type WordRole,
} from '../../base/spoken';
import {
  CODE,
  CODE_WORDS,
  CONDITIONS,
  IDLE_HERE,
  ILL,
  MANNERS,
  MOVES,
  MOVES_EITHER,
  NO_MORE,
  NOT_THIS,
  NOTHING,
  OTHER_ANSWERS,
  ONCE,
  REFUSES,
  SHOWS,
  SINCE,
  SOUNDS_SAID,
  UNDER,
  WELL,
  type Answer,
} from './words';

type Way = 'out' | 'in' | 'either';
/** What a stretch of a complaint says. */
interface Bit {
  readonly is:
    | 'move'
    | 'manner'
    | 'nothing'
    | 'answer'
    | 'refuses'
    | 'denied'
    | 'noMore'
    | 'elsewhere'
    | 'condition'
    | 'well'
    | 'ill'
    | 'idle'
    | 'strange'
    | 'sep'
    | 'said'
    | 'line';
  readonly from: number;
  readonly to: number;
  readonly way?: Way;
  readonly outcome?: string;
  readonly under?: keyof typeof CONDITIONS;
  readonly answer?: Answer;
  readonly bits?: readonly Bit[];
}

/** An answer that the words of a complaint seem to give, and those words. */
export interface OwnersAnswer {
  readonly testId: string;
  readonly outcome: string;
  readonly quote: string;
}

/** What was made of a complaint. */
export interface OwnersLine {
  readonly answers: readonly OwnersAnswer[];
  /** Every word, with what it is taken for. */
  readonly words: readonly Accounted[];
  /** The letter at which the first words of what is wrong begin; the length of the line where there are none. */
  readonly begins: number;
}

type Value = Omit<Bit, 'from' | 'to'>;
const listed = (words: string): readonly string[] => words.split(' ').map((one) => one.replaceAll('_', ' '));
const entries = (words: string, value: Value, cost: number) =>
  listed(words).map((one): readonly [string, Sense<Bit>] => [
    one,
    { sense: value.is, cost, value: { ...value, from: 0, to: 0 } },
  ]);

const ENTRIES: ReadonlyArray<readonly [string, Sense<Bit>]> = [
  ...(['out', 'in'] as const).flatMap((way) => entries(MOVES[way], { is: 'move', way }, 0.3)),
  ...entries(MOVES_EITHER, { is: 'move', way: 'either' }, 0.35),
  ...(['part', 'slow', 'reverses'] as const).flatMap((outcome) =>
    entries(MANNERS[outcome], { is: 'manner', outcome }, 0.2),
  ),
  ...(['out', 'in', 'either'] as const).flatMap((way) => entries(NOTHING[way], { is: 'nothing', way }, 0.2)),
  ...[...SOUNDS_SAID, ...OTHER_ANSWERS].flatMap(([words, answer]) => entries(words, { is: 'answer', answer }, 0.2)),
  ...(Object.keys(CONDITIONS) as ReadonlyArray<keyof typeof CONDITIONS>).flatMap((under) =>
    entries(CONDITIONS[under], { is: 'condition', under }, 0.2),
  ),
  ...entries(WELL, { is: 'well' }, 0.3),
  ...entries(ILL, { is: 'ill' }, 0.3),
  ...entries(REFUSES, { is: 'refuses' }, 0.3),
  ...entries(NO_MORE, { is: 'noMore' }, 0.3),
  ...entries(NOT_THIS, { is: 'elsewhere' }, 0.3),
  ...entries(`${IDLE_HERE} ${IDLE} ${OPENERS} ${SHOWS}`, { is: 'idle' }, 0.5),
];
const TELLING: ReadonlySet<Bit['is']> = new Set(['move', 'manner', 'nothing', 'answer', 'condition']);
const LEXICON = lexiconOf(
  ENTRIES,
  ENTRIES.filter(([, { value }]) => TELLING.has(value.is)).flatMap(([words]) =>
    words.split(' ').filter((one) => one.length > 3),
  ),
);

const STRANGE_COST = 1;
const SLIP_COST = 0.4;
/** Words that lead to a code, and the code: none where no code follows them. */
function codeAt(tokens: readonly Token[], at: number): number {
  let end = at;
  while (end < at + 2 && CODE_WORDS.test(tokens[end]?.word ?? '')) end += 1;
  return end > at && CODE.test(tokens[end]?.word ?? '') ? end + 1 - at : 0;
}

/** A mark within a name, as of T-40 or 2.1, ends no clause. */
const ENDS = /^[,;:.!?–—]$/;

function sensesOf(tokens: readonly Token[]): readonly Edge<Bit>[] {
  const edges: Edge<Bit>[] = [];
  tokens.forEach(({ word }, at) => {
    const known = sensesAt(tokens, at, LEXICON);
    for (const [length, sense] of known) edges.push(edgeOf(at, length, sense));
    if (known.length === 0)
      for (const meant of slipsOf(word, LEXICON)) {
        const instead = tokens.map((token, i) => (i === at ? { ...token, word: meant } : token));
        for (const [length, sense] of sensesAt(instead, at, LEXICON))
          edges.push(edgeOf(at, length, { ...sense, cost: sense.cost + SLIP_COST }));
      }
    const code = codeAt(tokens, at);
    if (code > 0) edges.push(edgeOf(at, code, { sense: 'idle', cost: 0.1, value: { is: 'idle', from: 0, to: 0 } }));
    edges.push(
      ENDS.test(word)
        ? edgeOf(at, 1, { sense: 'sep', cost: 0, value: { is: 'sep', from: 0, to: 0 } })
        : edgeOf(at, 1, { sense: 'strange', cost: STRANGE_COST, value: { is: 'strange', from: 0, to: 0 } }),
    );
  });
  return edges.map((edge) => ({ ...edge, value: { ...edge.value, from: edge.from, to: edge.to } }));
}

type Parts = readonly Bit[];
const rule = (makes: string, of: string, says: (parts: Parts) => Partial<Bit> | undefined, cost = 0): Rule<Bit> => ({
  makes,
  of: of.split(' '),
  cost,
  says(parts) {
    const said = says(parts);
    const [first, last] = [parts[0] as Bit, parts.at(-1) as Bit];
    return said && { is: 'said', ...said, from: first.from, to: last.to };
  },
});
const moved = (parts: Parts, move: number, outcome: string | undefined): Partial<Bit> | undefined =>
  outcome === undefined ? undefined : { way: parts[move]?.way ?? 'either', outcome };

/** What such a word costs that goes with nothing beside it. */
const ALONE: Readonly<Record<string, number>> = { refuses: 0.6, noMore: 0.4, move: 0.2 };

/** Words that may stand within what is said: “will not always open”, “opens only very slowly”. */
const GRAMMAR = prepared<Bit>({
  rules: [
    rule('gap', 'idle', ([one]) => ({ ...one })),
    rule('gap', 'gap idle', ([one]) => ({ ...one })),
    ...['', 'gap '].flatMap((gap) => [
      rule('said', `refuses ${gap}move`, (p) => moved(p, p.length - 1, 'nothing')),
      rule('said', `move ${gap}manner`, (p) => moved(p, 0, p.at(-1)?.outcome)),
      rule('said', `manner ${gap}move`, (p) => moved(p, p.length - 1, p[0]?.outcome), 0.1),
      // What is denied of a manner or a sound is not so; no sound at all is silence.
      rule('denied', `refuses ${gap}manner`, () => ({ is: 'denied' })),
      rule('denied', `refuses ${gap}answer`, () => ({ is: 'denied' })),
      rule('denied', `noMore ${gap}answer`, () => ({ is: 'denied' })),
      rule('denied', `noMore ${gap}manner`, () => ({ is: 'denied' })),
      // “Not empty” is what goes ill there; “not fine” is ill.
      rule('notUnder', `refuses ${gap}condition`, (p) => ({
        is: 'condition',
        under: p.at(-1)?.under ?? 'cold',
        outcome: 'ill',
      })),
      rule('notWell', `refuses ${gap}well`, () => ({ is: 'ill' })),
      // “No longer opens” does not open.
      rule('said', `noMore ${gap}move`, (p) => moved(p, p.length - 1, 'nothing')),
    ]),
    rule('said', 'manner', ([one]) => ({ way: 'either', outcome: one?.outcome ?? '' }), 0.1),
    rule('said', 'nothing', ([one]) => ({ way: one?.way ?? 'either', outcome: 'nothing' })),
    rule('said', 'answer', ([one]) => (one?.answer ? { answer: one.answer } : undefined)),
    ...[
      'said',
      'denied',
      'condition',
      'well',
      'ill',
      'notUnder',
      'notWell',
      'move',
      'refuses',
      'noMore',
      'elsewhere',
      'idle',
      'strange',
      'sep',
    ].map((name) => rule('bit', name, ([one]) => ({ ...one }), ALONE[name] ?? 0)),
    rule('bits', 'bit', ([one]) => ({ is: 'line', bits: [one as Bit] })),
    rule('bits', 'bits bit', ([all, one]) => ({ is: 'line', bits: [...(all?.bits ?? []), one as Bit] })),
    rule('line', 'bits', ([one]) => ({ ...one })),
  ],
  start: 'line',
  keep: { start: 3, other: 3 },
  sameAs: ({ bits = [] }) =>
    bits
      .filter(({ is }) => is === 'said')
      .map(({ way, outcome, answer }) => JSON.stringify([way, outcome, answer]))
      .join(),
});

/** A clause without a mark for so many words is cut where it goes on: whoever dictates says no marks. */
const LONG_CLAUSE = 24;
const GOES_ON = /^(?:and|but|then|so|when|also)$/i;

/** What a clause says, at its place in the line: nothing that is said goes over a mark, so each clause is read by itself. */
function bitsOf(tokens: readonly Token[]): readonly Bit[] {
  const bits: Bit[] = [];
  const edges = sensesOf(tokens);
  let next = 0;
  for (let from = 0; from < tokens.length;) {
    const mark = tokens.findIndex(
      ({ word }, at) => at >= from && (ENDS.test(word) || (at - from >= LONG_CLAUSE && GOES_ON.test(word))),
    );
    const to = mark === from ? from + 1 : mark < 0 ? tokens.length : mark;
    const own: Edge<Bit>[] = [];
    for (let edge = edges[next]; edge && edge.from < to; edge = edges[(next += 1)])
      if (edge.to <= to) own.push({ ...edge, from: edge.from - from, to: edge.to - from });
    bits.push(...(readings(to - from, own, GRAMMAR)[0]?.value.bits ?? []));
    from = to;
  }
  return bits;
}

/** What is wrong begins where one of these is said. */
const BEGINS: ReadonlySet<Bit['is']> = new Set([
  'said',
  'refuses',
  'denied',
  'noMore',
  'move',
  'condition',
  'well',
  'ill',
]);

const ROLE: Readonly<Partial<Record<Bit['is'], WordRole>>> = {
  said: 'symptom',
  move: 'symptom',
  condition: 'symptom',
  well: 'symptom',
  ill: 'symptom',
  refuses: 'denied',
  denied: 'denied',
  noMore: 'denied',
  elsewhere: 'others',
  strange: 'notKnown',
};

/** The clauses of a complaint; “but” and “and” go on with what was spoken of. */
function clausesOf(bits: readonly Bit[]): readonly (readonly Bit[])[] {
  const clauses: Bit[][] = [[]];
  for (const bit of bits) {
    if (bit.is === 'sep') clauses.push([]);
    else clauses.at(-1)?.push(bit);
  }
  return clauses;
}

/** What a condition answers: whether it goes ill or well then is said in its clause; “when warm” by itself says neither. */
function underOf(bit: Bit, clause: readonly Bit[]): Answer | undefined {
  if (bit.is !== 'condition' || !bit.under) return undefined;
  const says = (...names: ReadonlyArray<Bit['is']>): boolean => clause.some(({ is }) => names.includes(is));
  const fails = clause.some(
    ({ is, outcome, answer }) => is === 'said' && (outcome !== undefined || answer?.[0] === 'sound'),
  );
  const ill = bit.outcome === 'ill' || says('ill', 'refuses') || fails;
  const well = !ill && says('well', 'move');
  return ill || well || bit.under !== 'warm' ? UNDER[bit.under][well ? 'well' : 'ill'] : undefined;
}

/** What turns inside, and is no tray. */
const TABLE = /\b(?:table|carousel|turntable|platter)\b/i;

/** Longer than any complaint: a story is kept, and nothing is made of what comes after. */
const MOST_LETTERS = 600;

/**
 * What an owner's words seem to answer: read clause by clause, every word accounted for. What is denied, is no more, or is
 * said of something else answers nothing.
 *
 * @param loader whose opening may be a taking in
 * @example readOwner('whirrs, does not open', 'tray').answers.map(({ outcome }) => outcome) // ['runsFree', 'nothing']
 */
export function readOwner(typed: string, loader: Loader): OwnersLine {
  const text = typed.slice(0, MOST_LETTERS);
  const tokens = tokensOf(text);
  const bits = bitsOf(tokens);
  const letters = ({ from, to }: Bit): readonly [number, number] => [tokens[from]?.from ?? 0, tokens[to - 1]?.to ?? 0];
  const answers: OwnersAnswer[] = [];
  const add = (testId: string, outcome: string, quote: string): void => {
    if (!answers.some((one) => one.testId === testId)) answers.push({ testId, outcome, quote });
  };
  let way: Way = 'either';
  const clauses = clausesOf(bits);
  const wordsOf = (clause: readonly Bit[]): string =>
    clause.length === 0 ? '' : text.slice(letters(clause[0] as Bit)[0], letters(clause.at(-1) as Bit)[1]);
  for (const [at, clause] of clauses.entries()) {
    if (clause.some(({ is }) => is === 'elsewhere')) continue;
    // A carousel's table that does not turn says nothing of how its drawer opens.
    if (TABLE.test(wordsOf(clause)) && loaderOf(loader).has.tray && clause.some(({ way: of }) => of === 'either'))
      continue;
    const over = ONCE.test(wordsOf(clause)) && clauses.slice(at + 1).some((later) => SINCE.test(wordsOf(later)));
    if (over) continue;
    // “The door opens, the tray does not.”
    if (clause.at(-1)?.is === 'refuses' && way !== 'either' && !clause.some(({ is }) => is === 'said'))
      add(testOf(way, loader), 'nothing', wordsOf(clause));
    // A movement named beside it says which way: “opens all right but slowly”.
    for (const bit of clause) {
      if (bit.way && bit.way !== 'either') way = bit.way;
      const under = underOf(bit, clause);
      if (bit.is !== 'said' && !under) continue;
      const [testId, outcome] = under ??
        bit.answer ?? [testOf(bit.way === 'either' || !bit.way ? way : bit.way, loader), bit.outcome ?? ''];
      add(testId, outcome, text.slice(...letters(bit)));
    }
  }
  const first = bits.find(({ is }) => BEGINS.has(is));
  return {
    answers,
    words: wordsTaken(
      text,
      bits.map((bit) => {
        const [from, to] = letters(bit);
        return { from, to, role: ROLE[bit.is] ?? 'idle' };
      }),
    ),
    begins: first ? letters(first)[0] : typed.length,
  };
}

/** The test of a way: what opens by taking a disc in is asked the other way about. */
function testOf(way: Way, loader: Loader): string {
  const { opensBy } = loaderOf(loader);
  return way === 'either' || way === opensBy ? 'behaviour' : 'closing';
}
