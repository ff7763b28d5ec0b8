import { DIRT_WORDS, PLACE_WORDS, type MapPlace } from '../cleaning';
import {
  DENYING,
  edgeOf,
  IDLE,
  lexiconOf,
  oneSlipApart,
  MINDING,
  NUMBERS,
  OPENERS,
  OTHERS,
  prepared,
  PREPOSITIONS,
  PLACES,
  readings,
  sensesAt,
  TO_COME,
  tokensOf,
  VAGUE,
  type Edge,
  type Sense,
  type Accounted,
  type Token,
  type WordRole,
  wordsTaken,
} from '../../base/spoken';
import { AXLE } from './places';
import {
  AGENT_WORDS,
  AMOUNT_WORDS,
  DEED_WORDS,
  DRIED,
  DRIES,
  DRY,
  HANDS,
  HOLDS,
  LEFT,
  LEVERS,
  MINUTES,
  OUTCOME_WORDS,
  OVERNIGHT,
  SLIPPED,
  SPELT,
  SLIPS_HARD,
  STROKES,
  SWAB_ONE,
  SWAB_RUN,
  SWABS_TWICE,
  WARM,
  WAY_WORDS,
  WORN,
} from './vocabulary';

/** What a word of a line of Clean is taken for. */
export type Taken =
  | 'place'
  | 'agent'
  | 'done'
  | 'outcome'
  | 'dirt'
  | 'count'
  | 'how'
  | 'denied'
  | 'minded'
  | 'others'
  | 'idle'
  | 'separator'
  | 'notKnown';

