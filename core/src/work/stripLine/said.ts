import type { Done, NounKind } from './words';

/** What a word or several of a line say, as the grammar puts them together. */
export interface Said {
  /** What it is in the grammar: a noun, a count, a place, what was done. */
  readonly is: SaidAs;
  /** Its tokens. */
  readonly from: number;
  readonly to: number;
  /** Nothing stands between it and the word before. */
  readonly glued?: boolean;
  readonly number?: number;
  /** A figure as it was written. */
  readonly figure?: string;
  readonly kind?: NounKind;
  readonly noun?: string;
  readonly plural?: boolean;
  /** No noun that is known: a part, if it was taken off. */
  readonly guessed?: boolean;
  /** So many words in it that are not known. */
  readonly strange?: number;
  readonly done?: Done;
  readonly away?: boolean;
  /** A condition that is no fault; a number that a name has; an ordinal. */
  readonly plain?: boolean;
  /** What describes a noun stands here, from its first word to the noun. */
  readonly looks?: readonly Said[];
  readonly count?: Said;
  /** Nouns within it, its head last. */
  readonly nouns?: ReadonlyArray<{ readonly kind: NounKind; readonly noun: string; readonly plural: boolean }>;
  /** It was typed with a slip of the finger. */
  readonly slip?: boolean;
  /** Of a verb: the word itself. */
  readonly verb?: string;
  /** Other than one certain number: so many of so many, three or four. */
  readonly counts?: readonly number[];
  readonly ofMany?: readonly [number, number];
  readonly lengthMm?: number;
  /** Of a line: what was said before its last bit, that bit, and what tells it from other readings. */
  readonly before?: Said;
  readonly last?: Said;
  readonly key?: string;
  /** Several bits one after the other. */
  readonly bits?: readonly Said[];
  /** None of it: no screws, no belt. */
  readonly none?: boolean;
  /** What stands in a place. */
  readonly within?: Said;
}

export type SaidAs =
  | 'thing'
  | 'count'
  | 'vague'
  | 'missing'
  | 'where'
  | 'done'
  | 'toward'
  | 'driver'
  | 'thread'
  | 'length'
  | 'turns'
  | 'direction'
  | 'viewedFrom'
  | 'parkedAt'
  | 'ways'
  | 'figure'
  | 'how'
  | 'look'
  | 'idle'
  | 'pronoun'
  | 'mind'
  | 'leave'
  | 'deny'
  | 'toCome'
  | 'others'
  | 'each'
  | 'strange'
  | 'separator'
  | 'word'
  | 'line';
