import { fateOf } from './fate';
import type { Figures } from './figures';
import { headOf } from './head';
import type { SortedWords } from './sortWords';
import type { Doubt } from './types';
import { CONDITIONS, FASTENER_KINDS, HEADS, PLACES, nounOf, type NounKind } from './vocabulary';

/** What a clause is about, and what its verbs say was done to it. */
export interface Subject {
  readonly kind: NounKind | undefined;
  readonly noun: string;
  readonly plural: boolean;
  /** Its noun is no word that is known here: a part by being taken off. */
  readonly guessed: boolean;
  /** A driver or a thread is said: they are screws, whatever they are called. */
  readonly driven: boolean;
  readonly away: ReturnType<typeof fateOf>;
}

const inPlaceOnly = (words: readonly string[]): boolean =>
  words.every((word) => PLACES.has(word) || HEADS.has(word) || CONDITIONS.has(word));

/** By its nouns, or by what drives it. */
function kindSaid(sorted: SortedWords, figures: Figures, text: string, doubts: Doubt[]) {
  const { nouns, counts } = sorted;
  const head = headOf(nouns, counts, figures.driverType !== '', doubts);
  const plural = head?.plural ?? false;
  const driven =
    figures.driverType !== '' || (figures.thread !== '' && (counts.length > 0 || figures.lengthMm !== null));
  if (driven && (!head || !FASTENER_KINDS.has(head.kind)) && !/\bdriver\b/.test(text))
    return { kind: 'screws' as const, noun: 'screw', plural, driven };
  const plugged =
    (head?.kind === 'wire' || head?.kind === 'cable' || head?.kind === 'part') &&
    /\b(?:unplug|disconnect)/.test(text) &&
    !/\b(?:off|out|away)\b/.test(text);
  return { kind: plugged ? ('connector' as const) : head?.kind, noun: head?.word ?? '', plural, driven };
}

/** Of a clause without a noun that is known: by a slip of the pen, by how many ways, by what was done, by what turned. */
function kindGuessed(
  sorted: SortedWords,
  figures: Figures,
  text: string,
  words: number,
  { fate }: Subject['away'],
  looked: boolean,
  doubts: Doubt[],
): { readonly kind: NounKind | undefined; readonly noun: string; readonly guessed?: true } {
  const { np, where, counts, slip } = sorted;
  if (slip !== undefined && (counts.length > 0 || fate === 'off' || words <= 2)) {
    doubts.push({ about: 'slip', meant: slip });
    const kind = nounOf(slip)?.kind;
    if (kind !== undefined) return { kind, noun: slip };
  }
  if (figures.ways !== '' && (fate !== undefined || np.length === 0)) return { kind: 'connector', noun: 'plug' };
  if (fate === 'unsoldered') {
    if (counts.length === 0) doubts.push({ about: 'count', counts: [1, 2] });
    return { kind: 'wire', noun: 'wire' };
  }
  // A word that is no noun here, taken off: whatever it is, it is a part.
  if (fate !== undefined && fate !== 'noted' && np.length > 0 && !inPlaceOnly(np) && !looked)
    return { kind: 'part', noun: np[np.length - 1] ?? '', guessed: true };
  if (figures.turns !== '') {
    const turned = where.map((word) => nounOf(word)).find((one) => one !== undefined);
    if (turned) return { kind: turned.kind, noun: turned.singular };
  }
  if (counts.length > 0 && /\bunscrew/.test(text)) return { kind: 'screws', noun: 'screw' };
  return { kind: undefined, noun: '' };
}

/**
 * What a clause is about.
 *
 * @param words how many there are
 * @param looked it tells of a picture or a sketch
 * @param doubts what is in doubt about it is put there
 * For instance subjectOf(sorted '2 clips rear', figures, …).kind: 'clips'
 */
export function subjectOf(
  sorted: SortedWords,
  figures: Figures,
  text: string,
  words: number,
  looked: boolean,
  doubts: Doubt[],
): Subject {
  const { plural, driven, ...said } = kindSaid(sorted, figures, text, doubts);
  const away = fateOf(sorted.verbs, said.kind, text);
  const { kind, noun, guessed } =
    said.kind === undefined
      ? kindGuessed(sorted, figures, text, words, away, looked, doubts)
      : { ...said, guessed: undefined };
  // “A pulley full of goo” is about the goo.
  const full =
    kind !== undefined &&
    sorted.counts.length === 0 &&
    (away.fate === undefined || away.fate === 'turned') &&
    kind !== 'belt' &&
    sorted.where.some((word) => nounOf(word)?.kind === 'dirt');
  return { kind: full ? 'dirt' : kind, noun, plural, guessed: guessed ?? false, driven, away };
}
