import { CATALOGUE, nextInSeries, sameSection, type CatalogueBelt } from '../catalogue';
import { sectionLogRatio } from '../evaluation';
import type { BeltSection } from '../rubber';
import type { Combined } from '../statistics';
import type { AfterTries } from './afterTries';
import type { Candidate, Ranking, Situation } from '../sizing';
import { playOutcomes } from './kernel';
import { probabilitiesOf, type SuccessProbability } from './successProbability';
import { remedyBelts, stretchedBelt, type RemedyId } from './remedies';
import { valueOfMeasuring, type MeasurementValue } from './value';
import { believe, type TriedBelt } from './believe';

/** What is asked: which belts, on what drive, after what tries. */
export interface ProbabilityQuestion {
  readonly situation: Situation;
  readonly belts: readonly CatalogueBelt[];
  readonly tries: readonly TriedBelt[];
  /** The old belt as it is now. */
  readonly oldBelt?: Combined | undefined;
  readonly seed: number;
}

/** The chances of everything that could be done about the belt. */
export interface ProbabilityAnswer {
  readonly draws: number;
  /** By the belt's id. */
  readonly belts: Readonly<Record<string, SuccessProbability>>;
  readonly remedies: Readonly<Partial<Record<RemedyId, SuccessProbability>>>;
  /** The belt that `stretch` would be done to: the next size down of the likeliest. */
  readonly stretchedId: string | undefined;
  readonly values: readonly MeasurementValue[];
}

/** Belts that stand a chance at all, for the value of a measurement. */
const HOPEFUL = 30;

/**
 * The chance of every belt, of what else may be done, and what one more measurement would add.
 *
 * Cost: about 20 ns for each belt and draw, and as much again for the values.
 *
 * @example answerProbability({ situation, belts: CATALOGUE, tries: [], seed: 1 }, 4000).belts['square-1.2-116']?.works // 0.93
 */
export function answerProbability(question: ProbabilityQuestion, draws: number): ProbabilityAnswer {
  const { situation, belts, tries, oldBelt, seed } = question;
  const { value: samples, weights } = believe(situation, tries, draws, seed);
  const outcomes = playOutcomes(samples, situation, belts);
  const chances = probabilitiesOf(outcomes, weights);
  const order = chances.map((_, index) => index).sort((a, b) => (chances[b]?.works ?? 0) - (chances[a]?.works ?? 0));
  const hopeful = order.slice(0, HOPEFUL);
  const kept = new Uint8Array(hopeful.length * draws);
  hopeful.forEach((belt, row) => kept.set(outcomes.subarray(belt * draws, (belt + 1) * draws), row * draws));
  const best = order[0] === undefined ? undefined : belts[order[0]];
  const remedies = remedyBelts(samples, situation, oldBelt, best, seed);
  const remedyChances = probabilitiesOf(
    playOutcomes(
      samples,
      situation,
      remedies.map(({ belt }) => belt),
    ),
    weights,
  );
  return {
    draws,
    belts: Object.fromEntries(belts.map(({ id }, index) => [id, chances[index] as SuccessProbability])),
    remedies: Object.fromEntries(remedies.map(({ id }, index) => [id, remedyChances[index] as SuccessProbability])),
    stretchedId: stretchedBelt(best)?.id,
    values: valueOfMeasuring(samples, situation, kept, weights),
  };
}

/** SuccessProbability that differ by less than this are alike: nobody could tell them apart at the bench. */
export const ALIKE = 0.01;
/** SuccessProbability below which a belt is not recommended: it is likelier to fail than to work. */
export const MIN_PROBABILITY = 0.5;

/** By how much another section must be likelier to work before the old one is left. */
export const SECTION_GAIN = 0.05;
/** A section on sale is the old one's where it differs by less than this, in logarithm of the ratio. */
const SAME_LOG_RATIO = 0.14;

/** Whether a belt on sale is of the section that lay in the drive. */
export const isOldSection = (belt: CatalogueBelt, old: BeltSection): boolean =>
  belt.shape === old.shape &&
  Math.abs(Math.log(belt.thicknessMm / old.thicknessMm)) < SAME_LOG_RATIO &&
  (belt.shape !== 'flat' || sectionLogRatio(belt, old) < SAME_LOG_RATIO);

/** What bears on the choice beside the chances. */
export interface Choosing {
  /** All that may be its neighbours. */
  readonly belts?: readonly CatalogueBelt[];
  readonly oldSection?: BeltSection | undefined;
  readonly after?: AfterTries | undefined;
}

/**
 * The ranking by chance, where it is known. What the bench forbade comes last. The old section is kept unless another is
 * likelier to work by `SECTION_GAIN`. Of belts whose chances are alike the one that lies furthest from every limit comes
 * first; the others by their chance. Where no belt is likelier to work than to fail, the margins say little, since one
 * hopeless thing (a speed that no belt reaches) hides all others: there the belt comes first with which the fewest
 * things go wrong.
 */
export function rankByProbability(
  ranking: Ranking,
  chances: ProbabilityAnswer['belts'],
  { belts = CATALOGUE, oldSection, after }: Choosing = {},
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
  const top = own && works(own) > works(likeliest) - SECTION_GAIN ? own : likeliest;
  const goesWrong = ({ catalogueBelt }: Candidate): number => {
    const fails = chances[catalogueBelt.id]?.fails;
    if (!fails) return Infinity;
    // A slack belt neither grips nor turns anything at its speed, though only the slack is counted.
    return Object.values(fails).reduce((sum, share) => sum + share, 2 * fails.slack);
  };
  const nothingFits = works(top) < MIN_PROBABILITY;
  const ease = nothingFits ? (one: Candidate) => -goesWrong(one) : (one: Candidate) => one.judgement.margin;
  const best = allowed
    .filter(
      (one) => works(one) >= works(top) - ALIKE && (top !== own || sameSection(one.catalogueBelt, own.catalogueBelt)),
    )
    .reduce((easiest, one) => (ease(one) > ease(easiest) ? one : easiest));
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
