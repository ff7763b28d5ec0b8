import { accountOf, readLine, type Deed } from '../../work/stripLine';
import { accountOfTreatment, readTreatment, type ReadAgainst, type TreatmentDeed } from '../../work/treatmentLine';
import { findingsTold } from '../../record/findings';
import { inClauses } from './inClauses';
import { onWayOf } from './onWay';
import { putBackOf, putBackTold } from './putBack';
import { isTreatment, whose } from './whose';
import type { Said, SaidAt, SaidWay } from './types';

const ofStrip = ({ echo, does }: { readonly echo: string; readonly does: readonly Deed[] }): SaidWay => ({
  echo,
  strip: does,
  clean: [],
});
const ofClean = ({ echo, does }: { readonly echo: string; readonly does: readonly TreatmentDeed[] }): SaidWay => ({
  echo,
  strip: [],
  clean: does,
});
/** What an echo of Clean says of words that came to nothing. */
const KEPT = / kept as typed\.$/;
/** Most keys of a question. */
const KEYS = 6;

/**
 * Reads a typed line, at whatever station it was typed: what was cleaned or oiled is said at Strip as well as at Clean, and
 * what came off at Clean as well as at Strip. It is read once, by both grammars, and happens where it belongs.
 *
 * @returns undefined for an empty line
 * @example readSaid('4 ph1 underside', 'clean', { map: [], chosenId: null }).ways[0].strip.length // 1
 */
export function readSaid(typed: string, at: SaidAt, against: ReadAgainst): Said | undefined {
  const strip = readLine(typed);
  const clean = readTreatment(typed, against);
  if (!strip || !clean) return undefined;
  // What is too long for both is refused before anything of it is looked at.
  if (strip.ways.length === 0 && clean.ways.length === 0) return { ...strip, ways: [], words: [] };
  const words = accountOf(typed);
  const byStrip: Said = { ...strip, ways: strip.ways.map(ofStrip), words };
  const byClean: Said = { ...clean, ways: clean.ways.map(ofClean), words: accountOfTreatment(typed, against.map) };
  const onWay = onWayOf(typed);
  if (onWay) return { ...onWay, words };
  const is = whose(typed, strip, clean);
  const partly = clean.unread || clean.ways.some(({ echo }) => KEPT.test(echo));
  // Clause by clause, where each is surely one or the other; what Clean reads whole at Clean is Clean's.
  const both = (is === 'both' || is === 'clean') && (at === 'strip' || partly);
  const apart = both || putBackTold(typed) ? inClauses(typed, against) : undefined;
  if (apart) return { ways: [apart], asks: '', unread: false, words };
  const putBack = putBackOf(typed, strip);
  if (putBack && (clean.unread || is !== 'clean')) return { ...putBack, words };
  if (at === 'clean') return is === 'strip' && clean.unread ? byStrip : byClean;
  if (is === 'clean')
    return partly && clean.ways.length === 1 ? inDoubt(byClean, byStrip, 'Is that all of it?') : byClean;
  // Which of two pulleys is oily is asked, wherever it was said.
  const whichPlace = clean.ways.length > 1 && clean.ways.some(({ does }) => does.some(({ type }) => type === 'seen'));
  if (is === 'neither' && whichPlace && findingsTold(typed).length === 0) return byClean;
  const treated = clean.ways.filter(({ does }) => does.some(({ type }) => type === 'treat'));
  const [first] = treated;
  const [step] = strip.ways;
  if (is !== 'both' || !first || !step) return byStrip;
  const together = { echo: `${first.echo} ${step.echo}`, strip: step.does, clean: first.does.filter(isTreatment) };
  const ways = [...treated.slice(0, 2).map(ofClean), together];
  return inDoubt({ ...byStrip, ways }, byStrip, 'Cleaned, taken off, or both?');
}

/** What one grammar makes of a line, and what the other does: one key says which is meant. */
const inDoubt = (one: Said, other: Said, asks: string): Said => ({
  ways: [...one.ways, ...other.ways].slice(0, KEYS),
  asks,
  unread: false,
  words: one.words,
});
