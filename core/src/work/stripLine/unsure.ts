import { denies, ofOthers, oneSlipApart } from '../spoken';
import type { Fate } from '../strip';
import { countOf } from './sortWords';
import { figuresOf } from './figures';
import { nounOf, NUMBER_WORDS, slipOf, verbOf, CONDITIONS, HEADS, PLACES, PREPOSITIONS, VAGUE } from './vocabulary';
import type { Deed, Way } from './types';

/* What a reading may have passed over: a denial, a correction, somebody else's deed, a number, a slip of the finger. */

const DID: ReadonlySet<Fate> = new Set([
  'off',
  'cut',
  'unsoldered',
  'unhooked',
  'pulled',
  'loosened',
  'movedAside',
  'turned',
  'foldedBack',
]);

/** Whether a way says that a hand of this bench did something. */
const acts = ({ does }: Way): boolean =>
  does.some((deed) => deed.type === 'moment' || (deed.type === 'step' && DID.has(deed.step.fate)));

/** The same with what was done told otherwise. */
export const withFate = (does: readonly Deed[], fate: Fate): readonly Deed[] =>
  does.map((deed) => (deed.type === 'step' ? { ...deed, step: { ...deed.step, fate } } : deed));

/** Why a sure reading is asked about after all; undefined where every word of it was counted. */
export type Unsure = 'denied' | 'others' | 'number';

/** The numbers that a line says of things, its lengths, drivers and names aside. */
function numbersIn(line: string): readonly number[] {
  const { rest } = figuresOf(line.toLowerCase());
  return rest
    .split(/[\s,;.()]+/)
    .map((word) => word.replace(/^×/, ''))
    .filter((word) => /^\d+$/.test(word) || (Object.hasOwn(NUMBER_WORDS, word) && word.length > 2 && word !== 'single'))
    .flatMap((word) => countOf(word) ?? []);
}

/** Why a way is not taken without a question. @param line as it was read */
export function unsureOf(line: string, way: Way): Unsure | undefined {
  if (!acts(way)) return undefined;
  if (denies(line)) return 'denied';
  if (ofOthers(line) && !way.does.some((deed) => deed.type === 'step' && deed.step.missing > 0)) return 'others';
  const counts = way.does.flatMap((deed) => (deed.type === 'step' ? [deed.step.count, deed.step.missing] : []));
  const sum = (list: readonly number[]): number => list.reduce((all, one) => all + one, 0);
  const said = numbersIn(line);
  if (said.length < 2) return undefined;
  // Every number is a count, or they are one count told in parts.
  const all =
    said.every((number) => counts.includes(number)) || counts.includes(sum(said)) || counts.includes(Math.max(...said));
  return all ? undefined : 'number';
}

/** Words that a slip may have meant beside the nouns: those by which power and belts are told. */
const SLIP_WORDS = ['mains', 'battery', 'unplugged', 'loosened', 'unsoldered', 'removed', 'unhooked', 'pulled'];
/** Words of every day that are a letter away from one of the bench's. */
const EVERYDAY: ReadonlySet<string> = new Set([
  'main',
  'there',
  'these',
  'then',
  'pulley',
  'even',
  'form',
  'note',
  'often',
]);
const known = (word: string): boolean =>
  EVERYDAY.has(word) ||
  nounOf(word) !== undefined ||
  verbOf(word) !== undefined ||
  countOf(word) !== undefined ||
  CONDITIONS.has(word) ||
  HEADS.has(word) ||
  PLACES.has(word) ||
  PREPOSITIONS.has(word) ||
  VAGUE.has(word) ||
  SLIP_WORDS.includes(word);

/**
 * A line with the one word that seems a slip put right; undefined where none is, or where it may be two things. Number
 * words, sizes and drivers are never put right: “fuor” may be any number.
 *
 * @example slipRight('mians lead out') // 'mains lead out'
 */
export function slipRight(line: string): string | undefined {
  const words = line.split(/(\s+|[,;.:()]+)/);
  const before = (at: number): string => (words[at - 2] ?? '').toLowerCase();
  const odd = words.flatMap((word, at) => {
    const lower = word.toLowerCase();
    if (lower.length < 4 || !/^\p{L}+$/u.test(lower) || known(lower)) return [];
    const verb = SLIP_WORDS.filter((one) => oneSlipApart(lower, one));
    // A noun is what a number counts; elsewhere an unknown word may be a name.
    const counted = /^\d{1,3}x?$/.test(before(at)) || (countOf(before(at)) ?? 1) > 1;
    const noun = counted ? slipOf(lower) : undefined;
    const plural = /s$/.test(lower) && noun !== undefined ? `${noun}s` : noun;
    const meant = [...verb, ...(plural === undefined ? [] : [plural])];
    return meant.length === 1 ? [{ at, word: meant[0] as string }] : [];
  });
  const [one, other] = odd;
  return one && !other ? words.map((word, at) => (at === one.at ? one.word : word)).join('') : undefined;
}

/** Whether a word that is nearly a number stands in a line: what was meant is not known. @example nearlyNumber('fuor screws') // true */
export const nearlyNumber = (line: string): boolean =>
  line
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .some(
      (word) =>
        word.length >= 3 &&
        !known(word) &&
        Object.keys(NUMBER_WORDS).some(
          (number) => number.length >= 3 && number !== 'both' && number !== 'pair' && transposed(word, number),
        ),
    );
const transposed = (word: string, number: string): boolean =>
  word.length === number.length &&
  word !== number &&
  [...word].sort().join('') === [...number].sort().join('') &&
  oneSlipApart(word, number);
