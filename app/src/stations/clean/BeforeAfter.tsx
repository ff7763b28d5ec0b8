import { isTurned, loaderOf, DRIVEN } from '@loose-pulley/core/base/loaders';
import { nanoid } from 'nanoid';
import {
  FEEL_NAMES,
  FEELS,
  feelChange,
  isCure,
  lastOf,
  pullChangeWords,
  SLIP_NAMES,
  slipChange,
  SLIPS,
  type Change,
  type Feel,
  type Slip,
} from '@loose-pulley/core/work/cleaning';
import { cleanView } from '@loose-pulley/core/views/clean';

import { formatNewton, parseForce } from '@loose-pulley/core/base/units';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { ReadingInput } from '../../parts/measuring/ReadingInput';
import { useReading } from '../../parts/measuring/useReading';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useDrive, useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { NumberLine } from '../../parts/ui/NumberLine';
import { WarmToShrink } from './WarmToShrink';
import { CrumbsOf } from './CrumbsOf';

const CHANGE_WORDS: Readonly<Record<Change, string>> = {
  better: 'Better',
  worse: 'Worse',
  notToldApart: 'No difference that can be felt',
};

/** The same test before and after: the belt held back, the pull by scale or by hand, on the same place. */
export function BeforeAfter() {
  const { ticket } = useTicket();
  const { drive } = useDrive();
  const spindle = isTurned(loaderOf(ticket.loader).driven);
  return (
    <section aria-label="Before and after" className="grid gap-4">
      <h3 className="border-b border-ink pb-1 text-lg">
        Before and after{ticket.drives.length > 1 && `, drive ${drive.name}`}
      </h3>
      <div className="grid gap-5 xl:grid-cols-2">
        <SlipTests />
        {!spindle && <Pulls />}
        <WarmToShrink />
        <CrumbsOf />
      </div>
    </section>
  );
}

/** Whether anything of this drive was treated: what is tested now is tested before or after. */
function useStage(): 'before' | 'after' {
  const { ticket } = useTicket();
  const { drive } = useDrive();
  const own = new Set(
    cleanView(ticket)
      .places.filter(({ place }) => place.driveId === drive.id || place.driveId === null)
      .map(({ place }) => place.id),
  );
  return ticket.cleaning.treatments.some((one) => one.placeId !== null && own.has(one.placeId) && isCure(one))
    ? 'after'
    : 'before';
}

function SlipTests() {
  const { ticket, canWrite } = useTicket();
  const { drive } = useDrive();
  const dispatch = useAppDispatch();
  const stage = useStage();
  const tests = ticket.cleaning.slipTests.filter(({ driveId }) => driveId === drive.id);
  const [before, after] = [lastOf(tests, 'before'), lastOf(tests, 'after')];
  const change = slipChange(tests);
  const last = stage === 'before' ? before : after;
  const put = (slip: Slip, forceN: number | null, gesture?: string): void => {
    dispatch(
      recordEvent(
        {
          type: 'slipTested',
          test: { id: last?.id ?? nanoid(10), at: new Date().toISOString(), driveId: drive.id, stage, slip, forceN },
        },
        gesture,
      ),
    );
  };
  const said = (one: typeof before): string =>
    one ? `${SLIP_NAMES[one.slip]}${one.forceN === null ? '' : `, at ${formatNewton(one.forceN)}`}` : 'not tried';
  return (
    <div className="grid content-start gap-2">
      <h4 className="font-semibold">Slip test</h4>
      <p>
        <span className="text-soft">Before:</span> {said(before)}
        {(after ?? stage === 'after') && (
          <>
            <br />
            <span className="text-soft">After:</span> {said(after)}
          </>
        )}
      </p>
      {change && <p className="font-semibold">{CHANGE_WORDS[change]}.</p>}
      <p className="text-sm text-soft">
        Hold the driven pulley lightly and turn the motor pulley with a clean finger.{' '}
        {stage === 'before' ? 'Nothing is cleaned yet: this is before.' : 'This is after.'}
      </p>
      <div className="flex flex-wrap gap-2">
        {SLIPS.map((slip) => (
          <Button
            key={slip}
            aria-pressed={last?.slip === slip}
            disabled={!canWrite}
            onClick={() => put(slip, last?.forceN ?? null)}
          >
            {SLIP_NAMES[slip]}
          </Button>
        ))}
      </div>
      {last && (
        <NumberLine
          label="By a scale, as it let go"
          unit="N"
          value={last.forceN}
          max={200}
          parse={parseForce}
          disabled={!canWrite}
          onNumber={(forceN, gesture) => put(last.slip, forceN, gesture)}
        />
      )}
    </div>
  );
}

function Pulls() {
  const { ticket, canWrite } = useTicket();
  const { drive, facts } = useDriveView();
  const dispatch = useAppDispatch();
  const stage = useStage();
  const moved = DRIVEN[loaderOf(ticket.loader).driven].word;
  const { trayPull, trayPullBefore } = facts;
  const tests = ticket.cleaning.feelTests.filter(({ driveId }) => driveId === drive.id);
  const last = lastOf(tests, stage);
  const change = feelChange(tests);
  // A new one each time: what was read before stays what it was.
  const control = useReading(drive, facts, 'trayPull', undefined, `clean-${drive.readings.length}`);
  const put = (feel: Feel): void => {
    dispatch(
      recordEvent({
        type: 'feelTested',
        test: { id: last?.id ?? nanoid(10), at: new Date().toISOString(), driveId: drive.id, stage, feel },
      }),
    );
  };
  return (
    <div className="grid content-start gap-2">
      <h4 className="font-semibold">The pull of the {moved}, belt off, on the same place</h4>
      {trayPull && (
        <p>
          {trayPullBefore ? (
            <strong className="inline-block first-letter:uppercase">
              {pullChangeWords(trayPullBefore, trayPull)}.
            </strong>
          ) : (
            <>
              <span className="text-soft">{stage === 'after' ? 'So far:' : 'Before:'}</span>{' '}
              {formatNewton(trayPull.value)} ± {formatNewton(2 * trayPull.std)}
            </>
          )}
          {trayPullBefore && <span className="text-soft"> Size judges by the latter, Find by the former.</span>}
        </p>
      )}
      <div className="grid gap-1">
        <span className="text-sm text-soft">By a scale now, N{stage === 'after' ? ', after' : ', before'}</span>
        <ReadingInput
          control={control}
          label={`Pull of the ${moved} by a scale, now`}
          disabled={!canWrite}
          walks={false}
          className="w-36"
          placeholder="1.4"
        />
        {control.refusal && (
          <p role="alert" className="text-sm text-live">
            {control.refusal}
          </p>
        )}
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <span className="text-sm text-soft">or by hand, {stage}</span>
        {FEELS.map((feel) => (
          <Button key={feel} aria-pressed={last?.feel === feel} disabled={!canWrite} onClick={() => put(feel)}>
            {FEEL_NAMES[feel]}
          </Button>
        ))}
      </div>
      {change && <p className="font-semibold">{CHANGE_WORDS[change]}, by feel; no figure.</p>}
    </div>
  );
}
