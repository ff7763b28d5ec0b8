import { correctedIn } from '../spoken';
import { distinct, keptWay, LINE_MAX, wayOf, WAYS_MAX } from './deeds';
import { saidPlainly } from './plainly';
import { readPlain } from './readPlain';
import type { Deed, ReadLine, Way } from './types';
import { nounOf } from './vocabulary';
import { nearlyNumber, slipRight, unsureOf, withFate, type Unsure } from './unsure';

const ASKS: Readonly<Record<Unsure, string>> = {
  denied: 'Was it done?',
  others: 'Done here, or found so?',
  number: 'How many of what?',
};

/** A step keeps the line as it was typed, however it was read. */
function keptAs(typed: string, read: string, { echo, does }: Way): Way {
  if (typed === read) return { echo, does };
  return {
    echo,
    does: does.map((deed): Deed =>
      deed.type === 'step'
        ? { ...deed, step: { ...deed.step, line: typed, what: deed.step.what === read ? typed : deed.step.what } }
        : deed.type === 'found' && deed.what === read
          ? { ...deed, what: typed }
          : deed,
    ),
  };
}
const askedOf = (asks: string, ways: readonly Way[], typed: string): ReadLine => {
  const kept = keptWay(typed);
  // As typed stands last, whatever else there is to choose from.
  const others = distinct(ways.filter(({ echo }) => echo !== kept.echo)).slice(0, WAYS_MAX - 1);
  return { ways: [...others, kept], asks, unread: false };
};

const nounIn = (clause: string): string | undefined =>
  clause
    .toLowerCase()
    .split(/[^\p{L}_]+/u)
    .flatMap((word) => nounOf(word)?.kind ?? [])
    .at(-1);

/**
 * A line with what was corrected put right: a number alone puts right the count before it, words the clause about the same
 * thing, else the last.
 */
function corrected({ before, after }: { readonly before: string; readonly after: string }): string {
  if (/^(?:only )?\d{1,3}$/.test(after)) {
    const number = after.replace(/\D/g, '');
    return /\d/.test(before) ? before.replace(/\d{1,3}(?!.*\d)/, number) : `${number} ${before}`;
  }
  const clauses = before.split(/[,;] ?/);
  const thing = nounIn(after);
  const same = thing === undefined ? -1 : clauses.findLastIndex((clause) => nounIn(clause) === thing);
  return clauses.map((clause, at) => (at === (same < 0 ? clauses.length - 1 : same) ? after : clause)).join(', ');
}

/**
 * Reads one typed line: verb, how many, what, qualifiers, place, in whatever order. Certain: one way. In doubt: two or
 * three, to be answered by one key. Not read at all: kept as typed, as a step of its own. A denial, a correction, somebody
 * else's deed, a number that no count is, a slip of the finger: what may be passed over in silence is asked about.
 *
 * @param typed at most `LINE_MAX` letters; what is longer is not read, so that nothing of it is lost
 * @returns undefined for an empty line
 * @example readLine('lens cover, 2 screws').ways[0].does.length // 2
 */
export function readLine(typed: string): ReadLine | undefined {
  const line = typed
    .replace(/[\u200e\u200f\u202a-\u202e\u2066-\u2069]/g, '')
    .replace(/\s+/g, ' ')
    .trim();
  // What is too long is refused before anything of it is read.
  if (line.length > LINE_MAX) return readPlain(line);
  const plain = saidPlainly(line);
  const read = readPlain(plain === '' ? line : plain);
  if (!read || read.ways.length === 0) return read;
  const own = read.ways.map((way) => keptAs(line, plain, way));
  const waysOf = (other: string): readonly Way[] =>
    (readPlain(saidPlainly(other))?.ways ?? []).map((way) => keptAs(line, saidPlainly(other), way));

  const taken = correctedIn(line);
  if (taken) {
    const both = waysOf(`${taken.before}, ${taken.after}`);
    return askedOf('Which is it?', [...waysOf(corrected(taken)).slice(0, 1), ...both], line);
  }
  if (nearlyNumber(line)) return { ways: [keptWay(line)], asks: '', unread: true };
  const slip = slipRight(line);
  if (slip !== undefined) return askedOf('Is this it?', [...waysOf(slip).slice(0, 2), ...own], line);
  const [way, other] = own;
  if (!way || other || read.unread) return { ...read, ways: own };
  const unsure = unsureOf(plain, way);
  if (unsure === undefined) return { ...read, ways: own };
  const as = (fate: 'leftAlone' | 'noted'): Way => wayOf(withFate(way.does, fate));
  return askedOf(
    ASKS[unsure],
    unsure === 'denied' ? [as('leftAlone'), way] : unsure === 'others' ? [as('noted'), way] : [way],
    line,
  );
}
