import { useState } from 'react';
import { Link } from 'react-router';
import { DRIVEN, isTurned } from '@loose-pulley/core/base/loaders';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { priceOf } from '@loose-pulley/core/shop/orders';
import { counted, formatLength, formatNewton } from '@loose-pulley/core/base/units';
import { ON_THE_BENCH } from '@loose-pulley/core/physics/cycle';
import {
  coldOf,
  againstWatch,
  clicksHeard,
  clicksIn,
  cycleFigures,
  headlineOf,
  toCsv,
  watchedTimes,
  whyApart,
} from '@loose-pulley/core/views/cycle';
import { IN_THE_COLD } from '@loose-pulley/core/views/evidence';
import { useDriveView } from '../../parts/ticket/useDriveView';
import { useRecommendation } from '../../parts/ticket/useRecommendation';
import { useOwned } from '../../parts/ticket/useOwned';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Check } from '../../parts/ui/Check';
import { download, fileName } from '../../parts/ui/download';
import { Folded } from '../../parts/ui/Folded';
import { Slider } from '../../parts/ui/Slider';
import { selectItems, selectOrders, useAppSelector, useUnit } from '../../state/store/hooks';
import { Moving } from './Moving';
import { svgFile } from './svgFile';
import { Shares } from '../../parts/cycles/Shares';
import { useCycle } from '../../parts/cycles/useCycle';
import { NO_TWEAKS, useCycleQuestion, type Tweaks } from '../../parts/cycles/useCycleQuestion';
import { WouldDo } from './WouldDo';

const SVG_ID = 'cycle-drawing';
/** How far a belt's length is dragged to each side, and by what steps. */
const DRAGGED = 0.08;
const LENGTH_STEP_MM = 0.5;

