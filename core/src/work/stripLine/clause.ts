import type { Fate } from '../strip';
import { figuresOf, wordsOf, type Figures, type Typed } from './figures';
import { fateOf } from './fate';
import { headOf, type Head } from './head';
import type { Said } from './said';
import type { Doubt } from './types';
import { FASTENERS, FULL_OF, SMALL, WHOLE_BY_ITSELF, type NounKind } from './words';

/** What one clause of a line says. */
export interface Clause {
  readonly text: string;
  readonly bits: readonly Said[];
  /** What it is about; undefined where it only tells more of what came before. */
  readonly kind: NounKind | undefined;
  readonly noun: string;
  readonly plural: boolean;
  readonly count: number | undefined;
  readonly vague: boolean;
  /** Nothing but a noun with what describes it: it may be a thing of its own. */
  readonly bare: boolean;
  /** Its noun is no word that is known here: a part by being taken off. */
  readonly guessed: boolean;
  readonly what: string;
  readonly where: string;
  readonly fate: Fate | undefined;
  readonly figures: Figures;
  readonly heads: readonly string[];
  /** So many missing on arrival. */
  readonly missing: number;
  /** All of them were missing, and how many they were is not said. */
  readonly allShort: boolean;
  readonly leave: boolean;
  /** Back in its place. */
  readonly homed: boolean;
  /** None of it: no screws, no belt. */
  readonly none: boolean;
  readonly doubts: readonly Doubt[];
  /** Other things that it names beside, each with a number of its own. */
  readonly beside: readonly Clause[];
  /** How far this is from what benches say; it counts against the reading. */
  readonly oddness: number;
}

const isIn = (bits: readonly Said[], is: Said['is']): boolean => bits.some((bit) => bit.is === is);

const withoutArticle = (words: string): string =>
  words.replace(/^(?:the|a|an|its|their|these|those|this|that|any) /i, '');
const withoutOf = (words: string): string =>
  words
    .replace(/^(?:from|of|for|at|off|out of|off of|away from|clear of|to) (?:the |its |their |a )?/i, '')
    .replace(/^(?:the|its|their) /i, '');

/**
 * What the bits of one clause say together: what it is about, how many, what was done, where.
 *
 * @param bits all of its words, as the grammar put them together
 */
