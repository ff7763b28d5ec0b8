import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  factsOf,
  goneBack,
  LIMIT_WORDS,
  TEMPORARY_CHANGES,
  pinOneSide,
  openRemoval,
  stepWords,
  type RebuildItem,
  type Step,
} from '@loose-pulley/core/strip';
import { recordEvent } from '../../state/persistence/actions';
import { useAppDispatch } from '../../state/store/hooks';
import { BalloonMark } from '../../parts/strip/StepList';
import { SmallPicture } from '../../parts/pictures/SmallPicture';
import { PlugMark } from '../../parts/strip/PlugMark';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { LongList } from '../../parts/ui/LongList';
import { NumberLine } from '../../parts/ui/NumberLine';
import { CloseChange } from '../../parts/strip/CloseChange';

/** What is asked before a belt counts as fitted. Common practice, no source. */
const BELT_ASKS = [
  'residue out of both grooves',
  'pulleys dry, fingers clean',
  'large pulley first',
  'untwisted',
  'in both grooves',
  'nothing pinched',
  'spun by hand',
];

const keyOf = (item: RebuildItem): string =>
  item.type === 'step' ? item.step.id : item.type === 'change' ? item.change.id : 'try';

/** Everything on the way back, in its order. A step moves by its keys or by dragging it onto another; orders are held. */
export function RebuildList({ items }: { readonly items: readonly RebuildItem[] }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [dragged, setDragged] = useState<string | null>(null);
  const steps = items.flatMap((item) => (item.type === 'step' ? [item.step] : []));
  const places = new Map(steps.map((step, place) => [step.id, place]));
  const before = (firstId: string, thenId: string): void => {
    if (firstId === thenId) return;
    // Said the other way round before: the newer word counts.
    const opposite = ticket.strip.orders.find((one) => one.firstId === thenId && one.thenId === firstId);
    if (opposite) dispatch(recordEvent({ type: 'orderRemoved', orderId: opposite.id }));
    dispatch(recordEvent({ type: 'orderSaid', order: { id: nanoid(10), firstId, thenId, why: '' } }));
  };
  return (
    <LongList items={items} keyOf={keyOf} usualPx={61} label="Rebuild order">
      {(item, index) => {
        if (item.type === 'try') {
          return (
            <div className="flex flex-wrap items-center gap-3 border-y-2 border-ink py-3">
              <strong>Try it before the lid</strong>
              <span className="text-soft">Whole, with nothing open that can be touched live.</span>
              <Link className="inline-flex min-h-11 items-center underline" to={`/t/${ticket.id}/prove`}>
                On to Prove
              </Link>
            </div>
          );
        }
        if (item.type === 'change') {
          const { change } = item;
          return (
            <div className="flex flex-wrap items-center justify-between gap-3 border-b border-hair py-2">
              <span className="grow">
                <span aria-hidden className="text-live">
                  ↺{' '}
                </span>
                <strong>{change.words}</strong>: {change.closes}, before {LIMIT_WORDS[change.before]}.{' '}
                <span className="text-sm text-soft">{TEMPORARY_CHANGES[change.kind].caution}</span>
              </span>
              <CloseChange change={change} disabled={!canWrite} />
            </div>
          );
        }
        const place = places.get(item.step.id) ?? 0;
        const earlier = steps[place - 1];
        const later = steps[place + 1];
        return (
          <div
            draggable={canWrite}
            onDragStart={() => setDragged(item.step.id)}
            onDragOver={(event) => event.preventDefault()}
            onDrop={() => {
              if (dragged) before(dragged, item.step.id);
              setDragged(null);
            }}
            className={index === 0 ? 'border-b border-hair bg-zone1' : 'border-b border-hair'}
          >
            <BackStep
              step={item.step}
              next={index === 0}
              onEarlier={earlier && (() => before(item.step.id, earlier.id))}
              onLater={later && (() => before(later.id, item.step.id))}
              onFirst={place > 1 && steps[0] ? () => before(item.step.id, (steps[0] as Step).id) : undefined}
            />
          </div>
        );
      }}
    </LongList>
  );
}

