import { CATALOGUE, nextInSeries, sameSection, type CatalogueBelt } from '../catalogue';
import type { Combined } from '../statistics';
import type { Candidate, Ranking, Situation } from '../sizing';
import { playOutcomes, type JudgedBelt } from './kernel';
import { evenly, probabilitiesOf, type SuccessProbability } from './successProbability';
import { remedyBelts, stretchedBelt, type RemedyId } from './remedies';
import { valueOfMeasuring, type MeasurementValue } from './value';
import { weighed, type BeltVerdict } from './verdicts';
import { drawSamples } from './samples';

/** What is asked: which belts, on what drive, after what tries. */
export interface ProbabilityQuestion {
  readonly situation: Situation;
  readonly belts: readonly CatalogueBelt[];
  readonly tries: ReadonlyArray<{ readonly belt: JudgedBelt; readonly verdict: BeltVerdict }>;
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
  const samples = drawSamples(situation, draws, seed);
  const tried = playOutcomes(
    samples,
    situation,
    tries.map(({ belt }) => belt),
  );
  const weights =
    tries.length === 0
      ? evenly(draws)
      : weighed(
          draws,
          tries.map(({ verdict }, index) => ({
            outcomes: tried.subarray(index * draws, (index + 1) * draws),
            verdict,
          })),
        );
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

/**
 * The ranking by chance, where it is known. Of belts whose chances are alike the one that lies furthest from every limit
 * comes first; the others by their chance. Where no belt is likelier to work than to fail, the margins say little, since
 * one hopeless thing (a speed that no belt reaches) hides all others: there the belt comes first with which the fewest
 * things go wrong.
 *
 * @param belts all that may be its neighbours
 */
export function rankByProbability(
  ranking: Ranking,
  chances: ProbabilityAnswer['belts'],
  belts: readonly CatalogueBelt[] = CATALOGUE,
): Ranking {
  const works = ({ catalogueBelt }: Candidate): number => chances[catalogueBelt.id]?.works ?? 0;
  const byChance = [...ranking.candidates].sort(
    (a, b) => works(b) - works(a) || b.judgement.margin - a.judgement.margin,
  );
  const top = byChance[0];
  if (!top) return ranking;
  const goesWrong = ({ catalogueBelt }: Candidate): number => {
    const fails = chances[catalogueBelt.id]?.fails;
    if (!fails) return Infinity;
    // A slack belt neither grips nor turns anything at its speed, though only the slack is counted.
    return Object.values(fails).reduce((sum, share) => sum + share, 2 * fails.slack);
  };
  const nothingFits = works(top) < MIN_PROBABILITY;
  const ease = nothingFits ? (one: Candidate) => -goesWrong(one) : (one: Candidate) => one.judgement.margin;
  const best = byChance
    .filter((one) => works(one) >= works(top) - ALIKE)
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
