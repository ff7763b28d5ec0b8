import { CATALOGUE, type CatalogueBelt } from '../catalogue';
import {
  rankByProbability,
  type ProbabilityAnswer,
  type ProbabilityQuestion,
  type SuccessProbability,
} from '../probability';
import { rank, type Candidate, type Ranking } from '../sizing';
import type { DriveView } from './view';

/** The same for a drive whenever it is looked at, so that its chances do not flicker and paper says what the screen says. */
const SEED = 20261125;

const questions = new WeakMap<DriveView, ProbabilityQuestion>();

/**
 * What has to be worked out beside the page before a belt can be recommended.
 *
 * @returns undefined while too little is measured; the same view gives the same question
 */
export function questionOf(view: DriveView): ProbabilityQuestion | undefined {
  if (!view.situation.ok) return undefined;
  const known = questions.get(view);
  if (known) return known;
  const question: ProbabilityQuestion = {
    situation: view.situation.value,
    belts: CATALOGUE,
    tries: view.drive.tries.flatMap(({ verdict, shape, thicknessMm, innerLengthMm, widthMm }) =>
      verdict === 'untried'
        ? []
        : [
            {
              verdict,
              belt: {
                shape,
                thicknessMm,
                innerLengthMm,
                ...(widthMm !== null && { widthMm }),
                innerLengthToleranceMm: innerLengthMm * 0.01,
              },
            },
          ],
    ),
    ...(view.facts.oldBelt && { oldBelt: view.facts.oldBelt }),
    seed: SEED,
  };
  questions.set(view, question);
  return question;
}

/** The belt to fit, how sure that is, and what stands beside it: the same on the screen and on every paper. */
export interface Recommendation {
  /**
   * `waiting` before any chance is known: nothing is recommended then. `provisional` after the quick look; `settled` once
   * the whole calculation is in, which is what paper waits for.
   */
  readonly status: 'waiting' | 'provisional' | 'settled';
  readonly ranking: Ranking;
  /** The belt to fit; undefined while waiting, and where no belt can be judged. */
  readonly best: Candidate | undefined;
  /** Even the best is likelier to fail than to work. */
  readonly nothingFits: boolean;
  readonly answer: ProbabilityAnswer | null;
}

const linearly = new WeakMap<DriveView, Ranking>();
/** Every belt judged at the best estimate. Worked out once for a view. */
function judged(view: DriveView): Ranking {
  const known = linearly.get(view);
  if (known) return known;
  const ranking = view.situation.ok ? rank(view.situation.value, CATALOGUE) : { candidates: [], nothingFits: true };
  linearly.set(view, ranking);
  return ranking;
}

/**
 * The recommendation from what is known of the chances so far.
 *
 * @param answer of `questionOf(view)`, or null while none has come
 * @example recommend(view, answer, true).best?.catalogueBelt.id // 'square-1.2-116'
 */
export function recommend(view: DriveView, answer: ProbabilityAnswer | null, settled: boolean): Recommendation {
  const linear = judged(view);
  if (!answer) return { status: 'waiting', ranking: linear, best: undefined, nothingFits: false, answer };
  const ranking = rankByProbability(linear, answer.belts);
  return {
    status: settled ? 'settled' : 'provisional',
    ranking,
    best: ranking.best,
    nothingFits: ranking.nothingFits,
    answer,
  };
}

/** A belt among all that were judged, by its id. */
export const candidateOf = ({ ranking }: Recommendation, id: string | null): Candidate | undefined =>
  id === null ? undefined : ranking.candidates.find(({ catalogueBelt }) => catalogueBelt.id === id);

/** The chance that a belt works here, where it is known. */
export const chanceOf = (
  { answer }: Recommendation,
  belt: Pick<CatalogueBelt, 'id'> | undefined,
): SuccessProbability | undefined => belt && answer?.belts[belt.id];