export function clauseOf(typed: Typed, bits: readonly Said[]): Clause {
  const [first, last] = [bits[0] as Said, bits.at(-1) as Said];
  const text = wordsOf(typed, { from: first.from, to: last.to }).toLowerCase();
  const doubts: Doubt[] = [];
  const figures = figuresOf(typed, bits);
  const things = bits.filter(({ is }) => is === 'thing');
  const bareCounts = bits.filter(({ is }) => is === 'count');
  const eachBit = bits.find(({ is }) => is === 'each');
  const head = headOf(bits, figures, doubts);
  const { said, implied } = head;
  const full = bits.some(
    ({ is, noun = '', within }) => is === 'where' && within?.kind === 'dirt' && FULL_OF.test(noun),
  );
  const perished =
    head.noun === 'rubber' &&
    bits.some(({ is, verb = '' }) => is === 'how' && /^to |^perished$|^melted$|^gooey$/.test(verb));
  const atWall =
    (head.kind === 'connector' || head.kind === 'wire') &&
    bits.some(({ is, within }) => is === 'where' && within?.kind === 'power');
  const leaked = head.kind === 'power' && isIn(bits, 'how');
  const kind = leaked ? 'part' : atWall ? 'power' : full || perished ? 'dirt' : ownPlug(head.kind, head.noun, bits);
  const others = things.filter((thing) => thing !== said && !head.beside.includes(thing));
  const counts = [
    ...(said?.count ? [said.count] : said?.number !== undefined ? [said] : []),
    ...(implied || !said?.count ? others.flatMap(({ count }) => count ?? []) : []),
    ...bareCounts,
  ];
  const own = counts.map(({ number = 1 }) => number);
  let count: number | undefined = figures.ofMany ? figures.ofMany[0] : own[0];
  if (!figures.ofMany && own.length > 1 && !own.every((one) => one === own[0]))
    doubts.push({ about: 'count', counts: [...new Set([own.reduce((a, b) => a + b, 0), ...own])].slice(0, 3) });
  // “Under each foot”: as many times as there are feet.
  if (eachBit && eachBit.number === undefined)
    doubts.push({ about: 'count', counts: [4, 2, 1].map((many) => many * (own[0] ?? 1)) });
  const several = counts.find(({ counts: list }) => list);
  if (several?.counts) doubts.push({ about: 'count', counts: several.counts });
  if (eachBit?.number && (count !== undefined || !head.plural)) count = (count ?? 1) * eachBit.number;
  // A lead pulled may be the mains or any other: it is asked.
  if (
    head.noun === 'lead' &&
    said &&
    (said.nouns ?? []).length < 2 &&
    !said.looks &&
    bits.some(({ is, done: one }) => is === 'done' && one === 'pulled')
  )
    doubts.push({ about: 'kind', kinds: ['power', kind ?? 'wire'] });
  const vague = (said?.counts !== undefined && said.count === undefined) || isIn(bits, 'vague');
  const short = bits.some(
    (bit) =>
      bit.is === 'how' &&
      /^(?:is |are |was |were )?(?:missing|short|absent|gone|lacking|not there)$/.test(
        wordsOf(typed, bit).toLowerCase(),
      ),
  );
  // What the owner lost is missing.
  const lost = isIn(bits, 'others') && bits.some(({ verb }) => verb === 'lost');
  const told = bits.find(({ is }) => is === 'missing')?.number ?? 0;
  const missing =
    told > 0
      ? told
      : (short || lost) &&
          head.kind !== undefined &&
          (FASTENERS.has(head.kind) || (isIn(bits, 'others') && /^(?:part|springs|tabs)$/.test(head.kind)))
        ? (figures.ofMany?.[0] ?? count ?? 1)
        : 0;
  const of = short && told === 0 ? figures.ofMany : null;
  // So many as there were of them: it is asked how many.
  const allShort = missing > 0 && told === 0 && count === undefined && head.plural;
  if (allShort) doubts.push({ about: 'count', counts: [2, 3, 4] });
  const leave = isIn(bits, 'leave');
  const places = bits.filter((bit) => bit.is === 'where');
  const fastener = kind !== undefined && FASTENERS.has(kind);
  const whereParts = [...others, ...places]
    .sort((a, b) => a.from - b.from)
    .map((bit) => withoutArticle(wordsOf(typed, bit)));
  const looks = (said?.looks ?? []).filter(({ from }) => said && from >= said.from);
  const kept = looks.filter((look) => !['driver', 'thread', 'length', 'ways'].includes(look.is));
  const nounWords = said ? nameOf(typed, said) : '';
  const headWords = [...kept.filter((look) => look.is === 'look'), ...bits.filter(({ is }) => is === 'look')].map(
    (look) => wordsOf(typed, look).toLowerCase(),
  );
  const beforeNoun = fastener && said ? compoundBefore(typed, said) : '';
  // “2 nuts motor plate”: what stands after a fastener’s own noun is where they are.
  const afterNoun = fastener && said && head.noun !== said.noun ? afterOwn(nameOf(typed, said), head.noun) : '';
  // A noun that fasteners stand in front of is where they are: the bridge of bridge screws.
  const impliedPlace = implied && said === undefined ? things.map((thing) => nameOf(typed, thing)) : [];
  const fate = fateOf(bits, kind, head.noun, kind === undefined ? [] : doubts, missing);
  const says =
    bits.some(({ is }) =>
      ['count', 'done', 'toward', 'where', 'strange', 'driver', 'missing', 'each', 'turns'].includes(is),
    ) || counts.length > 0;
  return {
    text,
    bits,
    kind,
    noun: head.noun,
    plural: head.plural,
    count: of ? of[1] - of[0] : missing > 0 && told === 0 ? Math.max(0, (count ?? 1) - missing) : count,
    vague,
    bare: kind !== undefined && !says && !leave && !isIn(bits, 'how'),
    guessed: said?.guessed ?? false,
    what: fastener
      ? leave
        ? [...headWords, head.noun].join(' ')
        : head.noun
      : [
          nounWords || head.noun,
          ...bits
            .filter(({ is, from }) => is === 'look' && said && from >= said.to)
            .map((look) => wordsOf(typed, look)),
        ].join(' '),
    where: fastener
      ? [
          afterNoun === '' ? beforeNoun : '',
          afterNoun,
          ...(implied ? impliedPlace : whereParts.slice(0, others.length).map(withoutOf)),
          ...places.map((bit) => withoutOf(wordsOf(typed, bit))),
        ]
          .filter(Boolean)
          .join(' ')
          .trim()
      : whereParts.join(' '),
    fate: fate.fate,
    figures: of ? { ...figures, ofMany: null } : figures,
    heads: fastener ? headWords : [],
    missing: allShort ? 0 : missing,
    allShort,
    leave,
    none: said?.none ?? false,
    doubts,
    beside: head.beside.map((thing) =>
      clauseOf(typed, [
        thing,
        ...bits.filter(({ is }) => is === 'done' || is === 'toward' || is === 'leave' || is === 'deny'),
      ]),
    ),
    homed: bits.some(({ is, noun, done }) => (is === 'toward' && noun === 'home') || (is === 'done' && done === 'fit')),
    oddness: oddnessOf(bits, head),
  };
}

