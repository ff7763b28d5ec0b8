import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { Link } from 'react-router';
import { inHundred, measurableName, type SuccessProbability } from '@loose-pulley/core/belts/probability';
import { FAILURE_NAMES, inRoomWords } from '@loose-pulley/core/belts/sizing';
import type { RecommendationView } from '../../parts/ticket/useRecommendation';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';

/** The chance that the belt looked at works, what would go wrong first, and what one more measurement would add. */
export function ChanceLine({
  chance,
  onBench,
  recommendation,
}: {
  readonly chance: SuccessProbability | undefined;
  /** The chance in the bench’s own warmth, where the other one is told of a colder room. */
  readonly onBench: number | undefined;
  readonly recommendation: RecommendationView;
}) {
  const { ticket } = useTicket();
  const { drive, driven, situation } = useDriveView();
  const inferred = situation.ok && (situation.value.pathFromOldBelt ?? situation.value.pathFromSisters) === true;
  const { answer, status, trouble } = recommendation;
  const settled = status === 'settled';
  const worth = answer?.values.find(({ gain }) => gain >= THRESHOLDS.tie);
  return (
    <section aria-label="Chance" aria-busy={!settled} className="grid gap-1 border-y-2 border-ink py-2">
      <p className="flex flex-wrap items-baseline justify-between gap-2">
        <span>Chance it works{situation.ok && inRoomWords(situation.value)}</span>
        <strong className="text-2xl">
          {chance ? inHundred(chance.works) : trouble === 'givenUp' ? 'not calculated' : 'being worked out'}
        </strong>
      </p>
      {onBench !== undefined && (
        <p>In the cold, since it was found to fail there. In the bench’s own warmth {inHundred(onBench)}.</p>
      )}
      <p className="min-h-[1.4em] text-sm text-soft">
        {chance && chance.fails[chance.first] > 0.005 && (
          <>
            If not, most likely by {FAILURE_NAMES[chance.first]}, {inHundred(chance.fails[chance.first])}.{' '}
          </>
        )}
        {status === 'provisional' && 'Provisional: a first estimate; the finer one follows.'}
        {trouble === 'restarted' && ' The calculation was restarted.'}
        {trouble === 'givenUp' &&
          ' The browser keeps ending the calculation. Load the page again; what is typed is saved.'}
      </p>
      {worth && settled && (
        <p className="text-sm">
          <Link
            className="underline decoration-2 underline-offset-4"
            to={`/t/${ticket.id}/measure?drive=${drive.name}`}
          >
            Measure {measurableName(worth.what, driven, inferred)}
          </Link>
          : the choice after it is expected to be {Math.max(1, Math.round(100 * worth.gain))} in 100 better.
        </p>
      )}
      {settled && answer && !worth && (
        <p className="text-sm text-soft">
          {chance && chance.works >= THRESHOLDS.recommend && 'Good enough to go by. '}
          Worked out for every reading not yet taken: none would better the choice by one in a hundred.
        </p>
      )}
    </section>
  );
}
