import { useEffect } from 'react';
import { DRIVEN } from '@loose-pulley/core/base/loaders';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { counted } from '@loose-pulley/core/base/units';
import { eventWords, headlineOf, watchedTimes, whyApart } from '@loose-pulley/core/views/cycle';
import { useUnit } from '../../state/store/hooks';
import { useDriveView } from '../ticket/useDriveView';
import { useRecommendation } from '../ticket/useRecommendation';
import { useTicket } from '../ticket/useTicket';
import { Plots, PLOTS_PX, shownUntil } from './Plots';
import { Shares } from './Shares';
import { useCycle } from './useCycle';
import { NO_TWEAKS, useCycleQuestion } from './useCycleQuestion';

const PAPER_PX = 660;

/** A cycle, as it would run, on the bench sheet for whoever wants it there: calculated, and called so. */
export default function CycleOnPaper({ onRun }: { readonly onRun: (done: boolean) => void }) {
  const { ticket } = useTicket();
  const view = useDriveView();
  const unit = useUnit();
  const { question, belt, base } = useCycleQuestion(useRecommendation(view), NO_TWEAKS, false);
  const { cycle, machine, shares, done, problem } = useCycle(question);
  const ran = belt === undefined || problem !== '' || done;
  // What is still running is not printed.
  useEffect(() => onRun(ran), [ran, onRun]);
  if (!belt) return <p>A cycle cannot be run before the path is known.</p>;
  if (problem) return <p>{problem}</p>;
  if (!cycle || !machine || !shares || !ran) return <p>Running a cycle…</p>;
  const { driven, drive } = view;
  const watched = watchedTimes(ticket).at(-1) ?? null;
  const { size } = beltLabel(belt, unit);
  return (
    <section aria-label="A cycle, as it would run" className="break-inside-avoid border-b border-hair py-2">
      <h3 className="text-base">
        A cycle of the {DRIVEN[driven].word} by drive {drive.name}, as it would run with {size}
      </h3>
      <p>
        Calculated, at {base.roomC} °C: {headlineOf(cycle, driven)}
        {cycle.timeS === null ? '' : `, ${cycle.timeS.toFixed(1)} s`}. {whyApart(shares)} Of{' '}
        {counted(shares.count, 'machine')} that fit all that is known:
      </p>
      <Shares now={shares} before={null} />
      <svg
        viewBox={`0 0 ${PAPER_PX} ${PLOTS_PX}`}
        className="max-w-full"
        role="img"
        aria-label="Its way, its belt and its motor over time"
      >
        <Plots
          cycle={cycle}
          machine={machine}
          driven={driven}
          endS={shownUntil(cycle, watched)}
          watchedS={watched}
          widthPx={PAPER_PX}
        />
      </svg>
      <ol className="columns-2">
        {cycle.events.map((event) => (
          <li key={`${event.kind} ${event.atS}`}>
            {event.atS.toFixed(2)} s: {eventWords(event, driven)}
          </li>
        ))}
      </ol>
    </section>
  );
}