function BackStep({
  step,
  next,
  onEarlier,
  onLater,
  onFirst,
}: {
  readonly step: Step;
  readonly next: boolean;
  readonly onEarlier: (() => void) | undefined;
  readonly onLater: (() => void) | undefined;
  /** Before everything that is still off. */
  readonly onFirst: (() => void) | undefined;
}) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const off = openRemoval(step)?.off ?? 0;
  const [count, setCount] = useState<number | null>(off);
  const [fewer, setFewer] = useState(false);
  const [asked, setAsked] = useState<ReadonlySet<string>>(new Set());
  const back = (many: number) => dispatch(recordEvent({ type: 'stepPut', step: goneBack(step, many) }));
  const side = pinOneSide(`${step.facts.pinOne ?? ''} ${step.orientation}`);
  const belt = step.kind === 'belt';
  const ready = !belt || asked.size === BELT_ASKS.length;
  const allBack = (
    <Button
      look={next ? 'strong' : 'plain'}
      disabled={!canWrite || !ready}
      aria-label={off > 1 ? `All ${off} of number ${step.number} back` : `Number ${step.number} back`}
      onClick={() => back(off)}
    >
      {off > 1 ? `Put all ${off} back` : 'Put it back'}
    </Button>
  );
  return (
    <div className="grid gap-2 py-2">
      <div className="flex flex-wrap items-center gap-3">
        <BalloonMark step={step} />
        <span className="min-w-40 grow leading-tight">
          <span className={next ? 'text-lg font-semibold' : 'font-semibold'}>{stepWords(step)}</span>
          {step.kind === 'fasteners' && <span className="block text-sm text-soft">out of bag {step.number}</span>}
          {factsOf(step).map(([name, words]) => (
            <span key={name} className="block text-sm text-soft">
              {name}: {words}
            </span>
          ))}
        </span>
        {step.kind === 'connector' && side && <PlugMark side={side} />}
        {onEarlier && (
          <Button look="quiet" disabled={!canWrite} onClick={onEarlier} aria-label={`Number ${step.number} earlier`}>
            ↑
          </Button>
        )}
        {onLater && (
          <Button look="quiet" disabled={!canWrite} onClick={onLater} aria-label={`Number ${step.number} later`}>
            ↓
          </Button>
        )}
        {onFirst && (
          <Button look="quiet" disabled={!canWrite} onClick={onFirst} aria-label={`Number ${step.number} first of all`}>
            first
          </Button>
        )}
        {off > 1 && (
          <Button look="quiet" disabled={!canWrite} aria-pressed={fewer} onClick={() => setFewer(!fewer)}>
            fewer
          </Button>
        )}
        {!belt && allBack}
      </div>
      {step.pictureIds.length > 0 && (
        <div className="flex flex-wrap gap-2 pl-12">
          {step.pictureIds.map((id) => (
            <SmallPicture key={id} id={id} what={`${step.number} ${step.what}`} tall={next} />
          ))}
        </div>
      )}
      {fewer && (
        <div className="flex flex-wrap items-end gap-3 pl-12">
          <NumberLine
            label={`Of number ${step.number} went back`}
            unit={`of ${off}`}
            max={off}
            value={count}
            disabled={!canWrite}
            onNumber={(value) => setCount(value === null ? null : Math.round(value))}
          />
          <Button disabled={!canWrite || count === null || !ready} onClick={() => count !== null && back(count)}>
            So many back
          </Button>
        </div>
      )}
      {belt && (
        <fieldset className="flex flex-wrap gap-x-5 pl-12">
          <legend className="sr-only">Asked before the belt counts as fitted</legend>
          {BELT_ASKS.map((ask) => (
            <label key={ask} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                checked={asked.has(ask)}
                className="size-5 accent-ink"
                onChange={() => {
                  const now = new Set(asked);
                  if (!now.delete(ask)) now.add(ask);
                  setAsked(now);
                }}
              />
              {ask}
            </label>
          ))}
        </fieldset>
      )}
      {belt && <div className="pl-12">{allBack}</div>}
    </div>
  );
}