/** A stretch of a line, and what it is taken for. */
export interface TakenBit {
  readonly taken: Taken;
  /** Letters of the line. */
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** What only a pattern tells: words with their endings and spellings, which a list would never end. */
const PATTERNS: ReadonlyArray<readonly [pattern: { readonly every: RegExp; readonly whole: RegExp }, taken: Taken]> = (
  [
    [AXLE, 'place'],
    ...PLACE_WORDS.map(([pattern]) => [pattern, 'place'] as const),
    [/\b(?:both |all |the |two )*pulleys?\b/, 'place'],
    [
      /\b(?:both )?(?:the )?(?:motor (?:and|&|\+) (?:drive|driven)|(?:drive|driven) (?:and|&|\+) motor) pulleys?\b/,
      'place',
    ],
    [/\b(?:grooves?|flanks?|rims?|faces?|teeth|surfaces?|ends?|edges?|bores?|contacts)\b/, 'place'],
    ...AGENT_WORDS.map(([pattern]) => [pattern, 'agent'] as const),
    ...OUTCOME_WORDS.map(([pattern]) => [pattern, 'outcome'] as const),
    ...DEED_WORDS.map(([pattern]) => [pattern, 'done'] as const),
    ...DIRT_WORDS.map(([pattern]) => [pattern, 'dirt'] as const),
    [WAY_WORDS, 'how'],
    [AMOUNT_WORDS, 'how'],
    [STROKES, 'count'],
    [MINUTES, 'count'],
    [OVERNIGHT, 'count'],
    [SWAB_RUN, 'outcome'],
    [SWAB_ONE, 'outcome'],
    [SWABS_TWICE, 'outcome'],
    [/\b(?:\d+|\w+) (?:clean |fresh |black )?swabs?\b/, 'count'],
    [/\b(?:last|first) one (?:clean|black|grey)\b/, 'outcome'],
    [/\b\d+ ?(?:%|percent|per cent)(?= |$)/, 'how'],
    [HANDS, 'done'],
    [DRIED, 'done'],
    [DRY, 'outcome'],
    [LEVERS, 'done'],
    [DRIES, 'done'],
    [WARM, 'done'],
    [HOLDS, 'outcome'],
    [SLIPS_HARD, 'outcome'],
    [SLIPPED, 'outcome'],
    [WORN, 'dirt'],
    [LEFT, 'done'],
    [/\b(?:no\.? ?|number |nr ?|#)\d{1,4}\b|^\d{1,4}(?=:)/, 'place'],
  ] as const
).map(([pattern, taken]) => [
  { every: new RegExp(pattern.source, 'g'), whole: new RegExp(`^(?:${pattern.source})$`) },
  taken,
]);

const list = (words: string): readonly string[] => words.split(' ').map((word) => word.replaceAll('_', ' '));

/** Words beside an agent or a place that change nothing of what was done. */
const USUAL =
  'still got used using put gave gets given till went_over gone_over worked exercised turned scrubbed swabbed sprayed squirted dabbed treated applied pressed moved ' +
  'black grey gray white new light machine sewing fine heavy thin thick clear old more bit little much lot spray own fresh tap stayed stays feels felt sounds turns rub rubs ' +
  'plastic brass metal rubber wooden steel battery motor tray disc table lift feed following driven big small left right side surface round because while after before until feel ' +
  'a b c d e dab dabs drop drops deck upper lower front rear back cleaner oil grease spirit cleaning water everything everywhere others tiny smooth roughened slippery wrong fine';

function* entries(): Generator<readonly [string, Sense<Taken>]> {
  const all = (words: string, taken: Taken, cost = 0.2): ReadonlyArray<readonly [string, Sense<Taken>]> =>
    list(words).map((word) => [word, { sense: 'word', value: taken, cost }]);
  yield* all(IDLE, 'idle');
  yield* all(USUAL, 'idle');
  yield* all(OPENERS, 'idle');
  yield* all(
    `${PREPOSITIONS.at} ${PREPOSITIONS.away} out away up down with and or by till the a an its their this that it them`,
    'idle',
  );
  yield* all(PLACES, 'idle');
  yield* all(`${VAGUE} both each`, 'idle');
  yield* all(Object.keys(NUMBERS).join(' '), 'count');
  yield* all(DENYING, 'denied');
  yield* all('no none nothing without', 'denied', 0.3);
  yield* all('except apart_from but_not by_the_owner by_owner by_somebody by_someone by_the_customer', 'denied', 0);
  yield* all(MINDING, 'minded', 0.3);
  yield* all(TO_COME, 'minded', 0.3);
  yield* all('wants needs', 'minded', 0.3);
  yield* all(OTHERS, 'others', 0.1);
  yield* all(', ; : . ! ? - – & + ( )', 'separator', 0);
  yield* all('then but', 'separator', 0.1);
}
const LEXICON = lexiconOf(entries(), []);

const GRAMMAR = prepared<Line>({
  rules: [
    { makes: 'Line', of: ['word'], cost: 0, says: ([bit]) => bit },
    {
      makes: 'Line',
      of: ['Line', 'word'],
      cost: 0,
      says: ([line, bit]) => line && bit && { taken: bit.taken, from: bit.from, to: bit.to, before: line },
    },
  ],
  start: 'Line',
  keep: { start: 2, other: 3 },
  sameAs: () => '',
});
interface Line {
  readonly taken: Taken;
  readonly from: number;
  readonly to: number;
  readonly before?: Line;
}

/** The tokens that a stretch of letters covers, where it begins and ends with whole ones. */
function tokensOver(tokens: readonly Token[], from: number, to: number): readonly [number, number] | undefined {
  const first = tokens.findIndex((token) => token.from >= from);
  const last = tokens.findLastIndex((token) => token.to <= to);
  return first >= 0 && last >= first && tokens[first]?.from === from && tokens[last]?.to === to
    ? [first, last + 1]
    : undefined;
}

/**
 * Every word of a line of Clean with what it is taken for, in the likeliest reading; none is left out.
 *
 * @param line in small letters
 * @example takenIn('motor pulley acetone', []).map(({ taken }) => taken) // ['place', 'agent']
 */
export function takenIn(line: string, map: readonly MapPlace[]): readonly TakenBit[] {
  const tokens = tokensOf(line);
  const edges: Edge<Line>[] = [];
  const put = (from: number, to: number, taken: Taken, cost: number): void => {
    edges.push(edgeOf(from, to - from, { sense: 'word', value: { taken, from, to }, cost }));
  };
  for (const [pattern, taken] of PATTERNS)
    for (const { 0: text, index } of line.matchAll(pattern.every)) {
      const start = index + text.length - text.trimStart().length;
      const over = tokensOver(tokens, start, index + text.trimEnd().length);
      if (!over) continue;
      // A switch contact is one thing, and a switch before contact cleaner another: what is shorter is kept as well.
      for (let from = over[0]; from < over[1]; from++)
        for (let to = from + 1; to <= over[1]; to++) {
          const part = line.slice(tokens[from]?.from, tokens[to - 1]?.to);
          if ((from === over[0] && to === over[1]) || pattern.whole.test(part)) put(from, to, taken, 0.3);
        }
    }
  for (const { place } of map) {
    const at = place.name === '' ? -1 : line.indexOf(place.name.toLowerCase());
    const over = at < 0 ? undefined : tokensOver(tokens, at, at + place.name.length);
    if (over) put(over[0], over[1], 'place', 0.2);
  }
  tokens.forEach(({ word }, at) => {
    for (const [length, { value, cost }] of sensesAt(tokens, at, LEXICON)) put(at, at + length, value, cost);
    if (Object.keys(SPELT).some((one) => oneSlipApart(one, word))) put(at, at + 1, 'agent', 0.6);
    put(
      at,
      at + 1,
      /^\d/.test(word) ? 'count' : /\p{L}/u.test(word) ? 'notKnown' : 'separator',
      /^\d/.test(word) ? 0.6 : 2.5,
    );
  });
  const bits: TakenBit[] = [];
  for (let at: Line | undefined = readings(tokens.length, edges, GRAMMAR)[0]?.value; at; at = at.before) {
    const [from, to] = [tokens[at.from]?.from ?? 0, tokens[at.to - 1]?.to ?? 0];
    bits.unshift({ taken: at.taken, from, to, text: line.slice(from, to) });
  }
  return bits;
}

const ROLE_OF: Readonly<Record<Taken, WordRole>> = {
  place: 'place',
  agent: 'agent',
  done: 'done',
  outcome: 'outcome',
  dirt: 'dirt',
  count: 'count',
  how: 'how',
  denied: 'denied',
  minded: 'minded',
  others: 'others',
  idle: 'idle',
  separator: 'idle',
  notKnown: 'notKnown',
};

/**
 * Every word of a line of Clean with what it is taken for, to be shown under it while it is typed.
 *
 * @example accountOfTreatment('motor pulley acetone', []).map(({ role }) => role) // ['place', 'place', 'agent']
 */
export const accountOfTreatment = (line: string, map: readonly MapPlace[]): readonly Accounted[] =>
  wordsTaken(
    line,
    takenIn(line.toLowerCase(), map).map(({ from, to, taken }) => ({ from, to, role: ROLE_OF[taken] })),
  );
