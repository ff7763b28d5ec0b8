import { loaderOf } from '@loose-pulley/core/base/loaders';
import { memo, useImperativeHandle, useMemo, type Ref } from 'react';
import {
  COUNTED,
  FACT_NAMES,
  FACTS_OF,
  FATES,
  FATES_KNOWN,
  goesBack,
  isAway,
  KIND_NAMES,
  lastRemoval,
  layersOf,
  leftOverOf,
  mirrored,
  pinOneSide,
  openRemoval,
  STEP_KINDS,
  stepWords,
  withFate,
  type Fate,
  type Step,
  type StepKind,
} from '@loose-pulley/core/work/strip';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { cx } from '../ui/cx';
import { LongList, type LongListHandle } from '../ui/LongList';
import { NumberLine } from '../ui/NumberLine';
import { TextLine } from '../ui/TextLine';
import { PictureAdd } from '../pictures/PictureAdd';
import { PlugMark } from './PlugMark';
import { useStripLine } from './useStripLine';
import { Select } from '../ui/Select';

/** A step's number in its circle; a note has none. */
export function BalloonMark({ step }: { readonly step: Step }) {
  if (step.number === 0)
    return (
      <span aria-hidden className="grid size-9 place-items-center text-soft">
        –
      </span>
    );
  return (
    <span
      className={cx(
        'grid size-9 shrink-0 place-items-center rounded-full border-[1.5px] font-semibold',
        step.kind === 'connector' ? 'border-live' : 'border-ink',
        !openRemoval(step) && 'border-dashed',
      )}
    >
      {step.number}
    </span>
  );
}

const howItStands = (step: Step): string => {
  const last = lastRemoval(step);
  if (!last || !goesBack(step.fate)) return FATES_KNOWN[step.fate].name;
  const over = leftOverOf(step);
  const left = over > 0 ? `, ${over} left over` : step.explained ? `, ${step.explained}` : '';
  if (last.back !== null) return `back${left}`;
  return (COUNTED.has(step.kind) && isAway(step.fate) ? `bag ${step.number}` : FATES_KNOWN[step.fate].name) + left;
};

/** Up to so many steps each layer is a region of its own; a longer strip is one list, of which only what is seen is made. */
const REGIONS = 60;

/** Every step, grouped by what comes free, in the order of the strip. */
export function StepList({
  chosen,
  onChoose,
  onBefore,
  ref,
}: {
  readonly chosen: string | null;
  readonly onChoose: (id: string | null) => void;
  /** The next line is to go in before this step. */
  readonly onBefore: (id: string) => void;
  readonly ref?: Ref<LongListHandle>;
}) {
  const { ticket } = useTicket();
  const { steps: all } = ticket.strip;
  const layers = useMemo(() => layersOf(all), [all]);
  const row = (step: Step) => <StepRow step={step} open={chosen === step.id} onChoose={onChoose} onBefore={onBefore} />;
  const heading = (name: string) => (
    <h3 className="border-b border-ink pb-1 text-base text-soft first-letter:uppercase">{name}</h3>
  );
  useImperativeHandle(all.length > REGIONS ? undefined : ref, () => ({
    reveal: (id) => document.getElementById(`step-${id}`)?.scrollIntoView({ block: 'center' }),
  }));
  if (all.length > REGIONS) {
    const rows = layers.flatMap(({ name, steps }, index) => [{ id: `layer-${index}`, name }, ...steps]);
    return (
      <LongList ref={ref} items={rows} keyOf={({ id }) => id} usualPx={49} className="content-start">
        {(one) => ('name' in one ? <div className="pt-4">{heading(one.name)}</div> : row(one))}
      </LongList>
    );
  }
  return (
    <div className="grid content-start gap-4">
      {layers.map(({ name, steps }, index) => (
        <section key={`${name}${index}`} aria-label={`Layer: ${name}`}>
          {heading(name)}
          <ol>
            {steps.map((step) => (
              <li key={step.id}>{row(step)}</li>
            ))}
          </ol>
        </section>
      ))}
    </div>
  );
}

/** One step, drawn anew only when it changes: a strip of four hundred must not slow the next line. */
const StepRow = memo(function StepRow({
  step,
  open,
  onChoose,
  onBefore,
}: {
  readonly step: Step;
  readonly open: boolean;
  readonly onChoose: (id: string | null) => void;
  readonly onBefore: (id: string) => void;
}) {
  return (
    <div id={`step-${step.id}`} className="border-b border-hair">
      <button
        type="button"
        aria-expanded={open}
        onClick={() => onChoose(open ? null : step.id)}
        className="flex min-h-12 w-full items-center gap-3 py-1.5 text-left"
      >
        <BalloonMark step={step} />
        <span className="grow leading-tight">
          <span className="font-semibold">{stepWords(step)}</span>
          {step.notNextTime && <span className="block text-sm text-soft">not needed: {step.notNextTime}</span>}
          {step.removals.length > 1 && (
            <span className="block text-sm text-soft">off {step.removals.length} times</span>
          )}
        </span>
        <span className="text-right whitespace-nowrap text-soft">{howItStands(step)}</span>
      </button>
      {open && <StepDetails step={step} onBefore={() => onBefore(step.id)} />}
    </div>
  );
});

