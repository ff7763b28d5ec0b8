import type { Fate } from '../strip';
import { figuresOf, type Figures } from './figures';
import { clauseFate, LEAVE, LOOKED, MARKED } from './clauseFate';
import { countOf, sortWords, type SortedWords } from './sortWords';
import { subjectOf, type Subject } from './subject';
import { FASTENER_KINDS, PHRASES, nounOf, type NounKind } from './vocabulary';
import type { Doubt } from './types';

export { countOf };

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

/** A word as it is spoken: what was read as one is several again. */
export const spoken = (word: string): string => word.replaceAll('§', '').replaceAll('_', ' ');
const joined = (words: readonly string[]): string => words.map(spoken).join(' ').trim();

/** “One short”, “2 missing”: so many that were not there on arrival. */
function missingIn(text: string): { readonly missing: number; readonly rest: string } {
  const match = /\b(\w+) (?:(?:is|are|was|were) )?(?:short|missing|absent|gone|lacking|not there)$/.exec(text);
  const missing = match && countOf(match[1] ?? '');
  return missing ? { missing, rest: text.slice(0, match.index).trim() } : { missing: 0, rest: text };
}

/** A text as it is read: lower case, phrases as one word. */
export const asRead = (text: string): string =>
  PHRASES.reduce((all, [pattern, word]) => all.replace(pattern, word), text.toLowerCase())
    .replace(/[‘’]/g, '’')
    .replace(/\s+/g, ' ')
    .trim();

/** How many there are; what the words leave open is asked. */
function countIn(
  text: string,
  { counts, elsewhere }: SortedWords,
  { ofMany }: Figures,
  doubts: Doubt[],
): number | undefined {
  const own = counts.map(({ count }) => count);
  const several = own.length > 1 && !own.every((one) => one === own[0]);
  const count = ofMany ? ofMany[0] : own[0];
  if (!ofMany && several)
    doubts.push({ about: 'count', counts: [...new Set([own.reduce((a, b) => a + b, 0), ...own])].slice(0, 3) });
  // “2 screws each side” are two, or four.
  if (/\b(?:each|per|apiece|either)\b/.test(text) && count !== undefined && elsewhere === 0)
    doubts.push({ about: 'count', counts: [2 * count, count] });
  if (elsewhere > 0) doubts.push({ about: 'count', counts: [(count ?? 1) + elsewhere, count ?? 1] });
  return count;
}

/** Words by which a thing is left as it is, and which name nothing. */
const IDLE =
  /^(?:leave|leaving|left|alone|do|not|never|touch|touched|undo|undone|remove|removed|untouched|stays?|remains?|place|kept|please|no|need|move|disturb|pull|loosen|must|should)$/;

/** What it is called, and where it is. */
function calledAndWhere(
  { np, where, heads }: SortedWords,
  { kind, noun }: Pick<Subject, 'kind' | 'noun'>,
  leave: boolean,
): { readonly what: string; readonly where: string } {
  const named = np
    .filter((word, at) => at === np.findIndex((one) => one === word) || nounOf(word) === undefined)
    .filter((word) => !(leave && IDLE.test(word)));
  if (kind === undefined || !FASTENER_KINDS.has(kind)) return { what: joined(named), where: joined(where) };
  const others = named.filter((word) => nounOf(word)?.singular !== noun && word !== noun && !heads.includes(word));
  return {
    // What stays where it is is told apart by how it looks.
    what: leave ? joined([...heads, noun]) : noun,
    where: [joined(others), joined(where).replace(/^(?:from|of|for|at) (?:the )?/, '')]
      .filter(Boolean)
      .join(' ')
      .trim(),
  };
}

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
  const doubts: Doubt[] = [];
  const sorted = sortWords(tokens, figures.driverType !== '');
  const looked = LOOKED.test(text);
  const leave = LEAVE.test(text);
  const subject = subjectOf(sorted, figures, text, tokens.length, looked, doubts);
  const { kind, noun, plural, guessed } = subject;
  const fate =
    kind === undefined ? subject.away.fate : clauseFate(text, sorted, subject, { leave, looked, missing }, doubts);
  const count = countIn(text, sorted, figures, doubts);
  const { np, compound, verbs, counts, where, strange, vague, heads } = sorted;
  if (compound !== undefined && compound === kind && !/ing$/.test(np[np.length - 1] ?? ''))
    doubts.push({ about: 'kind', kinds: [compound, 'part'] });
  const told = verbs.length + counts.length + where.length + strange > 0;
  return {
    text,
    kind,
    noun,
    plural,
    count,
    vague,
    bare: kind !== undefined && !told && !leave && !looked,
    guessed,
    ...calledAndWhere(sorted, subject, leave),
    fate,
    figures,
    heads: kind !== undefined && FASTENER_KINDS.has(kind) ? heads : [],
    missing,
    leave,
    doubts,
  };
}
