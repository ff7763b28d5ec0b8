import { oneSlipApart } from './slip';
import type { Edge } from './chart';
import type { Token } from './tokens';

/** What a word can be: its sense in the grammar, what it says, and what it costs to take it so. */
export interface Sense<Value> {
  readonly sense: string;
  readonly value: Value;
  readonly cost: number;
}

/** Words and words that belong together, by their first. */
export interface Lexicon<Value> {
  readonly entries: ReadonlyMap<
    string,
    ReadonlyArray<readonly [words: readonly string[], senses: readonly Sense<Value>[]]>
  >;
  /** Words that a slip of the finger may have meant. */
  readonly slips: readonly string[];
}

/**
 * A lexicon of entries: words as they are written (several with a space between), and one sense of them. A word may stand in
 * several entries.
 *
 * @param mayBeSlips words of at least four letters that a slip may have meant
 */
export function lexiconOf<Value>(
  list: Iterable<readonly [words: string, sense: Sense<Value>]>,
  mayBeSlips: Iterable<string>,
): Lexicon<Value> {
  const byWords = new Map<string, Sense<Value>[]>();
  for (const [words, sense] of list) byWords.set(words, [...(byWords.get(words) ?? []), sense]);
  const entries = new Map<string, Array<readonly [readonly string[], readonly Sense<Value>[]]>>();
  for (const [words, senses] of byWords) {
    const each = words.split(' ');
    const first = each[0] ?? '';
    entries.set(first, [...(entries.get(first) ?? []), [each, senses]]);
  }
  return { entries, slips: [...new Set(mayBeSlips)].filter((word) => word.length >= 3) };
}

/** The senses of the words at a place, with how many tokens each takes. */
export function sensesAt<Value>(
  tokens: readonly Token[],
  at: number,
  { entries }: Lexicon<Value>,
): ReadonlyArray<readonly [length: number, sense: Sense<Value>]> {
  return (entries.get(tokens[at]?.word ?? '') ?? []).flatMap(([words, senses]) =>
    words.every((word, i) => tokens[at + i]?.word === word)
      ? senses.map((sense) => [words.length, sense] as const)
      : [],
  );
}

/** Words of which a word may be a slip: one that is in the lexicon, near enough, and no other. For instance “scews” may be “screws”. */
export function slipsOf<Value>(word: string, { entries, slips }: Lexicon<Value>): readonly string[] {
  if (word.length < 4 || entries.has(word) || !/^\p{L}+$/u.test(word)) return [];
  return slips.filter((known) =>
    known[0] === word[0] || known[1] === word[0] || known[1] === word[1] ? oneSlipApart(word, known) : false,
  );
}

/** An edge of the chart for a sense. */
export const edgeOf = <Value>(from: number, length: number, { sense, value, cost }: Sense<Value>): Edge<Value> => ({
  from,
  to: from + length,
  sense,
  value,
  cost,
});
