import { THRESHOLDS } from '../../base/thresholds';
import { sameBelt, type CatalogueBelt } from '../../belts/catalogue';
import {
  chosenAfter,
  rankByProbability,
  type AfterTries,
  type ProbabilityAnswer,
  type ProbabilityQuestion,
  type SuccessProbability,
  type TriedBelt,
} from '../../belts/probability';
import { judge, rank, type Candidate, type Ranking } from '../../belts/sizing';
import type { Try } from '../../record/stations';
import { onSale, stockOf } from './onSale';
import { triedBelt } from './sisters';
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
    belts: stockOf(view),
    tries: triesOf(view),
    ...(view.facts.oldBelt && { oldBelt: view.facts.oldBelt }),
    ...(view.facts.warmedBelt && { warmedBelt: view.facts.warmedBelt }),
    seed: SEED,
  };
  questions.set(view, question);
  return question;
}

/** On how many machines with the mechanism a belt was right. */
const provenOn = ({ sisters }: DriveView, belt: CatalogueBelt): number =>
  sisters.filter(({ tries }) => tries.some((one) => one.verdict === 'right' && sameBelt(one.belt, belt))).length;

/** What the bench said of the belts that were on. */
const triesOf = ({ drive }: DriveView): readonly TriedBelt[] =>
  drive.tries.flatMap((one) => (one.verdict === 'untried' ? [] : [{ belt: triedBelt(one), verdict: one.verdict }]));

/** The belt to fit, how sure that is, and what stands beside it: the same on the screen and on every paper. */
export interface Recommendation {
  /**
   * `waiting` before any chance is known: there is a first estimate then, and nothing is recommended. `provisional` after the quick look; `settled` once
   * the whole calculation is in, which is what paper waits for.
   */
  readonly status: 'waiting' | 'provisional' | 'settled';
  readonly ranking: Ranking;
  /** The belt to fit; undefined while waiting, and where no belt can be judged. */
  readonly best: Candidate | undefined;
  /** While waiting: the belt that the best values alone would take, without any chance. */
  readonly first?: Candidate | undefined;
  /** The try that settled it: judged right on this machine, it is the answer, whatever any chance says. */
  readonly decided: Try | undefined;
  /** Belts that nobody could tell from the best at the bench, the best among them. */
  readonly ties: readonly Candidate[];
  /** What the bench forbade. */
  readonly after: AfterTries;
  /** Even the best is likelier to fail than to work. */
  readonly nothingFits: boolean;
  readonly answer: ProbabilityAnswer | null;
}

const NOTHING_OWNED: ReadonlyMap<string, unknown> = new Map();
const linearly = new WeakMap<DriveView, Ranking>();
/** Every belt judged at the best estimate. Worked out once for a view. */
function judged(view: DriveView): Ranking {
  const known = linearly.get(view);
  if (known) return known;
  const ranking = view.situation.ok ? rank(view.situation.value, stockOf(view)) : { candidates: [], nothingFits: true };
  linearly.set(view, ranking);
  return ranking;
}

/**
 * The recommendation from what is known of the chances so far.
 *
 * @param answer of `questionOf(view)`, or null while none has come
 * @param owned what lies in the drawer, by the belt's id
 * For instance recommend(view, answer, true).best?.catalogueBelt.id: 'square-1.2-116'
 */
export function recommend(
  view: DriveView,
  answer: ProbabilityAnswer | null,
  settled: boolean,
  owned: ReadonlyMap<string, unknown> = NOTHING_OWNED,
): Recommendation {
  const linear = judged(view);
  const after = chosenAfter(triesOf(view));
  const decided = decidedBy(view);
  if (decided) {
    const best = candidateOfTry(view, linear, decided);
    const candidates = best ? [best, ...linear.candidates.filter((one) => one !== best)] : linear.candidates;
    const ranking = { candidates, ...(best && { best }), nothingFits: false };
    // Paper need not wait for chances: the bench has spoken.
    return { status: 'settled', ranking, best, decided, ties: [], after, nothingFits: false, answer };
  }
  const none = { decided, ties: [], after };
  if (!answer) {
    const allowed = linear.candidates.find(({ catalogueBelt }) => after.forbidden(catalogueBelt) === undefined);
    const first = linear.best && after.forbidden(linear.best.catalogueBelt) === undefined ? linear.best : allowed;
    return { status: 'waiting', ranking: linear, best: undefined, first, nothingFits: false, answer, ...none };
  }
  const oldSection = view.situation.ok ? view.situation.value.oldSection : undefined;
  const ranking = rankByProbability(linear, answer.belts, {
    belts: stockOf(view),
    oldSection,
    after,
    atHand: ({ id }) => owned.has(id),
    proven: (belt) => provenOn(view, belt) >= THRESHOLDS.provenTries,
  });
  const works = ({ catalogueBelt }: Candidate): number => answer.belts[catalogueBelt.id]?.works ?? 0;
  const { best } = ranking;
  return {
    status: settled ? 'settled' : 'provisional',
    ranking,
    best,
    decided,
    ties:
      best && !ranking.nothingFits
        ? ranking.candidates.filter(
            (one) => works(one) >= works(best) - THRESHOLDS.tie && after.forbidden(one.catalogueBelt) === undefined,
          )
        : [],
    after,
    nothingFits: ranking.nothingFits,
    answer,
  };
}

/** The try that was judged right last and stands: nothing later on the same belt says otherwise. */
function decidedBy({ drive }: DriveView): Try | undefined {
  return drive.tries.findLast(
    (one, index) =>
      one.verdict === 'right' &&
      !drive.tries.slice(index + 1).some((later) => later.verdict !== 'untried' && sameBelt(later, one)),
  );
}

/** A tried belt among those on sale; or judged by itself where it is none of them. */
function candidateOfTry(view: DriveView, { candidates }: Ranking, tried: Try): Candidate | undefined {
  const sold = onSale(tried, stockOf(view));
  const known = sold && candidates.find(({ catalogueBelt }) => catalogueBelt.id === sold.id);
  if (known || !view.situation.ok) return known;
  const belt = triedBelt(tried);
  const judgement = judge(view.situation.value, belt);
  return (
    judgement && {
      judgement,
      catalogueBelt: {
        ...belt,
        id: `tried-${tried.id}`,
        series: 'tried',
        name: tried.source || 'a belt of your own',
        thicknessToleranceMm: 0.05,
      },
    }
  );
}

/** A belt among all that were judged, by its id. */
export const candidateOf = ({ ranking }: Recommendation, id: string | null): Candidate | undefined =>
  id === null ? undefined : ranking.candidates.find(({ catalogueBelt }) => catalogueBelt.id === id);

/** The chance that a belt works here, where it is known. */
export const chanceOf = (
  { answer }: Recommendation,
  belt: Pick<CatalogueBelt, 'id'> | undefined,
): SuccessProbability | undefined => belt && answer?.belts[belt.id];

/** The same in the bench’s own warmth, where all chances are told of a colder room; undefined where they are not. */
export const chanceOnBench = (
  { answer }: Recommendation,
  belt: Pick<CatalogueBelt, 'id'> | undefined,
): number | undefined => belt && answer?.onBench?.[belt.id];
