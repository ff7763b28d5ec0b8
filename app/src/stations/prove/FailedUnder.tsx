import { circumstanceWords, failedUnder, type CleanRun } from '@loose-pulley/core/work/proving';
import { useTicket } from '../../parts/ticket/useTicket';

/** The circumstances under which it failed, and how many clean cycles the clean run has under each. */
export function FailedUnder({ cleanRun }: { readonly cleanRun: CleanRun | undefined }) {
  const { ticket } = useTicket();
  const under = failedUnder(ticket.cycles, cleanRun);
  if (under.length === 0) return null;
  return (
    <section aria-labelledby="failed-under" className="grid gap-1">
      <h3 id="failed-under" className="text-lg">
        Under which it failed
      </h3>
      <ul>
        {under.map((one) => (
          <li key={circumstanceWords(one)} className="border-b border-hair py-1.5">
            <strong>{circumstanceWords(one)}</strong>: failed {one.failures}{' '}
            {cleanRun && (
              <span className={one.clean === 0 ? 'text-live' : 'text-soft'}>
                · {one.clean === 0 ? 'no clean cycle so far' : `${one.clean} clean so far`}
              </span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
