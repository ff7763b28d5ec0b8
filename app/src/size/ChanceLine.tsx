import { Link } from 'react-router';
import { FAIL_NAMES, inHundred, measurableName, type SuccessProbability } from '@loose-pulley/core/probability';
import { useDrive, useTicket } from '../ticket/useTicket';
import type { ProbabilityView } from './useProbability';

/** Measurements that would add less than this are not worth the minute. */
const WORTH = 0.01;

/** The odds of the belt looked at, what would go wrong first, and what one more measurement would add. */
export function ChanceLine({
  odds,
  view,
}: {
  readonly odds: SuccessProbability | undefined;
  readonly view: ProbabilityView;
}) {
  const { ticket } = useTicket();
  const { drive, driven } = useDrive();
  const worth = view.answer?.values.find(({ gain }) => gain >= WORTH);
  return (
    <section
      aria-label="SuccessProbability"
      aria-busy={!view.settled}
      className="grid gap-1 border-y-2 border-ink py-2"
    >
      <p className="flex flex-wrap items-baseline justify-between gap-2">
        <span>Works in</span>
        <strong className="text-2xl">{odds ? inHundred(odds.works) : 'one moment…'}</strong>
      </p>
      <p className="min-h-[1.4em] text-sm text-soft">
        {odds && odds.fails[odds.first] > 0.005 && (
          <>
            If not, most likely by {FAIL_NAMES[odds.first]}, {inHundred(odds.fails[odds.first])}.{' '}
          </>
        )}
        {odds && !view.settled && 'A first estimate; the finer one follows.'}
        {view.restarted && ' The working out had stopped and was begun again.'}
      </p>
      {worth && view.settled && (
        <p className="text-sm">
          <Link
            className="underline decoration-2 underline-offset-4"
            to={`/t/${ticket.id}/measure?drive=${drive.name}`}
          >
            Measure {measurableName(worth.what, driven)}
          </Link>
          : the choice after it is expected to be {Math.max(1, Math.round(100 * worth.gain))} in 100 better.
        </p>
      )}
      {view.settled && view.answer && !worth && (
        <p className="text-sm text-soft">No further measurement here would change the choice much.</p>
      )}
    </section>
  );
}
