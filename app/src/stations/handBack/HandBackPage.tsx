import { ButtonLink } from '../../parts/ui/ButtonLink';
import { writeTicketName } from '../../parts/ticket/names';
import { picturesNamed, writeTicketFile } from '@loose-pulley/core/record/ticket';
import { recordEvent } from '../../state/persistence/recording';
import { loadPictures } from '../../state/persistence/pictures';
import { today } from '../../state/written';
import { useAppDispatch } from '../../state/store/hooks';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { download } from '../../parts/ui/download';
import { NumberLine } from '../../parts/ui/NumberLine';
import { TextArea, TextLine } from '../../parts/ui/TextLine';
import { formatDay } from '@loose-pulley/core/base/units';
import { monthsLater } from '@loose-pulley/core/base/timers';
import { REMEDIES, REMEDY_IDS } from '@loose-pulley/core/belts/probability';
import { useDueMonths } from '../../parts/ticket/useDueMonths';
import { ComplaintAnswers } from '../../parts/ticket/ComplaintAnswers';
import { Closing } from '../../parts/ticket/Closing';
import { FilledArea } from '../../parts/ticket/FilledArea';
import { Fitted } from './Fitted';
import { Offers } from './Offers';
import { Input } from '../../parts/ui/Input';

/** Handing back, in short: what was found, done and left; the sheet; the file; and closing. */
export function HandBackPage() {
  const { ticket, record, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const area = (key: 'notTested' | 'provisional', label: string) => (
    <TextArea
      key={key}
      label={label}
      rows={3}
      value={ticket.handBack[key]}
      disabled={!canWrite}
      onText={(text, gesture) => dispatch(recordEvent({ type: 'handBackWritten', changes: { [key]: text } }, gesture))}
    />
  );
  const exportTicket = async (): Promise<void> => {
    const pictures = await loadPictures(picturesNamed(record));
    if (Object.keys(pictures).length === 0) {
      download(`${writeTicketName(ticket)}.json`, writeTicketFile(record), 'application/json');
      return;
    }
    const { writeArchive } = await import('@loose-pulley/core/files/exchange');
    const bytes = await writeArchive([record], new Date().toISOString(), pictures);
    download(`${writeTicketName(ticket)}.zip`, bytes as Uint8Array<ArrayBuffer>, 'application/zip');
  };
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <h2 className="text-2xl">Hand back</h2>
        <ComplaintAnswers />
        <FilledArea field="found" label="What was found" />
        <FilledArea field="done" label="What was done" />
        <Fitted />
        <Offers />
        <FilledArea field="left" label="Noticed and left" />
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
        <Closing />
        <StationFoot station="handBack" />
      </aside>
    </div>
  );
}

/** What this bench's own log says of such remedies, once it has enough of them: a day to take with one press. */
function LearnedDay() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const dueMonths = useDueMonths();
  const said = `${ticket.handBack.provisional} ${ticket.drives.flatMap(({ tries }) => tries.map(({ source }) => source)).join(' ')}`;
  const id = REMEDY_IDS.find((one) => said.includes(REMEDIES[one].name));
  const learned = id && dueMonths(id);
  if (!id || !learned) return null;
  const on = monthsLater(today(), learned.months);
  if (ticket.handBack.dueOn === on) return null;
  return (
    <span className="text-ink">
      Of {learned.seen} here by “{REMEDIES[id].name}”, one in five was back after {learned.months} months.{' '}
      <Button
        look="quiet"
        disabled={!canWrite}
        onClick={() => dispatch(recordEvent({ type: 'handBackWritten', changes: { dueOn: on } }))}
      >
        Take {formatDay(on)}
      </Button>
    </span>
  );
}

/** The day on which something provisional is to be looked at again. It comes back on the Bench. */
function DueOn() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { dueOn } = ticket.handBack;
  const past = dueOn !== '' && dueOn < today();
  return (
    <div className="grid max-w-80 gap-1 text-sm">
      <label className="grid max-w-60 gap-1 text-sm text-soft">
        Look at it again by
        <Input
          type="date"
          value={dueOn}
          disabled={!canWrite}
          onChange={(event) =>
            dispatch(recordEvent({ type: 'handBackWritten', changes: { dueOn: event.target.value } }))
          }
          className="text-lg text-ink"
        />
        {past && <span className="text-live">That day is past: it stands on the Bench as due already.</span>}
      </label>
      <LearnedDay />
    </div>
  );
}
