import { nanoid } from 'nanoid';
import { forLoader } from '@loose-pulley/core/base/loaders';
import { useState } from 'react';
import { Link } from 'react-router';
import {
  stepFacts,
  COUNTED,
  FATES_KNOWN,
  forbidding,
  goneBack,
  isAway,
  layersOf,
  lidStep,
  LIMIT_WORDS,
  TEMPORARY_CHANGES,
  pinOneSide,
  openRemoval,
  stepWords,
  type RebuildItem,
  type Step,
} from '@loose-pulley/core/work/strip';
import { recordEvent, recordEvents } from '../../state/persistence/recording';
import { sayMoment } from '../../state/persistence/moments';
import { usePageKey } from '../../parts/keys/useKeys';
import { useAppSelector } from '../../state/store/hooks';
import { useAppDispatch } from '../../state/store/hooks';
import { BalloonMark } from '../../parts/strip/StepList';
import { SmallPicture } from '../../parts/pictures/SmallPicture';
import { PlugMark } from '../../parts/strip/PlugMark';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { LongList } from '../../parts/ui/LongList';
import { NumberLine } from '../../parts/ui/NumberLine';
import { CloseChange } from '../../parts/strip/CloseChange';
import { BeltStep } from './BeltStep';
import { TrainStep } from './TrainStep';

const keyOf = (item: RebuildItem): string =>
  item.type === 'step' ? item.step.id : item.type === 'change' ? item.change.id : 'try';

/** Everything on the way back, in its order. A step moves by its keys or by dragging it onto another; orders are held. */
export function RebuildList({ items }: { readonly items: readonly RebuildItem[] }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [dragged, setDragged] = useState<string | null>(null);
  const steps = items.flatMap((item) => (item.type === 'step' ? [item.step] : []));
  const { steps: all, temporaryChanges } = ticket.strip;
  const lid = lidStep(all);
  // The try stands there until the lid is on its way: what comes after it is what hands do next.
  const ahead = items[0]?.type === 'try' ? items.slice(1) : items;
  const [first] = ahead;
  /** The head of the list that belongs to one layer, as far as one press may take it. */
  const layer = layerAtHead(ahead, all, (step) => step === lid && forbidding(temporaryChanges, 'lid').length > 0);
  const putBack = (step: Step, many: number): void => {
    // The lid's return is asked about, and said once.
    if (step === lid) dispatch(sayMoment('lid'));
    else dispatch(recordEvent({ type: 'stepPut', step: goneBack(step, many, new Date().toISOString()) }));
  };
  const layerBack = (): void => {
    const at = new Date().toISOString();
    dispatch(
      recordEvents(
        layer.steps.map((step) => ({ type: 'stepPut', step: goneBack(step, openRemoval(step)?.off ?? 1, at) })),
      ),
    );
  };
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  usePageKey('stepBack', () => {
    if (!canWrite || !first) return;
    if (first.type === 'step' && first.step.kind === 'belt' && isAway(first.step.fate))
      document
        .querySelector<HTMLButtonElement>(`[data-first-back] button[aria-label^="Number ${first.step.number} back"]`)
        ?.click();
    else if (first.type === 'step') putBack(first.step, openRemoval(first.step)?.off ?? 1);
    else if (first.type === 'change')
      dispatch(
        recordEvent({ type: 'temporaryChangePut', change: { ...first.change, closedAt: new Date().toISOString() } }),
      );
  });
  usePageKey('layerBack', () => canWrite && layer.steps.length > 1 && layerBack());
  const places = new Map(steps.map((step, place) => [step.id, place]));
  const before = (firstId: string, thenId: string): void => {
    if (firstId === thenId) return;
    // Said the other way round before: the newer word counts.
    const opposite = ticket.strip.orders.find((one) => one.firstId === thenId && one.thenId === firstId);
    if (opposite) dispatch(recordEvent({ type: 'orderRemoved', orderId: opposite.id }));
    dispatch(recordEvent({ type: 'orderSaid', order: { id: nanoid(10), firstId, thenId, why: '' } }));
  };
  return (
    <>
      {layer.steps.length > 1 && (
        <Button className="min-h-14 text-lg" disabled={!canWrite} keyCap={keys?.layerBack} onClick={layerBack}>
          All of this layer back: {layerWords(layer.steps)}
        </Button>
      )}
      <LongList items={items} keyOf={keyOf} usualPx={61} label="Rebuild order">
        {(item) => {
          const next = item === first;
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
                  {item.late && (
                    <strong className="text-live">
                      It cannot be: what it waits for goes back later than {LIMIT_WORDS[item.late]}. Say another order,
                      or another limit.{' '}
                    </strong>
                  )}
                  <span className="text-sm text-soft">
                    {forLoader(TEMPORARY_CHANGES[change.kind].caution, ticket.loader)}
                  </span>
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
              data-first-back={next ? '' : undefined}
              className={next ? 'border-b border-hair bg-zone1' : 'border-b border-hair'}
            >
              <BackStep
                step={item.step}
                next={next}
                keyCap={next ? keys?.stepBack : undefined}
                back={(many) => putBack(item.step, many)}
                onEarlier={earlier && (() => before(item.step.id, earlier.id))}
                onLater={later && (() => before(later.id, item.step.id))}
                onFirst={place > 1 && steps[0] ? () => before(item.step.id, (steps[0] as Step).id) : undefined}
              />
            </div>
          );
        }}
      </LongList>
    </>
  );
}

