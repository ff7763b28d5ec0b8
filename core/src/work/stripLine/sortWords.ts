import {
  BELT_OF,
  CONDITIONS,
  HEADS,
  NUMBER_WORDS,
  PLACES,
  PLAIN_ADJECTIVES,
  PREPOSITIONS,
  VAGUE,
  nounOf,
  slipOf,
  verbOf,
  type NounKind,
} from './vocabulary';

/** The words of a clause, each put where it belongs. */
export interface SortedWords {
  /** The thing with what describes it. */
  readonly np: string[];
  readonly where: string[];
  readonly heads: string[];
  readonly verbs: Array<ReturnType<typeof verbOf> & string>;
  readonly nouns: Array<{
    readonly kind: NounKind;
    readonly word: string;
    readonly plural: boolean;
    readonly at: number;
  }>;
  readonly counts: Array<{ readonly count: number; readonly at: number }>;
  vague: boolean;
  unknownVerb: boolean;
  conditionAfter: boolean;
  /** From here on it says where. */
  inPlace: boolean;
  /** Words that are none of those known here. */
  strange: number;
  /** So many more of them in another place. */
  elsewhere: number;
  /** A known noun with a word after it that is none: a belt guard is no belt. */
  compound: NounKind | undefined;
  /** A word that is known but for a letter. */
  slip: string | undefined;
}

/** Things small enough that a front, top or bottom beside them is a place. */
const ONLY_PLACED: ReadonlySet<NounKind> = new Set([
  'screws',
  'nuts',
  'clips',
  'springs',
  'tabs',
  'connector',
  'adhesive',
]);
/** Kinds of which a word after them makes something else. */
const TOLD_APART: ReadonlySet<NounKind> = new Set(['belt', 'gear', 'springs', 'wire', 'cable']);
/** What things sit on: “off two pulleys” tells from where. */
const POSTS = /^(?:the |its |their )?\w+ (?:pulleys?|posts?|shafts?|drums?|wheels?)$/;
const ARTICLES =
  /^(?:the|a|an|its|their|this|that|these|those|his|her|our|it|they|them|then|and|also|just|now|is|are|was|were|be|been|of|which|so|to|with|very|more|of_it|gently|carefully|up|down|over|along|apart|together|upwards|downwards|forwards|backwards|here|there|only|not|do|i|we|has|have)$/;

/** @example countOf('both') // 2 */
export function countOf(word: string): number | undefined {
  const count = /^\d{1,4}$/.test(word)
    ? Number(word)
    : Object.hasOwn(NUMBER_WORDS, word)
      ? NUMBER_WORDS[word]
      : undefined;
  return count !== undefined && count >= 0 && count <= 1000 ? count : undefined;
}

/** Whether a word begins a place: “2 of 4” and “a pair of” begin none. */
const beginsPlace = (word: string, at: number, tokens: readonly string[]): boolean =>
  PREPOSITIONS.has(word) &&
  !(word === 'of' && at > 0 && at < 3 && (VAGUE.has(tokens[at - 1] ?? '') || tokens[at - 1] === 'pair'));

/** A verb. “Off the board” says from where. */
function sortVerb(
  sorted: SortedWords,
  word: string,
  verb: ReturnType<typeof verbOf> & string,
  rest: readonly string[],
) {
  sorted.verbs.push(verb);
  if (word !== 'off' || sorted.nouns.length === 0) return;
  if (
    rest[0] === 'both' ||
    POSTS.test(rest.join(' ')) ||
    !rest.some((later) => countOf(later) !== undefined || verbOf(later))
  )
    sorted.inPlace = true;
}

/** A word of the place. */
function sortPlaced(sorted: SortedWords, word: string, next: string | undefined): void {
  const { nouns, counts, where } = sorted;
  const count = countOf(word);
  if (/\w{3}ing$/.test(word) && nounOf(word) === undefined && nouns.length > 0) sorted.unknownVerb = true;
  // “Three tabs below, two above”: more of them, in another place.
  if (
    count !== undefined &&
    count > 1 &&
    counts.length > 0 &&
    (next === undefined || PLACES.has(next) || PREPOSITIONS.has(next) || next === 'above' || next === 'below')
  )
    sorted.elsewhere += count;
  if (!(ARTICLES.test(word) && where.length === 0)) where.push(word);
}

/** A word that is not known here. */
function sortStrange(sorted: SortedWords, word: string, at: number): void {
  sorted.strange += 1;
  if (/\w{3}(?:ed|ing)$/.test(word) && sorted.nouns.length > 0) sorted.unknownVerb = true;
  const before = sorted.nouns[sorted.nouns.length - 1];
  if (
    before &&
    before.at === at - 1 &&
    TOLD_APART.has(before.kind) &&
    /^\p{L}{4,}$/u.test(word) &&
    !BELT_OF.test(word) &&
    !/^(?:deck|drive|stays?|remains?|stack|side|hangs?|only)$/.test(word)
  )
    sorted.compound = before.kind;
  sorted.slip ??= slipOf(word);
}

/** A word of the thing itself: how many, what, of what kind. */
function sortNamed(sorted: SortedWords, word: string, at: number, driven: boolean): void {
  const { np, where, heads, nouns, counts } = sorted;
  const noun = nounOf(word);
  const count = countOf(word);
  if (count !== undefined && !(word === 'a' || word === 'an')) counts.push({ count, at });
  else if (VAGUE.has(word)) sorted.vague = true;
  else if (noun && PLACES.has(word) && nouns.some(({ kind }) => ONLY_PLACED.has(kind))) where.push(word);
  else if (noun) {
    nouns.push({ kind: noun.kind, word: noun.singular, plural: noun.plural, at });
    np.push(word);
  } else if (CONDITIONS.has(word)) {
    if (nouns.length > 0 && !PLAIN_ADJECTIVES.has(word)) sorted.conditionAfter = true;
    np.push(word);
  } else if (PLACES.has(word)) (nouns.length > 0 || driven ? where : np).push(word);
  else if (!ARTICLES.test(word)) {
    if (HEADS.has(word)) heads.push(word);
    else sortStrange(sorted, word, at);
    np.push(word);
  }
}

/**
 * Sorts the words of a clause, from the first to the last.
 *
 * @param driven what its screws are driven by is said, so that a place beside it is one
 * @example sortWords(['two', 'clips', 'rear'], false).where // ['rear']
 */
export function sortWords(tokens: readonly string[], driven: boolean): SortedWords {
  const sorted: SortedWords = {
    np: [],
    where: [],
    heads: [],
    verbs: [],
    nouns: [],
    counts: [],
    vague: false,
    unknownVerb: false,
    conditionAfter: false,
    inPlace: false,
    strange: 0,
    elsewhere: 0,
    compound: undefined,
    slip: undefined,
  };
  const { where, nouns, counts } = sorted;
  tokens.forEach((word, at) => {
    const marked = /^×(\d{1,4})$/.exec(word);
    const verb = verbOf(word);
    if (marked) counts.push({ count: Number(marked[1]), at });
    else if (beginsPlace(word, at, tokens)) {
      sorted.inPlace = true;
      where.push(word);
    }
    // A verb after the place ends it: “screws from the lid out”.
    else if (verb && !(nounOf(word) && !nouns.length) && !(verb === 'off' && where[where.length - 1] === 'out'))
      sortVerb(sorted, word, verb, tokens.slice(at + 1));
    else if (word === 'of') return;
    else if (sorted.inPlace) sortPlaced(sorted, word, tokens[at + 1]);
    else sortNamed(sorted, word, at, driven);
  });
  return sorted;
}
