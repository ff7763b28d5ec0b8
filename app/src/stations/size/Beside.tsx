import { Link } from 'react-router';
import type { Recommendation } from '@loose-pulley/core/views/drive';
import { type Driven, DRIVEN } from '@loose-pulley/core/base/loaders';
import {
  isOldSection,
  explainedWords,
  inHundred,
  measurableName,
  wouldTell,
  type Surprise,
} from '@loose-pulley/core/belts/probability';
import type { Situation } from '@loose-pulley/core/belts/sizing';
import { VERDICT_NAMES } from '@loose-pulley/core/record/stations';
import { listed, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';

/* What stands beside the answer: what is as good, and what the bench said that was not expected. */

const SHOWN = 8;

/** Belts that nobody could tell from the best: one answer, with what would part them. */
export function Ties({
  recommendation: { ties, best, answer },
  unit,
  onPick,
}: {
  readonly recommendation: Recommendation;
  readonly unit: LengthUnit;
  readonly onPick: (id: string) => void;
}) {
  const { driven } = useDrive();
  if (ties.length < 2) return null;
  const [most] = answer?.values ?? [];
  return (
    <section aria-label="As good" className="text-[15px]">
      <p>
        <strong>These {ties.length} are equal</strong>, within one in a hundred:{' '}
        {ties
          .filter((one) => one !== best)
          .slice(0, SHOWN)
          .map(({ catalogueBelt }, index) => (
            <span key={catalogueBelt.id}>
              {index > 0 && ', '}
              <button
                type="button"
                className="min-h-11 underline decoration-hair decoration-2 underline-offset-4"
                onClick={() => onPick(catalogueBelt.id)}
              >
                {beltLabel(catalogueBelt, unit).size}
              </button>
            </span>
          ))}
        {ties.length - 1 > SHOWN && ' and more'}.{' '}
        {most && most.gain > 0
          ? `What would part them soonest: ${measurableName(most.what, driven)}.`
          : 'No reading would part them: take the one that is at hand.'}
      </p>
    </section>
  );
}

/** Another section than the old one is left for it only where it gains; by how much is said. */
export function OtherSection({
  recommendation: { best, answer, ranking, after },
  situation: { oldSection },
  unit,
}: {
  readonly recommendation: Recommendation;
  readonly situation: Situation;
  readonly unit: LengthUnit;
}) {
  if (!best || !answer || !oldSection || isOldSection(best.catalogueBelt, oldSection)) return null;
  const works = ({ id }: { readonly id: string }): number => answer.belts[id]?.works ?? 0;
  const own = ranking.candidates.find(
    ({ catalogueBelt }) => isOldSection(catalogueBelt, oldSection) && !after.forbidden(catalogueBelt),
  );
  return (
    <p className="text-[15px]">
      {own
        ? `Another section than the old one: ${Math.round(100 * (works(best.catalogueBelt) - works(own.catalogueBelt)))} in 100 better than the best of the old, ${beltLabel(own.catalogueBelt, unit).size} (${inHundred(works(own.catalogueBelt))}).`
        : 'Another section than the old one: none of the old is left to try.'}
    </p>
  );
}

/** What would explain a verdict that was not expected, and what to measure to know. */
function Explained({ surprise, driven }: { readonly surprise: Surprise; readonly driven: Driven }) {
  const { ticket } = useTicket();
  const { drive } = useDrive();
  const tell = surprise.explained.map(({ what }) => wouldTell[what]).find((what) => what !== undefined);
  return (
    <>
      {surprise.explained.length > 0
        ? `It would be explained by ${listed(
            surprise.explained.map((one) => explainedWords(one, driven)),
            'or',
          )}.`
        : `Nothing that is believed of such drives explains it well: look at the readings, and at the ${DRIVEN[driven].word} itself.`}
      {tell && (
        <>
          {' '}
          <Link
            className="underline decoration-2 underline-offset-4"
            to={`/t/${ticket.id}/measure?drive=${drive.name}`}
          >
            Measure {measurableName(tell, driven)}
          </Link>{' '}
          to know.
        </>
      )}
    </>
  );
}

/** Verdicts of the bench that the model had not expected: the bench is believed, and the reason looked for. */
export function Surprises({
  recommendation,
  driven,
  unit,
}: {
  readonly recommendation: Recommendation;
  readonly driven: Driven;
  readonly unit: LengthUnit;
}) {
  const surprises = recommendation.answer?.surprises ?? [];
  if (surprises.length === 0) return null;
  return (
    <section aria-label="Not expected" className="grid gap-1 border-l-4 border-live pl-3 text-[15px]">
      {surprises.map((surprise) => (
        <p key={`${surprise.tried.belt.innerLengthMm} ${surprise.tried.verdict}`}>
          <strong>
            {beltLabel(surprise.tried.belt, unit).size} {VERDICT_NAMES[surprise.tried.verdict]}
          </strong>{' '}
          was not expected ({inHundred(surprise.expected)}); the bench is believed.{' '}
          <Explained surprise={surprise} driven={driven} />
        </p>
      ))}
    </section>
  );
}
