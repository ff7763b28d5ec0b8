import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Link } from 'react-router';
import { sameBelt } from '@loose-pulley/core/belts/catalogue';
import { driveView, gripsNow, oldBeltTry, soldTry, type DriveView } from '@loose-pulley/core/views/drive';
import { chosenBelt, driveOfBelt, fittingOf } from '@loose-pulley/core/views/machine';
import type { Step } from '@loose-pulley/core/work/strip';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import type { Try } from '@loose-pulley/core/record/stations';
import { fitBelt } from '../../state/persistence/fitting';
import { useBench } from '../../state/store/assumptions';
import { useAppDispatch, useUnit } from '../../state/store/hooks';
import { useOwned } from '../../parts/ticket/useOwned';
import { useRecommendation } from '../../parts/ticket/useRecommendation';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { SectionSign } from '../../parts/ui/SectionSign';
import { BELT_POINTS } from './beltPoints';
import { Check } from '../../parts/ui/Check';

/** A belt on the way back: which one was chosen, and the seven points, by one press or one by one. */
export function BeltStep({
  step,
  next,
  back,
}: {
  readonly step: Step;
  readonly next: boolean;
  readonly back: () => void;
}) {
  const { ticket, past } = useTicket();
  const bench = useBench();
  const drive = driveOfBelt(ticket, step);
  if (!drive) return <Points step={step} next={next} onDone={back} />;
  const chosen = chosenBelt(drive);
  if (chosen) return <Chosen step={step} next={next} driveId={drive.id} letter={drive.name} belt={chosen} logged />;
  return <Recommended step={step} next={next} view={driveView(ticket, drive, bench, past)} back={back} />;
}

/** No belt was tried yet: the recommended one is named, and goes on with the points. */
function Recommended({
  step,
  next,
  view,
  back,
}: {
  readonly step: Step;
  readonly next: boolean;
  readonly view: DriveView;
  readonly back: () => void;
}) {
  const { ticket } = useTicket();
  const unit = useUnit();
  const { best, nothingFits, status } = useRecommendation(view);
  const owned = useOwned(view);
  const grips = gripsNow(ticket, view.drive.id);
  const old = grips === undefined ? undefined : oldBeltTry(view, 'the old belt, cleaned');
  const want = ticket.wants.find(({ driveId }) => driveId === view.drive.id);
  const named = (belt: Try, doubt: string) => (
    <Chosen
      step={step}
      next={next}
      driveId={view.drive.id}
      letter={view.drive.name}
      belt={belt}
      logged={false}
      doubt={doubt}
    />
  );
  // As Size has it: what fingers could not make slip is kept.
  if (old)
    return named({ id: nanoid(10), ...old }, `Fingers could not make it slip (${grips}): Size keeps the old belt.`);
  if (!view.situation.ok || (!best && status !== 'waiting')) {
    return (
      <div className="grid gap-2">
        <p>
          No belt is chosen yet for drive {view.drive.name}.{' '}
          <Link className="underline" to={`/t/${ticket.id}/size?drive=${view.drive.name}`}>
            Choose it at Size
          </Link>
          , or put the old one back.
        </p>
        <Points step={step} next={next} onDone={back} />
      </div>
    );
  }
  // As high as the seven points that come: nothing below moves when they do.
  if (!best) return <p className="min-h-[192px] text-soft max-sm:min-h-[368px]">Which belt: being worked out.</p>;
  const belt: Try = { id: nanoid(10), ...soldTry(best.catalogueBelt, owned.get(best.catalogueBelt.id)) };
  const doubts = [
    nothingFits ? 'Nothing in stock fits; this is the nearest.' : '',
    want && !sameBelt(want.belt, belt) ? `${beltLabel(want.belt, unit).size} is awaited for this drive.` : '',
  ];
  return named(belt, doubts.filter(Boolean).join(' '));
}

function Chosen({
  step,
  next,
  driveId,
  letter,
  belt,
  logged,
  doubt = '',
}: {
  readonly step: Step;
  readonly next: boolean;
  readonly driveId: string;
  readonly letter: string;
  readonly belt: Try;
  /** It was fitted at Size already: only its step is still out. */
  readonly logged: boolean;
  readonly doubt?: string;
}) {
  const { ticket } = useTicket();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const label = beltLabel(belt, unit);
  const fit = (): void => {
    const all = fittingOf(ticket, driveId, belt, new Date().toISOString());
    dispatch(fitBelt(ticket, driveId, logged ? all.filter(({ type }) => type !== 'tryLogged') : all));
  };
  return (
    <div className="grid gap-2">
      <p>
        {logged ? 'Chosen' : 'Recommended'}: <SectionSign shape={belt.shape} /> <strong>{label.size}</strong>{' '}
        <span className="text-soft">
          {label.words}, {belt.source}
        </span>
        . {doubt}{' '}
        <Link className="underline" to={`/t/${ticket.id}/size?drive=${letter}`}>
          Another
        </Link>
      </p>
      <Points step={step} next={next} onDone={fit} />
    </div>
  );
}

/** The seven points: all at once, or one by one. */
function Points({ step, next, onDone }: { readonly step: Step; readonly next: boolean; readonly onDone: () => void }) {
  const { canWrite } = useTicket();
  const [asked, setAsked] = useState<ReadonlySet<string>>(new Set());
  const ready = asked.size === BELT_POINTS.length;
  return (
    <div className="grid gap-2">
      <Button
        look={next ? 'strong' : 'plain'}
        className={next ? 'min-h-16 text-xl' : 'justify-self-start'}
        disabled={!canWrite}
        aria-label={`Number ${step.number} back: all seven points, the belt is on`}
        onClick={onDone}
      >
        {ready ? 'The belt is on' : 'All seven, and the belt is on'}
      </Button>
      <fieldset className="flex flex-wrap gap-x-5">
        <legend className="sr-only">Asked before the belt counts as fitted</legend>
        {BELT_POINTS.map((point) => (
          <Check
            key={point}
            checked={asked.has(point)}
            onCheck={() => {
              const now = new Set(asked);
              if (!now.delete(point)) now.add(point);
              setAsked(now);
            }}
          >
            {point}
          </Check>
        ))}
      </fieldset>
    </div>
  );
}
