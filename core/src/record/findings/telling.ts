import { DIRT_WORDS, PLACE_WORDS, type PlaceKind } from '../../work/cleaning';
import { correctedIn } from '../../base/spoken';
import { accountOf } from '../../work/stripLine';
import { FINDING_KINDS, rowOf, type FindingKind, type ThingKind } from './rows';
import { clausesOf, saysSo, withoutParts } from './saying';

/** What a line tells: a finding, and what it was found of, by its kind and in its words. */
export interface Told {
  readonly kind: FindingKind;
  readonly thing: ThingKind;
  /** The clause that says it, and the words of what it is of: one machine may have several belts. */
  readonly clause: string;
  readonly about: string;
}

const KIND_OF_DIRT = new Map(
  FINDING_KINDS.flatMap((kind) => {
    const { dirt } = rowOf(kind);
    return dirt ? [[dirt, kind] as const] : [];
  }),
);
const BOTH_PULLEYS = /\bboth (?:pulleys|grooves)\b|\bpulleys\b|\bgrooves\b/;
/** Dirt that a hand has put there, or took away, is no finding. */
const DONE = /\b(?:put|added|applied|oiled|greased|cleaned|wiped|off|removed|washed|scraped|picked)\b/;

/** The places that a clause names. Which of two pulleys is meant is not known by “pulley” alone: then it is neither. */
function placesNamed(said: string): readonly PlaceKind[] {
  const clause = withoutParts(said);
  if (BOTH_PULLEYS.test(clause) && !/\b(?:motor|drive|driven) pulleys?\b/.test(clause))
    return ['motorPulley', 'drivenPulley'];
  const [, kind] = PLACE_WORDS.find(([pattern]) => pattern.test(clause)) ?? [];
  return kind ? [kind] : [];
}

/**
 * What a typed line tells of how things were found. What it denies, asks or only supposes tells nothing.
 *
 * @example findingsTold('belt in crumbs')[0]?.kind // 'beltDissolved'
 */
export function findingsTold(line: string): readonly Told[] {
  const told: Told[] = [];
  // What was taken back in the same breath tells nothing; what is put right may be about the thing named before.
  const taken = correctedIn(line);
  const withdrawn = taken ? clausesOf(taken.before).at(-1) : undefined;
  let before = '';
  for (const clause of taken ? [...clausesOf(taken.before), ...clausesOf(taken.after)] : clausesOf(line)) {
    if (clause === withdrawn) {
      before = clause;
      continue;
    }
    const own: Told[] = [];
    // “Belt off, in crumbs”: what names nothing goes on about what was named.
    const about = `${before} ${clause}`.trim();
    for (const kind of FINDING_KINDS) {
      const { said, of } = rowOf(kind);
      const [thing] = of;
      if (!said || !thing || !saysSo(clause, said.state)) continue;
      const here = said.thing.test(clause);
      if (here || (said.thing.test(before) && namesNothing(clause))) own.push({ kind, thing, clause, about });
    }
    const [, dirt] = DIRT_WORDS.find(([pattern]) => saysSo(clause, pattern)) ?? [];
    const kind = dirt && KIND_OF_DIRT.get(dirt);
    // A belt that has become dirt is no dirt on a belt.
    if (kind && !DONE.test(clause) && !own.some((one) => one.kind === 'beltDissolved'))
      for (const place of placesNamed(namesNothing(clause) ? before : clause))
        own.push({ kind, thing: place, clause, about });
    // The first that is said of a thing is what is meant: teeth that are gone are no cracked gear.
    const single = own.filter(
      (one, at) => at === own.findIndex((other) => other.thing === one.thing && sameTest(other.kind, one.kind)),
    );
    told.push(...single.filter((one) => !told.some((other) => other.kind === one.kind && other.thing === one.thing)));
    if (!namesNothing(clause)) before = clause;
  }
  return told;
}

const testOf = (kind: FindingKind): string | undefined => Object.values(rowOf(kind).answers)[0]?.[0];
const sameTest = (a: FindingKind, b: FindingKind): boolean =>
  a === b || (testOf(a) !== undefined && testOf(a) === testOf(b));

/** Whether a clause names no thing at all, known or not: only then it goes on about what was named before it. */
const namesNothing = (clause: string): boolean =>
  accountOf(clause).every(({ role }) => role !== 'thing' && role !== 'notKnown');
