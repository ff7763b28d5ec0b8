import type { Fate } from '../strip';
import { figuresOf, type Figures } from './figures';
import {
  BELT_OF,
  CONDITIONS,
  FASTENER_KINDS,
  HEADS,
  NUMBER_WORDS,
  PHRASES,
  PLACES,
  PLAIN_ADJECTIVES,
  PREPOSITIONS,
  VAGUE,
  nounOf,
  slipOf,
  verbOf,
  type NounKind,
} from './vocabulary';
import { fateOf } from './fate';
import { headOf } from './head';
import type { Doubt } from './types';

/** What one clause of a line says. */
export interface Clause {
  readonly text: string;
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
  readonly leave: boolean;
  readonly doubts: readonly Doubt[];
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
const LEAVE =
  /\b(?:leave|leaving)\b|\bleft (?:alone|in place|untouched|fitted|attached|plugged|as (?:is|it is)|where|be)\b|\b(?:do not|not to be|never|no need to|need not|needn[’']?t|must not|mustn[’']?t|should not|shouldn[’']?t)\b|\bnot (?:touched|removed|undone|taken|off|out|unplugged|loosened|disturbed|needed)\b|\bun?touched\b|\b(?:stays?|staying|stayed|remains?)\b|\bkept (?:on|in place|fitted|where)\b|\bin place\b|\bstill (?:on|in|fitted|attached|plugged|there)\b|\balone\b/;
const LOOKED = /\b(?:diagram|drawing|sketch|photos?|pictures?|pics?|shot|snapshot)\b/;
const MARKED = /\bmarked\b|\bscribed\b|\bwitness marks?\b|^(?:a |the )?(?:\w+ )?marks? \w/;
const UNABLE =
  /\b(?:can[’']?t|cannot|can not|won[’']?t|will not|would not|wouldn[’']?t|did not|didn[’']?t|does not|refuses?|unable)\b/;
const TO_COME =
  /\b(?:to come|must come|have to|has to|had to|going to|will|later|next|still to|yet|needs? to|should|says|said|expected|supposed|according|claims|hole|wrong|manual)\b|\?/;
const BACK_ON =
  /\b(?:back (?:in|on|together|home)|refitted|replaced|refit|again)\b|\b(?:screwed|clipped|put) (?:in|on|down|back)\b|\bplugged in\b|(?<!\b(?:the|from|at|its|left|pressed|pushed)) (?:in|on|back|fitted)$/;
const ARTICLES =
  /^(?:the|a|an|its|their|this|that|these|those|his|her|our|it|they|them|then|and|also|just|now|is|are|was|were|be|been|of|which|so|to|with|very|more|of_it|gently|carefully|up|down|over|along|apart|together|upwards|downwards|forwards|backwards|here|there|only|not|do|i|we|has|have)$/;

/** A word as it is spoken: what was read as one is several again. */
export const spoken = (word: string): string => word.replaceAll('§', '').replaceAll('_', ' ');
const joined = (words: readonly string[]): string => words.map(spoken).join(' ').trim();

/** “One short”, “2 missing”: so many that were not there on arrival. */
function missingIn(text: string): { readonly missing: number; readonly rest: string } {
  const match = /\b(\w+) (?:(?:is|are|was|were) )?(?:short|missing|absent|gone|lacking|not there)$/.exec(text);
  const missing = match && countOf(match[1] ?? '');
  return missing ? { missing, rest: text.slice(0, match.index).trim() } : { missing: 0, rest: text };
}

/** @example countOf('both') // 2 */
export function countOf(word: string): number | undefined {
  const count = /^\d{1,4}$/.test(word)
    ? Number(word)
    : Object.hasOwn(NUMBER_WORDS, word)
      ? NUMBER_WORDS[word]
      : undefined;
  return count !== undefined && count >= 0 && count <= 1000 ? count : undefined;
}

/** A text as it is read: lower case, phrases as one word. */
export const asRead = (text: string): string =>
  PHRASES.reduce((all, [pattern, word]) => all.replace(pattern, word), text.toLowerCase())
    .replace(/[‘’]/g, '’')
    .replace(/\s+/g, ' ')
    .trim();

/**
 * Reads one clause: what it is about, how many, what was done, where.
 *
 * @example readClause('2 hex8 pinned rear corners').count // 2
 */
export function readClause(typed: string, shortIsMissing = true): Clause {
  const text = asRead(typed);
  const of = (LOOKED.test(text) || MARKED.test(text)) && /^(?:a |the )?(?:\w+ )?(?:\w+) (?:of|on) (.+)$/.exec(text);
  const before = of ? text.slice(0, text.length - (of[1] ?? '').length) : '';
  if (of && !before.split(' ').some((word) => nounOf(word)))
    return {
      ...readClause(of[1] ?? '', shortIsMissing),
      text,
      fate: LOOKED.test(text) ? 'noted' : 'marked',
      doubts: [],
    };
  const { missing, rest: present } = shortIsMissing ? missingIn(text) : { missing: 0, rest: text };
  const figures = figuresOf(present);
  const tokens = figures.rest
    .split(' ')
    .map((word) => word.replace(/^[("'“[]+|[)"'”\].!:?]+$/g, ''))
    .filter(Boolean);
  const np: string[] = [];
  const where: string[] = [];
  const heads: string[] = [];
  const verbs: Array<ReturnType<typeof verbOf> & string> = [];
  const nouns: Array<{
    readonly kind: NounKind;
    readonly word: string;
    readonly plural: boolean;
    readonly at: number;
  }> = [];
  const counts: Array<{ readonly count: number; readonly at: number }> = [];
  const doubts: Doubt[] = [];
  let vague = false;
  let unknownVerb = false;
  let conditionAfter = false;
  let inPlace = false;
  let strange = 0;
  let elsewhere = 0;
  /** A known noun with a word after it that is none: a belt guard is no belt. */
  let compound: NounKind | undefined;
  let slip: string | undefined;
  tokens.forEach((word, at) => {
    const noun = nounOf(word);
    const marked = /^×(\d{1,4})$/.exec(word);
    if (marked) {
      counts.push({ count: Number(marked[1]), at });
      return;
    }
    const count = countOf(word);
    const verb = verbOf(word);
    if (
      PREPOSITIONS.has(word) &&
      at > 0 &&
      !(word === 'of' && at < 3 && (VAGUE.has(tokens[at - 1] ?? '') || tokens[at - 1] === 'pair'))
    ) {
      inPlace = true;
      where.push(word);
      return;
    }
    if (PREPOSITIONS.has(word) && at === 0) {
      inPlace = true;
      where.push(word);
      return;
    }
    // A verb after the place ends it: “screws from the lid out”.
    if (verb && !(noun && !nouns.length) && !(verb === 'off' && where[where.length - 1] === 'out')) {
      verbs.push(verb);
      // “Off the board” says from where.
      if (word !== 'off' || nouns.length === 0) return;
      const rest = tokens.slice(at + 1);
      if (
        rest[0] === 'both' ||
        POSTS.test(rest.join(' ')) ||
        !rest.some((later) => countOf(later) !== undefined || verbOf(later))
      )
        inPlace = true;
      return;
    }
    if (/^(?:of)$/.test(word)) return;
    if (inPlace) {
      const next = tokens[at + 1];
      if (/\w{3}ing$/.test(word) && noun === undefined && nouns.length > 0) unknownVerb = true;
      // “Three tabs below, two above”: more of them, in another place.
      if (
        count !== undefined &&
        count > 1 &&
        counts.length > 0 &&
        (next === undefined || PLACES.has(next) || PREPOSITIONS.has(next) || next === 'above' || next === 'below')
      )
        elsewhere += count;
      if (!(ARTICLES.test(word) && where.length === 0)) where.push(word);
      return;
    }
    if (count !== undefined && !(word === 'a' || word === 'an')) {
      counts.push({ count, at });
      return;
    }
    if (VAGUE.has(word)) {
      vague = true;
      return;
    }
    if (noun && PLACES.has(word) && nouns.some(({ kind: one }) => ONLY_PLACED.has(one))) {
      where.push(word);
      return;
    }
    if (noun) {
      nouns.push({ kind: noun.kind, word: noun.singular, plural: noun.plural, at });
      np.push(word);
      return;
    }
    if (CONDITIONS.has(word)) {
      if (nouns.length > 0 && !PLAIN_ADJECTIVES.has(word)) conditionAfter = true;
      np.push(word);
      return;
    }
    if (PLACES.has(word)) {
      if (nouns.length > 0 || figures.driverType !== '') where.push(word);
      else np.push(word);
      return;
    }
    if (ARTICLES.test(word)) return;
    if (HEADS.has(word)) heads.push(word);
    else {
      strange += 1;
      if (/\w{3}(?:ed|ing)$/.test(word) && nouns.length > 0) unknownVerb = true;
      const before = nouns[nouns.length - 1];
      if (
        before &&
        before.at === at - 1 &&
        TOLD_APART.has(before.kind) &&
        /^\p{L}{4,}$/u.test(word) &&
        !BELT_OF.test(word) &&
        !/^(?:deck|drive|stays?|remains?|stack|side|hangs?|only)$/.test(word)
      )
        compound = before.kind;
      slip ??= slipOf(word);
    }
    np.push(word);
  });

  const head = headOf(nouns, counts, figures.driverType !== '', doubts);
  let kind = head?.kind;
  let noun = head?.word ?? '';
  const driven =
    figures.driverType !== '' || (figures.thread !== '' && (counts.length > 0 || figures.lengthMm !== null));
  if (driven && (kind === undefined || !FASTENER_KINDS.has(kind)) && !/\bdriver\b/.test(text)) {
    kind = 'screws';
    noun = 'screw';
  }
  if (
    (kind === 'wire' || kind === 'cable' || kind === 'part') &&
    /\b(?:unplug|disconnect)/.test(text) &&
    !/\b(?:off|out|away)\b/.test(text)
  )
    kind = 'connector';
  const away = fateOf(verbs, kind, text);
  if (kind === undefined && slip !== undefined && (counts.length > 0 || away.fate === 'off' || tokens.length <= 2)) {
    const meant = nounOf(slip);
    kind = meant?.kind;
    noun = slip;
    doubts.push({ about: 'slip', meant: slip });
  }
  const looked = LOOKED.test(text);
  let guessed = false;
  if (kind === undefined && figures.ways !== '' && (away.fate !== undefined || np.length === 0)) {
    kind = 'connector';
    noun = 'plug';
  }
  if (kind === undefined && away.fate === 'unsoldered') {
    kind = 'wire';
    noun = 'wire';
    if (counts.length === 0) doubts.push({ about: 'count', counts: [1, 2] });
  }
  if (
    kind === undefined &&
    away.fate !== undefined &&
    away.fate !== 'noted' &&
    np.length > 0 &&
    !inPlaceOnly(np) &&
    !looked
  ) {
    // A word that is no noun here, taken off: whatever it is, it is a part.
    kind = 'part';
    noun = np[np.length - 1] ?? '';
    guessed = true;
  }
  if (kind === undefined && figures.turns !== '') {
    const turned = where.map((word) => nounOf(word)).find((one) => one !== undefined);
    kind = turned?.kind;
    noun = turned?.singular ?? '';
  }
  // “A pulley full of goo” is about the goo.
  if (
    kind !== undefined &&
    counts.length === 0 &&
    (away.fate === undefined || away.fate === 'turned') &&
    where.some((word) => nounOf(word)?.kind === 'dirt') &&
    kind !== 'belt' &&
    kind !== 'dirt'
  )
    kind = 'dirt';
  if (kind === undefined && counts.length > 0 && /\bunscrew/.test(text)) {
    kind = 'screws';
    noun = 'screw';
  }
  const leave = LEAVE.test(text);
  let { fate } = away;
  if (kind !== undefined) {
    const taken = verbs.some((verb) => verb === 'off');
    if (leave && !/\bleft out\b/.test(text)) fate = 'leftAlone';
    else if (looked) fate = 'noted';
    else if (MARKED.test(text) && !taken) fate = 'marked';
    else if (UNABLE.test(text)) doubts.push({ about: 'fate', fates: ['leftAlone', 'off', 'noted'] });
    else if (away.doubt && /\bcame\b/.test(text) && taken) fate = 'off';
    else if (TO_COME.test(text)) doubts.push({ about: 'fate', fates: ['off', 'noted'] });
    else if (BACK_ON.test(text) && fate === undefined && !driven)
      doubts.push({ about: 'fate', fates: ['noted', 'off'] });
    else if (/\bleft (?:in|on)\b/.test(text)) doubts.push({ about: 'fate', fates: ['leftAlone', 'off'] });
    else if (away.doubt) doubts.push({ about: 'fate', fates: away.doubt });
    else if ((conditionAfter || unknownVerb) && fate === undefined)
      doubts.push({ about: 'fate', fates: ['noted', 'off'] });
    if (leave && /\b(?:except|but|apart from|other than|all the others?|rest)\b/.test(text))
      doubts.push({ about: 'fate', fates: ['leftAlone', 'off'] });
    if (
      leave &&
      /\b(?:off|out|removed|undone)\b/.test(text) &&
      !/\bnot\b|\bnever\b|\bno need\b|\bn[’']t\b|\bneed/.test(text)
    )
      doubts.push({ about: 'fate', fates: ['leftAlone', 'off'] });
    if (
      /^(?:\w+ ){1,3}left$/.test(text) &&
      !/\b(?:front|rear|back|top|bottom|side|deck|upper|lower) left$/.test(text) &&
      fate === undefined &&
      !driven
    )
      doubts.push({ about: 'fate', fates: ['off', 'leftAlone'] });
    if (/\binside$/.test(text) && fate === undefined) doubts.push({ about: 'fate', fates: ['noted', 'off'] });
    if (/\bmissing\b|\babsent\b/.test(text) && missing === 0 && fate === undefined)
      doubts.push({ about: 'fate', fates: ['noted', 'off'] });
  }
  const own = counts.map(({ count }) => count);
  const several = own.length > 1 && !own.every((one) => one === own[0]);
  let count = own[0];
  if (figures.ofMany) {
    count = figures.ofMany[0];
  } else if (several) {
    doubts.push({ about: 'count', counts: [...new Set([own.reduce((a, b) => a + b, 0), ...own])].slice(0, 3) });
  }
  if (compound !== undefined && compound === kind && !/ing$/.test(np[np.length - 1] ?? ''))
    doubts.push({ about: 'kind', kinds: [compound, 'part'] });
  // “2 screws each side” are two, or four.
  if (/\b(?:each|per|apiece|either)\b/.test(text) && count !== undefined && elsewhere === 0)
    doubts.push({ about: 'count', counts: [2 * count, count] });
  if (elsewhere > 0) doubts.push({ about: 'count', counts: [(count ?? 1) + elsewhere, count ?? 1] });
  const bare =
    kind !== undefined &&
    verbs.length === 0 &&
    counts.length === 0 &&
    where.length === 0 &&
    strange === 0 &&
    !leave &&
    !looked;
  const named = np.filter((word, at) => at === np.findIndex((one) => one === word) || nounOf(word) === undefined);
  const fastener = kind !== undefined && FASTENER_KINDS.has(kind);
  const idle = (word: string): boolean =>
    leave &&
    /^(?:leave|leaving|left|alone|do|not|never|touch|touched|undo|undone|remove|removed|untouched|stays?|remains?|place|kept|please|no|need|move|disturb|pull|loosen|must|should)$/.test(
      word,
    );
  const others = named
    .filter((word) => !idle(word))
    .filter((word) => nounOf(word)?.singular !== noun && word !== noun && !heads.includes(word));
  return {
    text,
    kind,
    noun,
    plural: head?.plural ?? false,
    count,
    vague,
    bare,
    guessed,
    // What stays where it is is told apart by how it looks.
    what: fastener ? (leave ? joined([...heads, noun]) : noun) : joined(named.filter((word) => !idle(word))),
    where: (fastener ? [joined(others), joined(where).replace(/^(?:from|of|for|at) (?:the )?/, '')] : [joined(where)])
      .filter(Boolean)
      .join(' ')
      .trim(),
    fate,
    figures,
    heads: fastener ? heads : [],
    missing,
    leave,
    doubts,
  };
}

const inPlaceOnly = (words: readonly string[]): boolean =>
  words.every((word) => PLACES.has(word) || HEADS.has(word) || CONDITIONS.has(word));
