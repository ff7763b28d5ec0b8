import { correctedIn, readings, tokensOf, wordsTaken, type Accounted } from '../../base/spoken';
import { formatLength } from '../../base/units';
import { takeAmount, type KnownOfReading, type Taken } from '../measuring';
import type { Bit } from './bits';
import { meant, putRight, type Meant, type Said } from './meant';
import { GRAMMAR } from './rules';
import { sensesOf } from './senses';

/** Taken as of a field; a reading also tells whether the line itself names the section. */
export type TakenOfLine = Taken & { readonly sectionSaid?: boolean };

/** One of several ways to take a line: in words, and what it is then. */
export interface Way {
  readonly echo: string;
  readonly taken: TakenOfLine;
}

/** What was made of a line: as of a field, or a question that one key answers. */
export type TakenLine =
  TakenOfLine | { readonly state: 'question'; readonly problem: string; readonly ways: readonly Way[] };

/** Longer than any reading that is said: refused at once, and nothing of it is lost. */
const MOST_LETTERS = 300;
/** Readings whose costs lie nearer are both asked about. */
const NEAR = 0.35;
/** By how much wider a figure that is said as about so much is taken: common practice, no source. */
const ROUGH_TIMES = 4;

/** The likely readings of a line in bits, the likeliest first. */
function parse(text: string): ReadonlyArray<{ readonly bits: readonly Bit[]; readonly cost: number }> {
  const tokens = tokensOf(text);
  return readings(tokens.length, sensesOf(tokens), GRAMMAR).map(({ value, cost }) => ({
    bits: value.bits ?? [],
    cost,
  }));
}

const told = ({ ways, asks, problem }: Meant): string =>
  JSON.stringify([ways.map(({ method, amount, aux }) => [method.id, amount, aux]), asks === '', problem]);

/** What a line may mean, the likeliest first; those that are hardly less likely stand beside it. */
function meanings(text: string, chosen: string, sectionMm: number | undefined, unit: 'mm' | 'in'): readonly Meant[] {
  const taken = correctedIn(text);
  const all = taken
    ? parse(taken.before).flatMap((first) =>
        parse(taken.after).map((then) => ({ bits: putRight(first.bits, then.bits), cost: first.cost + then.cost })),
      )
    : parse(text);
  const sorted = [...all].sort((a, b) => a.cost - b.cost);
  const best = sorted[0]?.cost ?? 0;
  const list = sorted.filter(({ cost }) => cost - best < NEAR).map(({ bits }) => meant(bits, chosen, sectionMm, unit));
  const readable = list.some(({ ways }) => ways.length > 0) ? list.filter(({ ways }) => ways.length > 0) : list;
  return readable.filter((one, at) => at === readable.findIndex((other) => told(other) === told(one)));
}

/** A way in the words of the bench. */
function inWords({ method, amount, aux: { sectionMm } }: Said, unit: 'mm' | 'in'): string {
  const write = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  return `${method.label}, ${write(amount)}${sectionMm === undefined ? '' : `, section ${write(sectionMm)}`}`;
}

/**
 * Reads one line as it is said at the bench, in any order and with or without commas: `doubled flat 66.4, section 1.2`,
 * `66.4 square 1.2 doubled`. Every word counts: one that is not known, a denial or a second figure is asked about.
 *
 * @param chosen the way where the line names none
 * @param sectionMm the section where the line names none
 * @param known what it is held against
 * @returns a reading, a refusal, a doubt that `keep` answers, or a question with its answers; never throws
 * @example takeLine('doubled flat 66.4, section 1.2', 'overCap', undefined, { unit: 'mm' }).state // 'reading'
 */
export function takeLine(
  text: string,
  chosen: string,
  sectionMm: number | undefined,
  known: KnownOfReading,
): TakenLine {
  if (text.trim() === '')
    return { state: 'refusal', problem: 'Type a reading, such as “doubled flat 66.4, section 1.2”.' };
  if (text.length > MOST_LETTERS)
    return {
      state: 'refusal',
      problem: `Read ${text.length} letters. A reading is a line of at most ${MOST_LETTERS}.`,
    };
  const all = meanings(text, chosen, sectionMm, known.unit);
  const [best] = all;
  const ways = all.flatMap((one) => one.ways);
  if (!best || ways.length === 0)
    return {
      state: 'refusal',
      problem: best?.problem ?? `Read “${text.trim()}”. Type a reading, such as “doubled flat 66.4, section 1.2”.`,
    };
  const taken = (said: Said): TakenOfLine => ({
    ...takeAmount(said.amount, said.method, {
      ...known,
      aux: said.aux,
      ...(said.rough && { ownStd: ROUGH_TIMES * said.method.readingStd }),
    }),
    sectionSaid: said.sectionSaid,
  });
  // What cannot be is not meant where something else can.
  const made = ways.map((said) => ({ echo: inWords(said, known.unit), taken: taken(said) }));
  const able = made.filter((way) => way.taken.state !== 'refusal');
  const [one] = able.length > 0 ? able : made;
  if (one && able.length <= 1 && all.every(({ asks }) => asks === '')) return one.taken;
  if (able.length === 0 && one) return one.taken;
  const asks = all.map((each) => each.asks).find((words) => words !== '') ?? 'it may be read in several ways';
  return {
    state: 'question',
    problem: `${asks.charAt(0).toUpperCase()}${asks.slice(1)}${asks.endsWith('?') ? '' : '. Is it so?'}`,
    ways: able,
  };
}

/**
 * Every word of a line with what it is taken for.
 *
 * @example accountOfReading('doubled 66.4 blue').map(({ role }) => role) // ['way', 'figure', 'notKnown']
 */
export function accountOfReading(text: string): readonly Accounted[] {
  if (text.length > MOST_LETTERS) return [];
  const tokens = tokensOf(text);
  const roles = new Map((parse(text)[0]?.bits ?? []).flatMap((one) => one.roles));
  return wordsTaken(
    text,
    tokens.map(({ from, to }, at) => ({ from, to, role: roles.get(at) ?? 'idle' })),
  );
}
