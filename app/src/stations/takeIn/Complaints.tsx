import { nanoid } from 'nanoid';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { TextLine } from '../../parts/ui/TextLine';
import {
  COMPLAINT_STATE_NAMES,
  COMPLAINT_STATES,
  newComplaint,
  SOUND_NAMES,
  SOUNDS,
  type Complaint,
  type ComplaintState,
} from '@loose-pulley/core/record/stations';
import { Select } from '../../parts/ui/Select';
import { Fold } from '../../parts/ui/Fold';
import { WordsTaken } from '../../parts/typed/WordsTaken';
import { readOwner } from '@loose-pulley/core/work/ownerLine';

/** What is wrong, one by one, in the owner's words; each with its before, its after and what became of it. */
export function Complaints() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  return (
    <section aria-labelledby="complaints" className="grid gap-3">
      <h3 id="complaints" className="border-b border-ink pb-1 text-lg">
        What it does wrong, in the owner’s words
      </h3>
      {ticket.complaints.length === 0 && (
        <p className="text-soft">Nothing written down yet: how does the owner say it?</p>
      )}
      <ol className="grid">
        {ticket.complaints.map((one, index) => (
          <ComplaintLine key={one.id} complaint={one} number={index + 1} canWrite={canWrite} />
        ))}
      </ol>
      {canWrite && (
        <Button
          className="justify-self-start"
          onClick={() => dispatch(recordEvent({ type: 'complaintPut', complaint: newComplaint(nanoid(10), '') }))}
        >
          {ticket.complaints.length === 0 ? 'Write a complaint' : 'Another complaint'}
        </Button>
      )}
    </section>
  );
}

function ComplaintLine({
  complaint,
  number,
  canWrite,
}: {
  readonly complaint: Complaint;
  readonly number: number;
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  const { ticket } = useTicket();
  const put = (changes: Partial<Complaint>, gesture?: string) =>
    dispatch(recordEvent({ type: 'complaintPut', complaint: { ...complaint, ...changes } }, gesture));
  const line = (key: 'words' | 'before' | 'after', label: string, most: number) => (
    <TextLine
      label={label}
      value={complaint[key]}
      maxLength={most}
      disabled={!canWrite}
      onText={(text, gesture) => put({ [key]: text }, `${gesture}-${key}`)}
      {...(key === 'words' && {
        below: (text) => <WordsTaken words={readOwner(text, ticket.loader).words} />,
      })}
    />
  );
  return (
    <li className="grid gap-2 border-b border-hair py-3">
      <div className="grid items-start gap-3 md:grid-cols-[1fr_auto]">
        <div className="grid gap-2">{line('words', `Complaint ${number}`, 500)}</div>
        <div className="md:pt-[26px]">
          <Select
            aria-label={`Complaint ${number} is`}
            value={complaint.state}
            disabled={!canWrite}
            onChoose={(chosen) => put({ state: chosen as ComplaintState })}
            options={COMPLAINT_STATES.map((state) => [state, COMPLAINT_STATE_NAMES[state]] as const)}
          />
        </div>
      </div>
      <Fold
        title="Sounds, before and after"
        titleClass="text-soft"
        open={complaint.sounds.length > 0 || complaint.before !== '' || complaint.after !== ''}
      >
        <div className="grid gap-3">
          <div role="group" aria-label={`Sounds of complaint ${number}`} className="flex flex-wrap gap-2">
            {SOUNDS.map((sound) => {
              const heard = complaint.sounds.includes(sound);
              return (
                <Button
                  key={sound}
                  look={heard ? 'strong' : 'plain'}
                  aria-pressed={heard}
                  disabled={!canWrite}
                  onClick={() =>
                    put({
                      sounds: heard ? complaint.sounds.filter((one) => one !== sound) : [...complaint.sounds, sound],
                    })
                  }
                >
                  {SOUND_NAMES[sound]}
                </Button>
              );
            })}
          </div>
          {line('before', 'Before: how it was when it came', 2000)}
          {line('after', 'After: how it is now', 2000)}
          <div className="flex flex-wrap gap-3">
            <Button
              aria-pressed={!complaint.drivetrain}
              disabled={!canWrite}
              onClick={() => put({ drivetrain: !complaint.drivetrain })}
            >
              {complaint.drivetrain ? 'It is the drivetrain’s' : 'It is outside the drivetrain'}
            </Button>
            <Button
              look="quiet"
              disabled={!canWrite}
              onClick={() => dispatch(recordEvent({ type: 'complaintRemoved', complaintId: complaint.id }))}
            >
              Remove
            </Button>
          </div>
        </div>
      </Fold>
    </li>
  );
}