/** What a thing is called: its words without how many and without an article. */
function nameOf(typed: Typed, said: Said): string {
  const from = said.count ? said.count.to : said.from;
  const looks = (said.looks ?? []).filter((look) => ['driver', 'thread', 'length'].includes(look.is));
  const start = looks.reduce((at, { to }) => Math.max(at, to), from);
  return withoutArticle(
    wordsOf(typed, { from: start, to: said.to })
      .replace(/^of /i, '')
      .replace(/^(?:all|some|several|few|no|every|a few|all the|the)\b ?/i, ''),
  );
}

/** The words of a name after the noun itself. */
function afterOwn(name: string, noun: string): string {
  const at = name.toLowerCase().indexOf(noun.split(' ')[0] ?? noun);
  return at < 0 ? '' : name.slice(at).split(' ').slice(noun.split(' ').length).join(' ');
}

/** What stands before a fastener's own noun: the lid of lid screws. */
function compoundBefore(typed: Typed, said: Said): string {
  const name = nameOf(typed, said);
  const looks = (said.looks ?? []).filter(({ is }) => is === 'look').map((look) => wordsOf(typed, look));
  const words = name
    .split(' ')
    .slice(0, -1)
    .filter((word) => !looks.includes(word));
  return SMALL.has(said.kind ?? 'part') ? words.join(' ') : '';
}

/** Unplugged, a board or a motor is a plug pulled; a cartridge is itself. */
function ownPlug(kind: NounKind | undefined, noun: string, bits: readonly Said[]): NounKind | undefined {
  const pulled = bits.some(({ verb = '' }) => /^(?:unplug|disconnect|plugged off)/.test(verb));
  const away = bits.some(({ is, away: gone }) => (is === 'toward' || is === 'where') && gone);
  return pulled && !away && (kind === 'wire' || kind === 'cable' || kind === 'part') && !WHOLE_BY_ITSELF.has(noun)
    ? 'connector'
    : kind;
}

/** A thing without a number of its own, or those that are known: off the board, off both pulleys, off the two pulleys. */
const isPlaceOf = (thing: Said | undefined): boolean =>
  thing?.is === 'thing' && (!thing.count || thing.count.number === 2 || thing.count.from > thing.from);

/** How odd the bits of a clause are together. */
function oddnessOf(bits: readonly Said[], { odd, kind, said, plural }: Head): number {
  const many = (is: Said['is']): number => bits.filter((bit) => bit.is === is).length;
  const does = many('done') + many('toward') > 0;
  return (
    odd +
    Math.max(
      0,
      bits.filter(({ is, count }) => is === 'thing' && !count).length -
        (many('thing') > 1 && bits.some(({ is, count }) => is === 'thing' && count) ? 0 : 1),
    ) *
      0.8 +
    Math.max(0, many('count') - 1) +
    Math.max(0, many('done') - 1) * 0.5 +
    (kind === undefined && does && bits[0]?.is === 'where' ? 0.8 : 0) +
    (bits[0]?.is === 'where' &&
    /^(?:front|back|top|bottom)$/.test(bits[0].noun ?? '') &&
    (bits[1]?.is === 'toward' || (bits[1]?.is === 'where' && bits[1].away))
      ? 0.8
      : 0) +
    (said && !plural && !said.count && many('count') > 0 ? 0.5 : 0) +
    bits.filter((bit, at) => bit.is === 'toward' && bit.away && isPlaceOf(bits[at + 1])).length * 0.8
  );
}
