import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Link } from 'react-router';
import { GEAR_ENDS, GEAR_RESULTS, type GearTrial } from '@loose-pulley/core/work/strip';
import { forLoader } from '@loose-pulley/core/base/loaders';
import { formatLength } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { NumberLine } from '../../parts/ui/NumberLine';
import { Fold } from '../../parts/ui/Fold';
import { Input } from '../../parts/ui/Input';

const RESULT_NAMES: Readonly<Record<GearTrial['result'], string>> = {
  right: 'right',
  slow: 'slow',
  error: 'error',
  liftShort: 'lift falls short',
  uneven: 'disc lies uneven',
};

const END_NAMES: Readonly<Record<GearTrial['parkedAt'], string>> = {
  unknown: 'unknown',
  in: 'tray in',
  out: 'tray out',
};

/** Setting a train: where it is parked, each trial shift with what it did, and how far one tooth moves the tray. */
export function GearTiming() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [what, setWhat] = useState('');
  const [parkedAt, setParkedAt] = useState<GearTrial['parkedAt']>('unknown');
  const [teeth, setTeeth] = useState<number | null>(0);
  const [moduleMm, setModuleMm] = useState<number | null>(null);
  const { gearTrials } = ticket.strip;
  const log = (result: GearTrial['result']) =>
    dispatch(
      recordEvent({
        type: 'gearTried',
        trial: {
          id: nanoid(10),
          at: new Date().toISOString(),
          what: what.trim().slice(0, 400),
          parkedAt,
          teeth: Math.round(teeth ?? 0),
          result,
        },
      }),
    );
  return (
    <Fold title="Gear timing" titleClass="text-lg" open={gearTrials.length > 0} className="border-t border-hair">
      <div className="grid gap-3">
        <p className="text-soft">
          Set a train at one end of its travel or the other, never between: the pin parked where its channel begins, the
          first tooth at its mark. Say directions from a stated side.
        </p>
        <Link className="underline decoration-hair underline-offset-4" to={`/t/${ticket.id}/train`}>
          The train: marks, what a tooth does, the next trial
        </Link>
        <ol>
          {gearTrials.map((trial) => (
            <li key={trial.id} className="border-b border-hair py-1">
              {trial.what},
              {trial.parkedAt !== 'unknown' &&
                ` parked with the ${forLoader(END_NAMES[trial.parkedAt], ticket.loader)},`}{' '}
              {trial.teeth === 0 ? 'at the mark' : `${trial.teeth > 0 ? '+' : ''}${trial.teeth} from the mark`}:{' '}
              <strong>{RESULT_NAMES[trial.result]}</strong>
            </li>
          ))}
        </ol>
        <label className="grid gap-1 text-sm text-soft">
          Which gear, viewed from where
          <Input
            value={what}
            maxLength={400}
            disabled={!canWrite}
            placeholder="rack pinion, viewed from above"
            onChange={(event) => setWhat(event.target.value)}
            className="text-ink"
          />
        </label>
        <Segments
          label="Parked with"
          value={parkedAt}
          disabled={!canWrite}
          options={GEAR_ENDS.map((end) => [end, forLoader(END_NAMES[end], ticket.loader)] as const)}
          onChoose={setParkedAt}
        />
        <NumberLine
          label="From the mark, with the clock +"
          unit="teeth"
          min={-99}
          max={99}
          value={teeth}
          disabled={!canWrite}
          onNumber={(value) => setTeeth(value)}
        />
        <div role="group" aria-label="What it did" className="flex flex-wrap gap-2">
          {GEAR_RESULTS.map((result) => (
            <Button key={result} disabled={!canWrite || what.trim() === ''} onClick={() => log(result)}>
              {RESULT_NAMES[result]}
            </Button>
          ))}
        </div>
        <NumberLine
          label="Module of the rack, where it is known"
          unit="mm"
          max={5}
          value={moduleMm}
          onNumber={(value) => setModuleMm(value)}
        />
        {moduleMm !== null && moduleMm > 0 && (
          <p>
            One tooth at the rack moves it by π × {moduleMm} ={' '}
            <strong>{formatLength(Math.PI * moduleMm, 'mm')} mm</strong>.
          </p>
        )}
      </div>
    </Fold>
  );
}
