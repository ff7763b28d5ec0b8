import { Link } from 'react-router';
import { RECHECK_NAMES, RECHECK_RESULTS } from '@loose-pulley/core/work/proving';
import { recheckTargets } from '@loose-pulley/core/record/ticket';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Segments } from '../../parts/ui/Segments';

/** After a treatment every complaint and every other belt is proposed again: one cure is no reason to think it was all. */
export function Rechecks() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const treatment = ticket.treatments[ticket.treatments.length - 1];
  const targets = recheckTargets(ticket);
  if (!treatment || targets.length === 0) return null;
  return (
    <section aria-labelledby="rechecks" className="grid gap-1">
      <h3 id="rechecks" className="border-b border-ink pb-1 text-lg">
        Look again, after “{treatment.what}”
      </h3>
      <ul>
        {targets.map(({ of, words, driveName, result }) => (
          <li key={of} className="flex flex-wrap items-center justify-between gap-2 border-b border-hair py-2">
            <span>
              {words}{' '}
              {driveName && (
                <Link
                  to={`/t/${ticket.id}/measure?drive=${driveName}`}
                  className="underline decoration-hair underline-offset-4"
                >
                  Measure it
                </Link>
              )}
            </span>
            <Segments
              label={words}
              value={result}
              disabled={!canWrite}
              options={RECHECK_RESULTS.map((one) => [one, RECHECK_NAMES[one]] as const)}
              onChoose={(chosen) =>
                dispatch(
                  recordEvent({ type: 'recheckPut', recheck: { treatmentId: treatment.id, of, result: chosen } }),
                )
              }
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