/** What of the head of the list goes back by one press: steps of one layer, up to a change, a try, a belt, or a lid that is asked about. */
function layerAtHead(
  items: readonly RebuildItem[],
  all: readonly Step[],
  asked: (step: Step) => boolean,
): { readonly steps: readonly Step[] } {
  const layers = layersOf(all);
  const [first] = items;
  const own = first?.type === 'step' ? layers.find(({ steps }) => steps.includes(first.step)) : undefined;
  const steps: Step[] = [];
  for (const item of items) {
    if (item.type !== 'step' || item.step.kind === 'belt' || !own?.steps.includes(item.step) || asked(item.step)) break;
    steps.push(item.step);
  }
  return { steps };
}

const layerWords = (steps: readonly Step[]): string => {
  const screws = steps
    .filter(({ kind }) => kind === 'screws')
    .reduce((sum, step) => sum + (openRemoval(step)?.off ?? 0), 0);
  const others = steps.filter(({ kind }) => kind !== 'screws').map(({ what }) => what);
  const names = others.length > 3 ? [...others.slice(0, 3), `${others.length - 3} more`] : others;
  return [...(screws > 0 ? [screws === 1 ? '1 screw' : `${screws} screws`] : []), ...names].join(', ');
};

function BackStep({
  step,
  next,
  keyCap,
  back,
  onEarlier,
  onLater,
  onFirst,
}: {
  readonly step: Step;
  readonly next: boolean;
  readonly keyCap: string | undefined;
  readonly back: (many: number) => void;
  readonly onEarlier: (() => void) | undefined;
  readonly onLater: (() => void) | undefined;
  /** Before everything that is still off. */
  readonly onFirst: (() => void) | undefined;
}) {
  const { canWrite } = useTicket();
  const off = openRemoval(step)?.off ?? 0;
  const [count, setCount] = useState<number | null>(off);
  const [fewer, setFewer] = useState(false);
  const side = pinOneSide(`${step.facts.pinOne ?? ''} ${step.orientation}`);
  const belt = step.kind === 'belt' && isAway(step.fate);
  const how = FATES_KNOWN[step.fate].back ?? 'Back';
  const allBack = (
    <Button
      look={next ? 'strong' : 'plain'}
      className={next ? 'min-h-16 text-xl max-sm:w-full' : undefined}
      keyCap={keyCap}
      disabled={!canWrite}
      aria-label={off > 1 ? `All ${off} of number ${step.number} back` : `Number ${step.number} back`}
      onClick={() => back(off)}
    >
      {how === 'Back' ? (off > 1 ? `Put all ${off} back` : 'Put it back') : how}
    </Button>
  );
  return (
    <div className="grid gap-2 py-2">
      <div className="flex flex-wrap items-center gap-3">
        <BalloonMark step={step} />
        <span className="min-w-40 grow leading-tight">
          <span className={next ? 'text-lg font-semibold' : 'font-semibold'}>{stepWords(step)}</span>
          {COUNTED.has(step.kind) && isAway(step.fate) && (
            <span className="block text-sm text-soft">out of bag {step.number}</span>
          )}
          {stepFacts(step).map(([name, words]) => (
            <span key={name} className="block text-sm text-soft">
              {name}: {words}
            </span>
          ))}
        </span>
        {step.kind === 'connector' && side && <PlugMark side={side} />}
        {onEarlier && (
          <Button
            look="quiet"
            className="min-w-11 justify-center"
            disabled={!canWrite}
            onClick={onEarlier}
            aria-label={`Number ${step.number} earlier`}
          >
            ↑
          </Button>
        )}
        {onLater && (
          <Button
            look="quiet"
            className="min-w-11 justify-center"
            disabled={!canWrite}
            onClick={onLater}
            aria-label={`Number ${step.number} later`}
          >
            ↓
          </Button>
        )}
        {onFirst && (
          <Button
            look="quiet"
            className="min-w-11 justify-center"
            disabled={!canWrite}
            onClick={onFirst}
            aria-label={`Number ${step.number} first of all`}
          >
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
          <Button disabled={!canWrite || count === null} onClick={() => count !== null && back(count)}>
            So many back
          </Button>
        </div>
      )}
      <TrainStep step={step} />
      {belt && (
        <div className="pl-12">
          <BeltStep step={step} next={next} back={() => back(off)} />
        </div>
      )}
    </div>
  );
}