/** A cycle, as it would run: this machine through time, what machines like it do, and what would help. */
export function CyclePage() {
  const { ticket } = useTicket();
  const view = useDriveView();
  const unit = useUnit();
  const recommendation = useRecommendation(view);
  const owned = useOwned(view);
  const items = useAppSelector(selectItems);
  const orders = useAppSelector(selectOrders);
  const [tweaks, setTweaks] = useState<Tweaks>(NO_TWEAKS);
  const { driven, situation } = view;
  const turned = isTurned(driven);
  const { question, belt, base, known } = useCycleQuestion(recommendation, tweaks, true);
  const cold = coldOf(ticket);
  const watched = watchedTimes(ticket);
  const answer = useCycle(question);
  const { cycle, machine, shares } = answer;
  const word = DRIVEN[driven].word;
  const name = `${fileName(`${ticket.number} ${ticket.machine}`)}-cycle`;
  const tweak = (more: Tweaks): void => setTweaks((now) => ({ ...now, ...more }));
  const on = { ...base, ...tweaks.on };
  const pullN = situation.ok ? (situation.value.trayPullN?.value ?? situation.value.priors.trayPullN.best) : 0;

  const boughtWords = (one: CatalogueBelt): string => {
    const price = priceOf({ ...one, widthMm: one.widthMm ?? null }, items, orders);
    return `${owned.has(one.id) ? 'and the belt from the drawer' : 'and the belt, to be ordered'}${price === null ? '' : `, ${price.toFixed(2)}`}`;
  };
  const heard = clicksHeard(ticket);

  if (!situation.ok || !belt) {
    return (
      <div className="grid content-start gap-4 bg-sheet px-5 py-5 lg:px-7">
        <h2 className="text-2xl">A cycle, as it would run</h2>
        <p>{situation.ok ? 'No belt can be chosen yet.' : situation.problem}</p>
        <p>
          <Link to={`/t/${ticket.id}/measure`} className="underline underline-offset-4">
            To Measure
          </Link>
        </p>
      </div>
    );
  }
  const label = beltLabel({ ...belt, innerLengthMm: tweaks.lengthMm ?? belt.innerLengthMm }, unit);
  const shownBefore = question?.before ? answer.before : null;
  const against = shares && !question?.before ? againstWatch(watched, shares) : '';
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="grid grid-cols-1 content-start gap-4 bg-sheet px-5 py-5 lg:px-7">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h2 className="text-2xl">A cycle, as it would run</h2>
          <p className="text-soft">
            {view.fitted ? 'with the belt that is on' : 'with the belt to fit'}: {label.sign} {label.size}
          </p>
        </div>
        {answer.problem && (
          <p role="alert" className="border-l-4 border-live pl-3">
            {answer.problem}
          </p>
        )}
        {cycle && machine ? (
          <Moving
            cycle={cycle}
            machine={machine}
            driven={driven}
            watchedS={watched.length > 0 ? (watched[watched.length - 1] ?? null) : null}
            svgId={SVG_ID}
            clicks={clicksIn(cycle, heard)}
          />
        ) : (
          <p className="min-h-[560px] text-soft">{answer.problem ? '' : 'Running it…'}</p>
        )}
        {cycle && (
          <p className="flex flex-wrap gap-3 print:hidden">
            <Button onClick={() => download(`${name}.csv`, toCsv(cycle.trace, turned), 'text/csv')}>
              Save the trace as CSV
            </Button>
            <Button onClick={() => download(`${name}.svg`, svgFile(SVG_ID), 'image/svg+xml')}>
              Save the drawing as SVG
            </Button>
          </p>
        )}
      </div>
      <aside className="grid grid-cols-1 content-start gap-5 border-hair px-5 py-5 max-lg:border-t lg:border-l">
        <section aria-label="What it comes to" className="grid gap-1">
          <h3 className="text-[26px] leading-tight font-bold" aria-live="polite">
            {cycle ? headlineOf(cycle, driven) : ' '}
          </h3>
          {cycle && (
            <p className="text-soft">
              {cycle.timeS === null ? 'It never gets there' : `${cycle.timeS.toFixed(1)} s`}, by the best figures
              {on.roomC === IN_THE_COLD.roomC ? ', in the cold' : ''}.
            </p>
          )}
          {answer.edge && (
            <p className="border-l-4 border-live pl-3">
              On a knife edge: one in a hundred of grip, motor or pull would make it another.
            </p>
          )}
          {against && <p>{against}</p>}
        </section>
        <section aria-labelledby="fitting" className="grid gap-3 border-t border-ink pt-3">
          <h3 id="fitting" className="text-soft">
            Machines that fit all that is known
          </h3>
          {shares ? <Shares now={shares} before={shownBefore} /> : <p className="text-soft">Running them…</p>}
          {shares && (
            <p role="status" className="text-sm text-soft">
              {shares.tried < answer.of
                ? `${shares.tried} of ${answer.of} so far.`
                : `${whyApart(shares)} ${counted(shares.count, 'machine')}${shares.count < answer.of ? ` that run with what ran on the bench, of ${answer.of}` : ''}.`}
            </p>
          )}
        </section>
        {shares && !question?.before && question && (
          <WouldDo
            changes={question.changes}
            found={answer.changes}
            now={shares}
            done={answer.done}
            ticketId={ticket.id}
            boughtWords={boughtWords}
          />
        )}
        <section aria-labelledby="change-one" className="grid gap-2 border-t border-ink pt-3 print:hidden">
          <h3 id="change-one" className="text-lg">
            Change one thing
          </h3>
          <Dragged
            label="Belt, inner length"
            value={tweaks.lengthMm ?? belt.innerLengthMm}
            min={Math.floor(belt.innerLengthMm * (1 - DRAGGED))}
            max={Math.ceil(belt.innerLengthMm * (1 + DRAGGED))}
            step={LENGTH_STEP_MM}
            text={(mm) => `${formatLength(mm, unit)} ${unit}`}
            onValue={(lengthMm) => tweak({ lengthMm })}
          />
          <Dragged
            label="Room"
            value={on.roomC}
            min={-5}
            max={40}
            step={1}
            text={(c) => `${c.toFixed(0)} °C`}
            onValue={(roomC) => tweak({ on: { ...tweaks.on, roomC } })}
          />
          <Dragged
            label={turned ? 'Drag of the spindle' : `Pull of the ${word}`}
            value={tweaks.pullTimes ?? 1}
            min={0.4}
            max={2.5}
            step={0.05}
            text={(times) => (turned ? `${times.toFixed(2)} times` : formatNewton(pullN * times))}
            onValue={(pullTimes) => tweak({ pullTimes })}
          />
          <Dragged
            label="Supply"
            value={on.supply}
            min={0.5}
            max={1.3}
            step={0.05}
            text={(share) => `${Math.round(100 * share)} %`}
            onValue={(supply) => tweak({ on: { ...tweaks.on, supply } })}
          />
          <Check checked={tweaks.cleaned ?? false} onCheck={(cleaned) => tweak({ cleaned })}>
            Both pulleys wiped
          </Check>
          {!turned && (
            <>
              {known.places?.some(({ kind }) => kind === 'clamps') && (
                <Check checked={on.disc} onCheck={(disc) => tweak({ on: { ...tweaks.on, disc } })}>
                  With a disc, through which the clamp pulls less
                </Check>
              )}
              <Check checked={on.onItsSide} onCheck={(onItsSide) => tweak({ on: { ...tweaks.on, onItsSide } })}>
                On its side, the way upwards
              </Check>
              <Check checked={on.tapped} onCheck={(tapped) => tweak({ on: { ...tweaks.on, tapped } })}>
                Tapped as it starts
              </Check>
            </>
          )}
          {cold && (
            <Button look="quiet" onClick={() => tweak({ on: cold === 'found' ? ON_THE_BENCH : IN_THE_COLD })}>
              {cold === 'found' ? 'In the bench’s own warmth' : 'In the cold, of which its owner speaks'}
            </Button>
          )}
          <Button disabled={Object.keys(tweaks).length === 0} onClick={() => setTweaks(NO_TWEAKS)}>
            As it is again
          </Button>
        </section>
        <Folded name="cycle figures" title="What it is run with">
          <ul>
            {cycleFigures(ticket, view, known).map((one) => (
              <li key={one.name} className="flex justify-between gap-3 border-b border-hair py-1">
                <span>{one.name}</span>
                <span className="text-right">
                  {one.value} <span className="text-soft">{one.basis}</span>
                </span>
              </li>
            ))}
          </ul>
          <p className="text-sm text-soft">
            A calculated cycle says what would happen if all this is so. What the bench sees counts more.
          </p>
        </Folded>
      </aside>
    </div>
  );
}

/** A figure that is dragged, with what it is beside its name. */
function Dragged({
  label,
  value,
  min,
  max,
  step,
  text,
  onValue,
}: {
  readonly label: string;
  readonly value: number;
  readonly min: number;
  readonly max: number;
  readonly step: number;
  readonly text: (value: number) => string;
  readonly onValue: (value: number) => void;
}) {
  return (
    <div>
      <p className="flex justify-between gap-3">
        <span>{label}</span>
        <strong>{text(value)}</strong>
      </p>
      <Slider {...{ label, value, min, max, step, onValue }} valueText={text(value)} />
    </div>
  );
}
