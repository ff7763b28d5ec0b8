import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Select } from '../../parts/ui/Select';
import { Folded } from '../../parts/ui/Folded';
import { CycleLog } from '../../parts/cycles/CycleLog';
import { TimedTests } from '../../parts/cycles/TimedTests';
import { Pictures } from '../../parts/pictures/Pictures';
import { StationFoot } from '../../parts/ticket/StationFoot';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Caution } from '../../parts/ui/Caution';
import { Segments } from '../../parts/ui/Segments';
import { TextArea, TextLine } from '../../parts/ui/TextLine';
import { PluggedCaution } from '../../parts/clock/PluggedCaution';
import { Complaints } from './Complaints';
import { Discs } from '../../parts/ticket/Discs';
import { RemoteIntake } from './RemoteIntake';
import { CameBack, KnownBefore } from './KnownBefore';
import { OnArrival } from './OnArrival';
import { PromiseLine } from './PromiseLine';
import { TriedAgain } from './TriedAgain';
import { UnplugFirst } from './UnplugFirst';
import type { Details, ErrorCode } from '@loose-pulley/core/record/stations';
import { LOADERS, loaderOf } from '@loose-pulley/core/base/loaders';

/** Taking in, in short: whose machine, what it is, what it does wrong, and what it waits for. */
export function TakeInPage() {
  const { ticket, canWrite } = useTicket();
  const { drive } = useDrive();
  const dispatch = useAppDispatch();
  const change = (changes: Partial<Details>, gesture?: string) =>
    dispatch(recordEvent({ type: 'detailsChanged', changes }, gesture));
  const line = (key: 'machine' | 'owner' | 'serial' | 'number', label: string, most: number) => (
    <TextLine
      label={label}
      value={ticket[key]}
      maxLength={most}
      disabled={!canWrite}
      onText={(text, gesture) => change({ [key]: text }, gesture)}
    />
  );
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid grid-cols-1 content-start gap-5 bg-sheet px-5 py-5">
        <h2 className="text-2xl">Take in</h2>
        <Caution>
          Unplug first and leave it so for a few minutes; parts may stay charged. Then try it again before opening.
        </Caution>
        <Complaints />
        <div className="grid gap-5 md:grid-cols-2">
          {line('machine', 'Machine', 120)}
          {line('owner', 'Whose, or where it stands', 120)}
          {line('serial', 'Serial number', 80)}
          {line('number', 'Ticket number', 20)}
        </div>
        <Select
          label="Kind of loader"
          value={ticket.loader}
          disabled={!canWrite}
          options={LOADERS.map((loader) => [loader, loaderOf(loader).name] as const)}
          onChoose={(loader) => change({ loader })}
          className="max-w-64"
        />
        <div className="grid gap-5 md:grid-cols-2">
          <TextLine
            label={`Drive ${drive.name}: what it drives`}
            value={drive.role}
            maxLength={80}
            placeholder="loading, lift, table"
            disabled={!canWrite}
            onText={(role, gesture) =>
              dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { role } }, gesture))
            }
          />
          <TextLine
            label={`Drive ${drive.name}: its mechanism`}
            value={drive.mechanism}
            maxLength={80}
            hint="Machines of different makes share a mechanism; sizes belong to it."
            disabled={!canWrite}
            onText={(mechanism, gesture) =>
              dispatch(recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { mechanism } }, gesture))
            }
          />
        </div>
        <CameBack />
        <KnownBefore />
        <OnArrival />
        <CycleLog cleanRunId={null} />
        <TimedTests side="before" />
        <Pictures />
        <StationFoot station="takeIn" note />
      </div>
      <aside aria-label="Waiting for" className="grid content-start gap-4 border-hair px-5 py-5 lg:border-l">
        <PluggedCaution ticket={ticket} />
        <UnplugFirst />
        <TriedAgain />
        <Discs />
        <Folded
          name="waitingFor"
          title={`Waiting for: ${{ nothing: 'nothing', parts: 'parts', owner: 'the owner' }[ticket.waiting.for]}`}
          open={ticket.waiting.for !== 'nothing'}
        >
          <Segments
            label="Waiting for"
            value={ticket.waiting.for}
            disabled={!canWrite}
            options={[
              ['nothing', 'nothing'],
              ['parts', 'parts'],
              ['owner', 'the owner'],
            ]}
            onChoose={(value) =>
              dispatch(recordEvent({ type: 'waitingChanged', waiting: { ...ticket.waiting, for: value } }))
            }
          />
          <TextLine
            label="Details"
            value={ticket.waiting.what}
            maxLength={200}
            disabled={!canWrite}
            onText={(what, gesture) =>
              dispatch(recordEvent({ type: 'waitingChanged', waiting: { ...ticket.waiting, what } }, gesture))
            }
          />
        </Folded>
        <PromiseLine />
        <Folded
          name="mechanismNotes"
          title="Of this mechanism: what is normal, its codes"
          open={drive.normal !== '' || drive.codes.length > 0}
        >
          <TextArea
            label={`What is normal for ${drive.mechanism || 'this mechanism'}`}
            rows={2}
            value={drive.normal}
            disabled={!canWrite}
            onText={(text, gesture) =>
              dispatch(
                recordEvent(
                  { type: 'driveChanged', driveId: drive.id, changes: { normal: text.slice(0, 2000) } },
                  gesture,
                ),
              )
            }
          />
          <TextArea
            label="Its error codes, one a line: code, then what it means"
            rows={3}
            value={drive.codes.map(({ code, meaning }) => `${code} ${meaning}`).join('\n')}
            disabled={!canWrite}
            onText={(text, gesture) =>
              dispatch(
                recordEvent({ type: 'driveChanged', driveId: drive.id, changes: { codes: readCodes(text) } }, gesture),
              )
            }
          />
        </Folded>
        <RemoteIntake />
      </aside>
    </div>
  );
}

/** Lines of codes as typed: the first word is the code. */
const readCodes = (text: string): ErrorCode[] =>
  text
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .slice(0, 200)
    .map((line) => {
      const [code = '', ...meaning] = line.split(/\s+/);
      return { code: code.slice(0, 40), meaning: meaning.join(' ').slice(0, 400) };
    });
