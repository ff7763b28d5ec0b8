import { ButtonLink } from '../../parts/ui/ButtonLink';
import { useState } from 'react';
import { Link } from 'react-router';
import { writeTicketName } from '../../parts/ticket/names';
import { picturesNamed, writeTicketFile } from '@loose-pulley/core/ticket';
import { openEnds } from '@loose-pulley/core/handback';
import { recordEvent } from '../../state/persistence/actions';
import { loadPictures } from '../../state/persistence/pictures';
import { today } from '../../parts/clock/useNow';
import { useAppDispatch } from '../../state/store/hooks';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button, CommitButton } from '../../parts/ui/Button';
import { download } from '../../parts/ui/download';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextArea, TextLine } from '../../parts/ui/TextLine';
import { Fitted } from './Fitted';
import { Offers } from './Offers';
import { COMPLAINT_STATE_NAMES } from '@loose-pulley/core/stations';

/** Handing back, in short: what was found, done and left; the sheet; the file; and closing. */
export function HandBackPage() {
  const { ticket, record, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const area = (key: 'found' | 'done' | 'left' | 'notTested' | 'provisional', label: string) => (
    <TextArea
      key={key}
      label={label}
      rows={3}
      value={ticket.handBack[key]}
      disabled={!canWrite}
      onText={(text, gesture) => dispatch(recordEvent({ type: 'handBackWritten', changes: { [key]: text } }, gesture))}
    />
  );
  const ends = openEnds(ticket);
  const [despite, setDespite] = useState('');
  const exportTicket = async (): Promise<void> => {
    const pictures = await loadPictures(picturesNamed(record));
    if (Object.keys(pictures).length === 0) {
      download(`${writeTicketName(ticket)}.json`, writeTicketFile(record), 'application/json');
      return;
    }
    const { writeArchive } = await import('@loose-pulley/core/exchange');
    const bytes = await writeArchive([record], new Date().toISOString(), pictures);
    download(`${writeTicketName(ticket)}.zip`, bytes as Uint8Array<ArrayBuffer>, 'application/zip');
  };
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <h2 className="text-2xl">Hand back</h2>
        {ticket.complaints.length > 0 && (
          <ul aria-label="What it came in with" className="grid gap-1 text-lg">
            {ticket.complaints.map((one) => (
              <li key={one.id}>
                <q>{one.words}</q>, <strong>{COMPLAINT_STATE_NAMES[one.state]}</strong>
                {one.after !== '' && `: ${one.after}`}
              </li>
            ))}
          </ul>
        )}
        {area('found', 'What was found')}
        {area('done', 'What was done')}
        <Fitted />
        <Offers />
        {area('left', 'Noticed and left')}
        {area('notTested', 'Not tested, and why')}
        {area('provisional', 'Provisional: what will not last')}
        <DueOn />
        <div className="flex flex-wrap gap-4">
          <NumberLine
            label="Bench time"
            unit="minutes"
            max={100_000}
            value={ticket.handBack.minutes}
            disabled={!canWrite}
            onNumber={(minutes, gesture) =>
              dispatch(recordEvent({ type: 'handBackWritten', changes: { minutes } }, gesture))
            }
          />
          <TextLine
            label="Cost, where it is kept"
            value={ticket.handBack.cost}
            maxLength={40}
            disabled={!canWrite}
            onText={(cost, gesture) => dispatch(recordEvent({ type: 'handBackWritten', changes: { cost } }, gesture))}
          />
        </div>
      </div>
      <aside aria-label="Print, share and close" className="grid content-start gap-3 border-hair px-5 py-5 lg:border-l">
        <h3 className="text-lg">Print and share</h3>
        <ButtonLink to={`/t/${ticket.id}/sheet`} look="strong" className="min-h-12">
          Bench sheet, to print
        </ButtonLink>
        <ButtonLink to={`/t/${ticket.id}/letter`} className="min-h-12">
          Letter to the owner
        </ButtonLink>
        <Button className="min-h-12" onClick={() => void exportTicket()}>
          Export the ticket as a file
        </Button>
        <p className="text-sm text-soft">
          The file holds the whole ticket with its history; with pictures it is a zip. It goes to another bench by any
          road, and opens there from the Log.
        </p>
        <h3 className="mt-3 text-lg">
          {ticket.closedAt ? 'Handed back' : ends.length > 0 ? 'Before it goes' : 'Nothing stands against it'}
        </h3>
        {!ticket.closedAt && (
          <ul className="grid">
            {ends.map(({ words, station, driveName }) => (
              <li key={words} className="border-b border-hair">
                <Link
                  to={`/t/${ticket.id}/${station}${driveName ? `?drive=${driveName}` : ''}`}
                  className="flex min-h-11 items-center underline decoration-hair underline-offset-4 hover:decoration-live"
                >
                  {words}
                </Link>
              </li>
            ))}
          </ul>
        )}
        {ticket.closedAt ? (
          <>
            <p>
              On <time dateTime={ticket.closedAt}>{new Date(ticket.closedAt).toLocaleString()}</time>.
            </p>
            {ticket.closedDespite !== '' && <p>Handed back anyway, because: {ticket.closedDespite}</p>}
            <CommitButton disabled={!canWrite} onClick={() => dispatch(recordEvent({ type: 'ticketReopened' }))}>
              Open it again
            </CommitButton>
          </>
        ) : (
          <>
            {ends.length > 0 && (
              <label className="grid gap-1 text-sm text-soft">
                Hand back anyway, because… (this is printed)
                <textarea
                  rows={2}
                  value={despite}
                  maxLength={2000}
                  disabled={!canWrite}
                  onChange={(event) => setDespite(event.target.value)}
                  className="field text-lg leading-snug text-ink"
                />
              </label>
            )}
            <CommitButton
              look="strong"
              className="min-h-12"
              disabled={!canWrite || (ends.length > 0 && despite.trim() === '')}
              onClick={() =>
                dispatch(recordEvent({ type: 'ticketClosed', despite: ends.length > 0 ? despite.trim() : '' }))
              }
            >
              Hand it back
            </CommitButton>
          </>
        )}
        <StationFoot station="handBack" />
      </aside>
    </div>
  );
}

/** The day on which something provisional is to be looked at again. It comes back on the Bench. */
function DueOn() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { dueOn } = ticket.handBack;
  const past = dueOn !== '' && dueOn < today();
  return (
    <label className="grid max-w-60 gap-1 text-sm text-soft">
      Look at it again by
      <input
        type="date"
        value={dueOn}
        disabled={!canWrite}
        onChange={(event) => dispatch(recordEvent({ type: 'handBackWritten', changes: { dueOn: event.target.value } }))}
        className="field text-lg text-ink"
      />
      {past && <span className="text-live">That day is past: it stands on the Bench as due already.</span>}
    </label>
  );
}
