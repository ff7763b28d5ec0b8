import { THRESHOLDS } from '../../base/thresholds';
import { shapeOf } from '../../base/shapes';
import { CATALOGUE, nextInSeries, sameSection, type CatalogueBelt } from '../catalogue';
import { sectionLogRatio } from '../../physics/evaluation';
import type { BeltSection } from '../../physics/rubber';
import type { Combined } from '../../base/statistics';
import type { AfterTries } from './afterTries';
import type { Candidate, Ranking, Situation } from '../sizing';
import { playOutcomes } from './kernel';
import { inRoom } from './room';
import { probabilitiesOf, type SuccessProbability } from './successProbability';
import { explanations, momentsOf, type Explanation } from './explain';
import { cleaned, remedyBelts, stretchedBelt, type RemedyId, type Stretched } from './remedies';
import type { Samples } from './samples';
import type { Believed } from './temper';
import { expectedOf } from './verdicts';
import { valueOfMeasuring, type MeasurementValue } from './value';
import { believe, type TriedBelt } from './believe';

/** What is asked: which belts, on what drive, after what tries. */
export interface ProbabilityQuestion {
  readonly situation: Situation;
  readonly belts: readonly CatalogueBelt[];
  readonly tries: readonly TriedBelt[];
  /** The old belt as it is now. */
  readonly oldBelt?: Combined | undefined;
  /** The same after it was warmed to shrink: what it is kept at. */
  readonly warmedBelt?: Combined | undefined;
  readonly seed: number;
}

/** A verdict that the model gave little chance, and what would explain it. */
export interface Surprise {
  readonly tried: TriedBelt;
  /** What the model gave that verdict before it was said, of all that might have been. */
  readonly expected: number;
  /** What must lie otherwise than believed, the likeliest explanation first. */
  readonly explained: readonly Explanation[];
}

/** The chances of everything that could be done about the belt. */
export interface ProbabilityAnswer {
  readonly draws: number;
  /** How many samples of equal weight say as much. */
  readonly effective: number;
  /** By the belt's id. */
  readonly belts: Readonly<Record<string, SuccessProbability>>;
  readonly remedies: Readonly<Partial<Record<RemedyId, SuccessProbability>>>;
  /** Inner length that the old belt would be left with by warming, mm; undefined where there is none to warm. */
  readonly warmedMm: number | undefined;
  /** The belt that `stretch` would be done to: the one judged too tight, or the next size down of the likeliest. */
  readonly stretched: Stretched | undefined;
  /** Empty in a first look, which leaves them out. */
  readonly values: readonly MeasurementValue[];
  /** The belts' chances without what sister machines say, where there are any. */
  readonly alone: Readonly<Record<string, number>> | undefined;
  readonly surprises: readonly Surprise[];
  /** The belts' chances in the bench's own warmth, where all the others are told of another room. */
  readonly onBench: Readonly<Record<string, number>> | undefined;
  /** What would be asked for of the old section if any length could be had; undefined in a first look. */
  readonly wanted: Wanted | undefined;
  /** The path as it is believed after all this: for where it was not measured. */
  readonly pathMm: Combined;
}

/** Lengths of the old section that are as good as any, sold or not. */
export interface Wanted {
  readonly section: BeltSection;
  readonly fromMm: number;
  readonly toMm: number;
  /** The chance in the middle. */
  readonly works: number;
}

/** Belts that stand a chance at all, for the value of a measurement. */
const HOPEFUL = 30;
/** A chance is not stated above this: no drive is known so well. */
const STATED_MAX = 0.99;

const stated = (one: SuccessProbability): SuccessProbability => ({ ...one, works: Math.min(STATED_MAX, one.works) });

/**
 * The chance of every belt, of what else may be done, and what one more measurement would add.
 *
 * Cost: about 20 ns for each belt and draw, and as much again for the values.
 *
 * @param quick leaves out what a first look does not need: remedies, the values of measuring, surprises, the chances without
 *   sisters
 * @example answerProbability({ situation, belts: CATALOGUE, tries: [], seed: 1 }, 4000).belts['square-1.2-116']?.works // 0.81
 */