/** What may be said of a step later: by touch as well as by the line. */
function StepDetails({ step, onBefore }: { readonly step: Step; readonly onBefore: () => void }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { addStep, again } = useStripLine();
  const put = (changes: Partial<Step>, gesture?: string) =>
    dispatch(recordEvent({ type: 'stepPut', step: { ...step, ...changes } }, gesture));
  const line = (key: 'what' | 'driverType' | 'where' | 'orientation' | 'leaveAlone' | 'notNextTime', label: string) => (
    <TextLine
      label={label}
      value={step[key]}
      maxLength={key === 'driverType' ? 40 : 400}
      disabled={!canWrite}
      onText={(text, gesture) => put({ [key]: text }, `${gesture}-${key}`)}
    />
  );
  const side = pinOneSide(`${step.facts.pinOne ?? ''} ${step.orientation}`);
  const fastener = step.kind === 'screws' || step.kind === 'nuts';
  /** A changed count changes what came off, as long as it is off. */
  const recount = (count: number, missing: number, gesture: string): void => {
    const removals = step.removals.map((round, index) =>
      index === step.removals.length - 1 && round.back === null
        ? { ...round, off: Math.max(0, count - missing) }
        : round,
    );
    put({ count, missing, removals }, gesture);
  };
  return (
    <div className="grid gap-3 pb-4 pl-12">
      <div className="grid gap-3 sm:grid-cols-2">
        <label className="grid gap-1 text-sm text-soft">
          Kind
          <Select
            value={step.kind}
            disabled={!canWrite}
            onChoose={(chosen) => put({ kind: chosen as StepKind })}
            className="text-lg"
            options={STEP_KINDS.map((kind) => [kind, KIND_NAMES[kind]] as const)}
          />
        </label>
        <label className="grid gap-1 text-sm text-soft">
          What was done
          <Select
            value={step.fate}
            disabled={!canWrite}
            onChoose={(chosen) =>
              dispatch(
                recordEvent({
                  type: 'stepPut',
                  step: withFate(ticket.strip, step, chosen as Fate, new Date().toISOString()),
                }),
              )
            }
            className="text-lg"
            options={FATES.map((fate) => [fate, FATES_KNOWN[fate].name] as const)}
          />
        </label>
        {line('what', 'What')}
        {line('where', 'Where')}
        {fastener && line('driverType', 'Driver')}
        {line('orientation', 'Which way round')}
        {FACTS_OF[step.kind].map((fact) => (
          <TextLine
            key={fact}
            label={FACT_NAMES[fact]}
            value={step.facts[fact] ?? ''}
            maxLength={200}
            disabled={!canWrite}
            onText={(words, gesture) => put({ facts: { ...step.facts, [fact]: words } }, `${gesture}-${fact}`)}
          />
        ))}
        {step.fate === 'leftAlone' && line('leaveAlone', 'Leave alone, because')}
        {line('notNextTime', 'Not needed next time, because')}
      </div>
      {side && step.kind === 'connector' && <PlugMark side={side} />}
      {
        <div className="flex flex-wrap gap-3">
          <NumberLine
            label="There should be"
            unit="of them"
            min={0}
            max={1000}
            value={step.count}
            disabled={!canWrite}
            onNumber={(count, gesture) =>
              count !== null && recount(Math.round(count), step.missing, `${gesture}-count`)
            }
          />
          <NumberLine
            label="Missing on arrival"
            unit="of them"
            max={step.count}
            value={step.missing}
            disabled={!canWrite}
            onNumber={(missing, gesture) => recount(step.count, Math.round(missing ?? 0), `${gesture}-missing`)}
          />
          {fastener && (
            <NumberLine
              label="Length under the head"
              unit="mm"
              max={1000}
              value={step.lengthMm}
              disabled={!canWrite}
              onNumber={(lengthMm, gesture) => put({ lengthMm }, `${gesture}-length`)}
            />
          )}
        </div>
      }
      <PictureAdd
        ids={step.pictureIds}
        what={`${step.number} ${step.what}`}
        label="Picture of it"
        onPictures={(pictureIds) => put({ pictureIds })}
      />
      <div className="flex flex-wrap gap-2">
        {step.number > 0 && !openRemoval(step) && (
          <Button disabled={!canWrite} onClick={() => again(step.number)}>
            Off again
          </Button>
        )}
        <Button disabled={!canWrite} onClick={onBefore}>
          Put a step in before this one
        </Button>
        {loaderOf(ticket.loader).has.mirroredDecks && step.number > 0 && (
          <Button disabled={!canWrite} onClick={() => addStep(mirrored(step))}>
            The same on the other deck
          </Button>
        )}
        <Button
          look="quiet"
          disabled={!canWrite}
          onClick={() => dispatch(recordEvent({ type: 'stepRemoved', stepId: step.id }))}
        >
          Take this step out
        </Button>
      </div>
    </div>
  );
}
