import type { Figures } from './figures';
import type { Said } from './said';
import type { Doubt } from './types';
import { FASTENERS, SMALL, type NounKind } from './words';

/** What a belt is called by: a belt of the tray is no tray. */
const BELT_OF =
  /^(?:loading|inner|outer|upper|lower|eject|tray|drawer|table|lift|carriage|spindle|loader|turntable|platter|mechanism|transport|disc|disk|front|top|bottom|deck|deck unit|capstan|cam|motor|drive|changer|flywheel)$/;
/** Of what stands after a plug, a gear or a spring these are things of their own; others are what it belongs to. */
const OWN_THING =
  /^(?:cover|plate|board|pcb|bracket|clip|c clip|screw|holder|frame|cap|clamp|guide|strut|mount|block|lever|latch|catch|wheel|post|shaft)$/;

interface Named {
  readonly kind: NounKind | undefined;
  readonly noun: string;
  readonly plural: boolean;
  readonly odd: number;
}
export interface Head extends Named {
  readonly said: Said | undefined;
  /** Screws, whatever they are called: a driver or a thread is said. */
  readonly implied: boolean;
  /** Things named beside it, counted for themselves. */
  readonly beside: readonly Said[];
}

/** Which of the nouns within one name a clause is about. */
function within(said: Said, doubts: Doubt[]): Named {
  const nouns = said.nouns ?? [];
  // “1 top” is more likely one at the top.
  const odd = said.count && !said.plural && /^(?:front|top|bottom|base|side)$/.test(said.noun ?? '') ? 0.8 : 0;
  const whole: Named = { kind: said.kind, noun: said.noun ?? '', plural: said.plural ?? false, odd };
  const [first] = nouns;
  const last = nouns.at(-1);
  if (!first || !last || nouns.length === 1) return whole;
  const as = (one: { readonly kind: NounKind; readonly noun: string; readonly plural: boolean }, odd = 0): Named => ({
    ...one,
    odd,
  });
  if (SMALL.has(first.kind) && !SMALL.has(last.kind) && (last.kind === 'cover' || last.kind === 'part')) {
    const counted = said.count !== undefined || first.plural;
    // “2 tabs front” are tabs; “screw cover” is a cover; “2 screws cover” are screws of one.
    if (counted && (first.plural || FASTENERS.has(first.kind))) return as(first, 0.3);
    if (FASTENERS.has(first.kind)) {
      if (first.kind !== 'screws') doubts.push({ about: 'kind', kinds: [first.kind, last.kind] });
      else if (!/^(?:cover|cap|plate|hole|head)$/.test(last.noun))
        doubts.push({ about: 'kind', kinds: ['screws', last.kind] });
      return whole;
    }
    if (first.kind === 'connector') return OWN_THING.test(last.noun) ? whole : as(first);
    if (/^(?:front|top|bottom|base|side)$/.test(last.noun)) return as(first, 0.5);
    if (first.kind === 'springs' && !OWN_THING.test(last.noun))
      doubts.push({ about: 'kind', kinds: [first.kind, last.kind] });
    return whole;
  }
  if (first.kind === 'belt') {
    if (last.noun === 'clamp') doubts.push({ about: 'kind', kinds: ['belt', 'part'] });
    return last.noun === 'clamp' || nouns.slice(1).every(({ noun }) => BELT_OF.test(noun)) ? as(first) : whole;
  }
  if ((first.kind === 'gear' || first.kind === 'wire') && last.kind === 'part' && !OWN_THING.test(last.noun))
    doubts.push({ about: 'kind', kinds: [first.kind, last.kind] });
  if (first.kind === 'dirt')
    return last.kind === 'cover' || last.kind === 'part' || last.kind === 'springs' ? whole : as(first);
  return whole;
}

/** Nothing that can be named. */
const NONE: Head = { kind: undefined, noun: '', plural: false, odd: 0, said: undefined, implied: false, beside: [] };

/**
 * What a clause is about.
 *
 * @param doubts what is in doubt about it is put there
 */
export function headOf(bits: readonly Said[], figures: Figures, doubts: Doubt[]): Head {
  const things = bits.filter(({ is }) => is === 'thing');
  const counted = bits.some(({ is, count }) => is === 'count' || count);
  const named = things
    .map((said) => ({ said, own: [] as Doubt[], of: NONE as Named }))
    .map((one) => ({ ...one, of: within(one.said, one.own) }));
  const fastener = named.find(({ of }) => of.kind !== undefined && FASTENERS.has(of.kind));
  const driven = figures.driverType !== '' || (figures.thread !== '' && (counted || figures.lengthMm !== null));
  if (driven && !fastener) return { ...NONE, kind: 'screws', noun: 'screw', implied: true };
  const choose = (one: (typeof named)[number]): Head => {
    doubts.push(...one.own);
    const beside = things.filter(
      (thing) => thing !== one.said && thing.count !== undefined && one.said.count !== undefined,
    );
    return { ...one.of, said: one.said, implied: false, beside };
  };
  const [first] = named;
  if (!first) {
    // “Half a turn on the cam”, “took off the top”: it is named in its place.
    const turns = bits.some(({ is }) => is === 'turns');
    const done = bits.some(({ is }) => is === 'done');
    const placed = bits.find(
      ({ is, within: thing, away }) => is === 'where' && thing && (turns || (done && away && !counted)),
    )?.within;
    const soldered = bits.some(({ done: one }) => one === 'unsoldered');
    if (!placed && soldered) {
      if (!counted) doubts.push({ about: 'count', counts: [1, 2] });
      return { ...NONE, kind: 'wire', noun: 'wire' };
    }
    return placed ? { ...within(placed, doubts), said: placed, implied: false, beside: [] } : NONE;
  }
  if (fastener && named.length > 1) {
    const before = named.slice(0, named.indexOf(fastener)).find(({ of }) => of.kind === 'cover' || of.kind === 'part');
    if (before && fastener.said.count && !before.said.count)
      doubts.push({ about: 'both', thing: before.of.kind ?? 'part' });
    return choose(fastener);
  }
  return choose(first);
}