export function answerProbability(question: ProbabilityQuestion, draws: number, quick = false): ProbabilityAnswer {
  const { situation, belts, tries, oldBelt, warmedBelt, seed } = question;
  const { value: bench, weights, effective } = believe(situation, tries, draws, seed);
  const samples = inRoom(bench, situation, seed);
  const outcomes = playOutcomes(samples, situation, belts);
  const chances = probabilitiesOf(outcomes, weights).map(stated);
  const order = chances.map((_, index) => index).sort((a, b) => (chances[b]?.works ?? 0) - (chances[a]?.works ?? 0));
  const hopeful = order.slice(0, HOPEFUL);
  const kept = new Uint8Array(hopeful.length * draws);
  hopeful.forEach((belt, row) => kept.set(outcomes.subarray(belt * draws, (belt + 1) * draws), row * draws));
  const best = order[0] === undefined ? undefined : belts[order[0]];
  const stretched = stretchedBelt(best, tries);
  const remedies = quick ? [] : remedyBelts(samples, situation, { oldBelt, warmedBelt }, stretched, seed);
  const remedyChances = probabilitiesOf(
    // A remedy comes with cleaning: it is judged as if that were done.
    playOutcomes(
      cleaned(samples),
      situation,
      remedies.map(({ belt }) => belt),
    ),
    weights,
  ).map(stated);
  const warmed = remedies.find(({ id }) => id === 'warm')?.belt.lengthsMm;
  const { sisters = [] } = situation;
  return {
    draws,
    effective,
    belts: Object.fromEntries(belts.map(({ id }, index) => [id, chances[index] as SuccessProbability])),
    remedies: Object.fromEntries(remedies.map(({ id }, index) => [id, remedyChances[index] as SuccessProbability])),
    warmedMm: warmed && momentsOf(warmed, weights).value,
    stretched,
    values: quick ? [] : valueOfMeasuring(samples, situation, kept, weights),
    alone: quick || sisters.length === 0 ? undefined : aloneOf(question, draws),
    wanted: quick ? undefined : wantedOf(samples, weights, situation),
    surprises: quick ? [] : surprisesOf(question, { value: bench, weights }, draws),
    onBench: situation.room && worksById(bench, weights, question),
    pathMm: momentsOf(samples.pathMm, weights),
  };
}

/** Steps of a length that is looked for, and how far below the best chance a length may lie to be as good, both relative. */
const WANTED_STEPS = 60;

/** Which lengths of the old section would do best, if any could be had. */
function wantedOf(samples: Samples, weights: Float64Array, situation: Situation): Wanted | undefined {
  const { oldSection } = situation;
  if (!oldSection) return undefined;
  const pathMm = momentsOf(samples.pathMm, weights).value;
  const lengths = Array.from({ length: WANTED_STEPS }, (_, i) => pathMm * (0.78 + (0.24 * i) / WANTED_STEPS));
  const chances = probabilitiesOf(
    playOutcomes(
      samples,
      situation,
      lengths.map((innerLengthMm) => ({
        ...oldSection,
        innerLengthMm,
        innerLengthToleranceMm: 0.01 * innerLengthMm,
      })),
    ),
    weights,
  ).map(({ works }) => works);
  const most = Math.max(...chances);
  const good = lengths.filter((_, i) => (chances[i] ?? 0) >= most - THRESHOLDS.asGood);
  return { section: oldSection, fromMm: good[0] ?? 0, toMm: good.at(-1) ?? 0, works: Math.min(STATED_MAX, most) };
}

function worksById(
  samples: Samples,
  weights: Float64Array,
  { situation, belts }: ProbabilityQuestion,
): Readonly<Record<string, number>> {
  const chances = probabilitiesOf(playOutcomes(samples, situation, belts), weights).map(stated);
  return Object.fromEntries(belts.map(({ id }, index) => [id, chances[index]?.works ?? 0]));
}

/** The chances that the same drive would have if no sister machine were known. */
function aloneOf(
  { situation, belts, tries, seed }: ProbabilityQuestion,
  draws: number,
): Readonly<Record<string, number>> {
  const alone = { ...situation, sisters: [] };
  const { value, weights } = believe(alone, tries, Math.min(draws, ALONE_DRAWS), seed);
  return worksById(inRoom(value, situation, seed), weights, { situation: alone, belts, tries, seed });
}
const ALONE_DRAWS = 1500;

/** The verdicts that were not expected of a drive as it was believed to be before any was given. */
function surprisesOf(
  { situation, tries, seed }: ProbabilityQuestion,
  after: Pick<Believed<Samples>, 'value' | 'weights'>,
  draws: number,
): readonly Surprise[] {
  if (tries.length === 0) return [];
  const count = Math.min(draws, ALONE_DRAWS);
  const before = believe(situation, [], count, seed);
  const outcomes = playOutcomes(
    before.value,
    situation,
    tries.map(({ belt }) => belt),
  );
  return tries.flatMap((tried, index) => {
    const expected = expectedOf(outcomes.subarray(index * count, (index + 1) * count), before.weights, tried.verdict);
    return expected < THRESHOLDS.surprising ? [{ tried, expected, explained: explanations(before, after) }] : [];
  });
}

