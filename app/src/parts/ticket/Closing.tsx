import { writtenMoment } from '../../state/written';
import { useState } from 'react';
import { Link } from 'react-router';
import { handBackText, openEnds, type OpenEnd } from '@loose-pulley/core/views/handBack';
import { FILLED } from '@loose-pulley/core/record/stations';
import { recordEvent, recordEvents } from '../../state/persistence/recording';
import { useAppDispatch, useUnit } from '../../state/store/hooks';
import { CommitButton } from '../ui/Button';
import { useLead } from '../ui/useLead';
import { useTicket } from './useTicket';
import { Area } from '../ui/Input';

/** So many counted cycles, and handing back is next. Common practice, no source. */
const LEADS_AFTER = 3;

/** The gate: what matters first, what is only told, and handing it back; or that it went, and when. */
export function Closing() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const [despite, setDespite] = useState('');
  const ends = openEnds(ticket, unit);
  const grave = ends.filter((end) => end.grave);
  // Only a few cycles counted lead here: the key before must never have been meant for something else.
  const counted = ticket.cycles.filter(({ cleanRunId }) => cleanRunId !== null).length >= LEADS_AFTER;
  const mayGo = canWrite && !ticket.closedAt && grave.length === 0 && counted;
  const lead = useLead(mayGo);
  if (ticket.closedAt) {
    return (
      <section aria-label="Handed back" className="grid gap-3">
        <h3 className="mt-3 text-lg">Handed back</h3>
        <p>
          On <time dateTime={ticket.closedAt}>{writtenMoment(ticket.closedAt)}</time>.
        </p>
        {ticket.closedDespite !== '' && <p>Handed back anyway, because: {ticket.closedDespite}</p>}
        <CommitButton disabled={!canWrite} onClick={() => dispatch(recordEvent({ type: 'ticketReopened' }))}>
          Open it again
        </CommitButton>
      </section>
    );
  }
  const told = ends.filter((end) => !end.grave);
  const close = (): void => {
    // What the ticket said of itself is kept as it was when the machine went.
    const [found, done, left] = FILLED.map((field) => handBackText(ticket, field));
    dispatch(
      recordEvents([
        { type: 'handBackWritten', changes: { found: found ?? '', done: done ?? '', left: left ?? '', own: FILLED } },
        { type: 'ticketClosed', despite: grave.length > 0 ? despite.trim() : '' },
      ]),
    );
  };
  return (
    <section aria-label="Before it goes" className="grid gap-3">
      <h3 className="mt-3 text-lg">
        {grave.length > 0
          ? 'Before it goes'
          : told.length > 0
            ? 'It may go; this is to be known'
            : 'Ready to hand back'}
      </h3>
      <Ends ends={grave} />
      {told.length > 0 && (
        <>
          {grave.length > 0 && <h4 className="text-sm text-soft">For information</h4>}
          <Ends ends={told} />
        </>
      )}
      {grave.length > 0 && (
        <label className="grid gap-1 text-sm text-soft">
          Hand back anyway, because… (this is printed)
          <Area
            rows={2}
            value={despite}
            maxLength={2000}
            disabled={!canWrite}
            onChange={(event) => setDespite(event.target.value)}
            className="text-lg leading-snug text-ink"
          />
        </label>
      )}
      <CommitButton
        ref={lead}
        data-lead={mayGo || undefined}
        look="strong"
        className="min-h-12"
        disabled={!canWrite || (grave.length > 0 && despite.trim() === '')}
        onClick={close}
      >
        Hand it back
      </CommitButton>
    </section>
  );
}

function Ends({ ends }: { readonly ends: readonly OpenEnd[] }) {
  const { ticket } = useTicket();
  return (
    <ul className="grid">
      {ends.map(({ words, station, driveName }) => (
        <li key={words} className="border-b border-hair">
          <Link
            to={`/t/${ticket.id}/${station}${driveName ? `?drive=${driveName}` : ''}`}
            className="flex min-h-11 items-center py-1.5 leading-snug underline decoration-hair underline-offset-4 hover:decoration-live"
          >
            {words}
          </Link>
        </li>
      ))}
    </ul>
  );
}
