import { useTaken, TakenNote } from '../../parts/measuring/useTaken';
import { nanoid } from 'nanoid';
import { useId } from 'react';
import { takesTime, type Shrink } from '@loose-pulley/core/work/cleaning';
import { findMethod, takeReading } from '@loose-pulley/core/belts/measuring';
import { COOL_MINUTES, cleanView, WARM_MINUTES } from '@loose-pulley/core/views/clean';
import { warmedRange } from '@loose-pulley/core/belts/probability';
import { isGone } from '@loose-pulley/core/physics/drive';
import { formatLength } from '@loose-pulley/core/base/units';
import { timerState, timerWords } from '@loose-pulley/core/base/timers';
import { recordEvent, recordEvents } from '../../state/persistence/recording';
import { useAppDispatch, useUnit } from '../../state/store/hooks';
import { useNow } from '../../parts/clock/useNow';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Fold } from '../../parts/ui/Fold';
import { useUnsaved } from '../../parts/ui/useUnsaved';
import { Input } from '../../parts/ui/Input';

/** A slack belt warmed to shrink: its length before, three minutes warm, five to cool, its length after. */
export function WarmToShrink() {
  const { ticket } = useTicket();
  const { drive, facts } = useDriveView();
  if (isGone(drive.oldState) || !facts.oldBelt) return null;
  const begun = ticket.cleaning.shrinks.some(({ driveId }) => driveId === drive.id);
  return (
    <Fold title="Warm the old belt to shrink it" open={begun}>
      <Warming />
    </Fold>
  );
}

function Warming() {
  const { ticket, canWrite } = useTicket();
  const { drive, facts } = useDriveView();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const nowMs = useNow();
  const shrink = ticket.cleaning.shrinks.findLast(({ driveId }) => driveId === drive.id);
  const belt = cleanView(ticket).places.find(({ place }) => place.kind === 'belt' && place.driveId === drive.id);
  const before = shrink && shrink.afterMm === null ? shrink.beforeMm : (facts.warmedBelt ?? facts.oldBelt)?.value;
  if (before === undefined || !belt) return null;
  const say = (mm: number): string => `${formatLength(mm, unit)} ${unit}`;
  const range = facts.path && warmedRange(before, facts.path.value, facts.section?.value ?? 0);
  const timer = ticket.timers.findLast(({ placeId, endedAt }) => placeId === belt.place.id && endedAt === null);
  const at = (): string => new Date().toISOString();
  const run = (what: string, minutes: number) =>
    ({
      type: 'timerPut',
      timer: {
        id: timer?.id ?? nanoid(10),
        what,
        startedAt: at(),
        endsAt: new Date(Date.now() + minutes * 60_000).toISOString(),
        endedAt: null,
        placeId: belt.place.id,
      },
    }) as const;
  return (
    <div className="grid content-start gap-2">
      <p className="text-sm text-soft">
        Water or air of 80 to 100 °C, away from the electronics; tongs, not fingers. A fifth to three fifths of what it
        has stretched may come back, and some of it goes again in use.
      </p>
      <p>
        <span className="text-soft">Before:</span> {say(before)} inner length
        {range && range.toMm < before && (
          <>
            . <span className="text-soft">Hoped for:</span> {say(range.fromMm)} to {say(range.toMm)}
          </>
        )}
        {shrink && shrink.afterMm !== null && (
          <>
            <br />
            <span className="text-soft">Came to:</span> <strong>{say(shrink.afterMm)}</strong>, from{' '}
            {say(shrink.beforeMm)}. Size keeps it at that.
          </>
        )}
      </p>
      {timer && (
        <p className="font-semibold first-letter:uppercase">{timerWords(timer.what, timerState(timer, nowMs))}</p>
      )}
      {(!shrink || shrink.afterMm !== null) && (
        <Button
          disabled={!canWrite}
          onClick={() =>
            dispatch(
              recordEvents([
                {
                  type: 'shrinkPut',
                  shrink: { id: nanoid(10), at: at(), driveId: drive.id, beforeMm: before, afterMm: null },
                },
                run(takesTime(belt.place.name, 'warm'), WARM_MINUTES),
              ]),
            )
          }
        >
          It is in the warmth: {WARM_MINUTES} minutes
        </Button>
      )}
      {shrink && shrink.afterMm === null && (
        <>
          <Button
            disabled={!canWrite}
            onClick={() => dispatch(recordEvent(run(takesTime(belt.place.name, 'cool'), COOL_MINUTES)))}
          >
            It is out: {COOL_MINUTES} minutes to cool and dry
          </Button>
          <AfterLength
            shrink={shrink}
            onLength={() => {
              if (timer) dispatch(recordEvent({ type: 'timerPut', timer: { ...timer, endedAt: at() } }));
            }}
          />
        </>
      )}
    </div>
  );
}

/** The length after, read as the old one was: the same way, the same tools. */
function AfterLength({ shrink, onLength }: { readonly shrink: Shrink; readonly onLength: () => void }) {
  const { ticket, canWrite } = useTicket();
  const { drive, facts } = useDriveView();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const id = useId();
  const old = drive.readings.find(({ measurand, round }) => measurand === 'oldBelt' && !round);
  const method = old && findMethod(old.method);
  const {
    text: typed,
    setText: setTyped,
    taken,
    read,
    keep,
  } = useTaken((text, kept) =>
    old && method
      ? takeReading(text, method, {
          unit,
          aux: old.aux,
          section: facts.section,
          expectedMm: shrink.beforeMm,
          keep: kept,
        })
      : { state: 'refusal', problem: '' },
  );
  useUnsaved('enter', typed.trim() !== '');
  if (!old || !method) return null;
  const take = (): void => {
    if (taken?.state !== 'reading' || !read) return;
    const round = 1 + ticket.cleaning.shrinks.findIndex((one) => one.id === shrink.id);
    const done = dispatch(
      recordEvents([
        { type: 'shrinkPut', shrink: { ...shrink, afterMm: read.value } },
        {
          type: 'readingTaken',
          driveId: drive.id,
          reading: { ...old, id: nanoid(10), typed: typed.trim().slice(0, 200), amount: taken.amount, round },
        },
      ]),
    );
    if (done) {
      setTyped('');
      onLength();
    }
  };
  return (
    <div className="grid gap-1">
      <label htmlFor={id} className="text-sm text-soft">
        Measured cold, {method.label}, as before ({formatLength(old.amount, unit)} then)
      </label>
      <span className="flex items-center gap-2">
        <Input
          id={id}
          inputMode="decimal"
          autoComplete="off"
          className="w-32 text-xl"
          disabled={!canWrite}
          value={typed}
          aria-invalid={taken !== undefined && !read}
          onChange={(event) => setTyped(event.target.value)}
          onKeyDown={(event) => event.key === 'Enter' && take()}
        />
        <Button disabled={!canWrite || !read} onClick={take}>
          That is its length now
        </Button>
      </span>
      <TakenNote taken={taken} onKeep={keep} />
      {read && read.value > shrink.beforeMm && (
        <p role="alert" className="text-sm text-live">
          Longer than before: a belt does not grow by warming. Is it still warm, or was it measured otherwise?
        </p>
      )}
    </div>
  );
}