/** Whether a belt on sale is of the section that lay in the drive. */
export const isOldSection = (belt: CatalogueBelt, old: BeltSection): boolean =>
  belt.shape === old.shape &&
  Math.abs(Math.log(belt.thicknessMm / old.thicknessMm)) < THRESHOLDS.sameSectionLog &&
  (!shapeOf(belt.shape).hasWidth || sectionLogRatio(belt, old) < THRESHOLDS.sameSectionLog);

/** What bears on the choice beside the chances. */
export interface Choosing {
  /** All that may be its neighbours. */
  readonly belts?: readonly CatalogueBelt[];
  readonly oldSection?: BeltSection | undefined;
  readonly after?: AfterTries | undefined;
  /** Whether a belt was right on two and more machines with the same mechanism. */
  readonly proven?: ((belt: CatalogueBelt) => boolean) | undefined;
  /** Whether a belt is at hand, in the drawer. */
  readonly atHand?: ((belt: CatalogueBelt) => boolean) | undefined;
}

/**
 * The ranking by chance, where it is known. What the bench forbade comes last. A belt that was right on two machines with
 * the mechanism is kept unless another is likelier by `THRESHOLDS.leaveProven`; of others whose chances are alike the one
 * that lies furthest from every limit comes first. The
 * old section is kept unless another is likelier to work by `THRESHOLDS.leaveSection`; of one section what is at hand is
 * taken unless ordering gains more than `THRESHOLDS.worthOrdering`. Where no belt is likelier to work than to fail, the margins say little, since one
 * hopeless thing (a speed that no belt reaches) hides all others: there the belt comes first with which the fewest
 * things go wrong.
 */
export function rankByProbability(
  ranking: Ranking,
  chances: ProbabilityAnswer['belts'],
  { belts = CATALOGUE, oldSection, after, proven, atHand }: Choosing = {},
): Ranking {
  const works = ({ catalogueBelt }: Candidate): number => chances[catalogueBelt.id]?.works ?? 0;
  const forbidden = ({ catalogueBelt }: Candidate): boolean => after?.forbidden(catalogueBelt) !== undefined;
  const byChance = [...ranking.candidates].sort(
    (a, b) =>
      Number(forbidden(a)) - Number(forbidden(b)) || works(b) - works(a) || b.judgement.margin - a.judgement.margin,
  );
  const allowed = byChance.filter((one) => !forbidden(one));
  const likeliest = allowed[0];
  if (!likeliest) return { candidates: byChance, nothingFits: true };
  const own = oldSection && allowed.find(({ catalogueBelt }) => isOldSection(catalogueBelt, oldSection));
  const top = own && works(own) > works(likeliest) - THRESHOLDS.leaveSection ? own : likeliest;
  const goesWrong = ({ catalogueBelt }: Candidate): number => {
    const fails = chances[catalogueBelt.id]?.fails;
    if (!fails) return Infinity;
    // A slack belt neither grips nor turns anything at its speed, though only the slack is counted.
    return Object.values(fails).reduce((sum, share) => sum + share, 2 * fails.slack);
  };
  // After a verdict the next one is tried, though it be likelier to fail: what is known of the drive is little by then.
  const nothingFits = works(top) < (after?.any ? THRESHOLDS.recommendAfterTries : THRESHOLDS.recommend);
  const ease = nothingFits ? (one: Candidate) => -goesWrong(one) : (one: Candidate) => one.judgement.margin;
  // What has run on machines alike is taken before what is only likelier by a little.
  const shown = allowed.find((one) => proven?.(one.catalogueBelt) && works(one) > works(top) - THRESHOLDS.leaveProven);
  const easiest = allowed
    .filter(
      (one) =>
        works(one) >= works(top) - THRESHOLDS.tie && (top !== own || sameSection(one.catalogueBelt, own.catalogueBelt)),
    )
    .reduce((most, one) => (ease(one) > ease(most) ? one : most));
  const chosen = shown ?? easiest;
  const inHand = allowed.find(
    (one) =>
      atHand?.(one.catalogueBelt) &&
      sameSection(one.catalogueBelt, chosen.catalogueBelt) &&
      works(one) >= Math.max(THRESHOLDS.recommend, works(chosen) - THRESHOLDS.worthOrdering),
  );
  const best = atHand?.(chosen.catalogueBelt) ? chosen : (inHand ?? chosen);
  const candidates = [best, ...byChance.filter((one) => one !== best)];
  const beside = nextInSeries(
    belts.filter((belt) => sameSection(belt, best.catalogueBelt)),
    best.catalogueBelt.innerLengthMm,
  );
  const find = (belt: CatalogueBelt | undefined) =>
    candidates.find(({ catalogueBelt }) => catalogueBelt.id === belt?.id);
  const down = find(beside.down);
  const up = find(beside.up);
  return { candidates, best, nothingFits, ...(down && { down }), ...(up && { up }) };
}
