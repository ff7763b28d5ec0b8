import type { Doubt } from './types';
import { BELT_OF, FASTENER_KINDS, type NounKind } from './vocabulary';

/** Things that are named first, and after which comes what they belong to. */
const NAMED_FIRST: ReadonlySet<NounKind> = new Set(['connector']);
const NOT_NAMED_FIRST =
  /^(?:cover|plate|board|pcb|bracket|clip|c_clip|screw|holder|frame|cap|clamp|guide|strut|mount|block|lever|latch|catch)$/;

/** Which of the nouns of a clause it is about. */
export function headOf(
  nouns: ReadonlyArray<{
    readonly kind: NounKind;
    readonly word: string;
    readonly plural: boolean;
    readonly at: number;
  }>,
  counts: ReadonlyArray<{ readonly count: number; readonly at: number }>,
  driven: boolean,
  doubts: Doubt[],
): (typeof nouns)[number] | undefined {
  const [first] = nouns;
  const last = nouns[nouns.length - 1];
  if (!first || !last || nouns.length === 1) return first;
  const fastener = nouns.find(({ kind }) => FASTENER_KINDS.has(kind));
  if (fastener) {
    const later = nouns.filter(({ at }) => at > fastener.at);
    const covers = later.find(({ kind }) => kind === 'cover' || kind === 'part');
    const counted = counts.length > 0 || fastener.plural || driven;
    // “screw cover” is a cover; “2 screws cover” are screws of one.
    if (later.length > 0 && !counted && covers) {
      if (fastener.kind === 'clips' || fastener.kind === 'nuts')
        doubts.push({ about: 'kind', kinds: [fastener.kind, covers.kind] });
      else if (!/^(?:cover|cap|plate)$/.test(covers.word))
        doubts.push({ about: 'kind', kinds: ['screws', covers.kind] });
      return covers;
    }
    // “lid 4 screws”: the screws of the lid, or the lid and four screws.
    const before = nouns.find(({ at, kind }) => at < fastener.at && (kind === 'cover' || kind === 'part'));
    if (before && counts.some(({ at }) => at > before.at && at < fastener.at))
      doubts.push({ about: 'both', thing: before.kind });
    return fastener;
  }
  if (first.kind === 'belt' && first.word === 'belt') {
    if (last.word === 'clamp') doubts.push({ about: 'kind', kinds: ['belt', 'part'] });
    if (last.word === 'clamp' || nouns.slice(1).every(({ word }) => BELT_OF.test(word))) return first;
    return last;
  }
  if (NAMED_FIRST.has(first.kind) && !NOT_NAMED_FIRST.test(last.word) && last.kind !== 'connector') return first;
  if ((first.kind === 'gear' || first.kind === 'springs' || first.kind === 'wire') && last.kind === 'part') {
    if (!NOT_NAMED_FIRST.test(last.word)) doubts.push({ about: 'kind', kinds: [first.kind, last.kind] });
  }
  if (first.kind === 'dirt')
    return last.kind === 'cover' || last.kind === 'part' || last.kind === 'springs' ? last : first;
  return last;
}
