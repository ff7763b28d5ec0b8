import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { closingOf, midnight, openFrom } from '@loose-pulley/core/shop/day';

import { today } from '../../state/written';
import { BookState } from '../../parts/book/BookState';
import { Button } from '../../parts/ui/Button';

import { Segments } from '../../parts/ui/Segments';
import { download } from '../../parts/ui/download';
import { Fold } from '../../parts/ui/Fold';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Bench } from './Bench';
import { DoNext, Promised, Ready, SetByHand } from './Comes';
import { at, HOUR_MS, iso, sameDay } from './moments';
import { HowLong } from './HowLong';
import { Timeline } from './Timeline';
import { useDay } from './useDay';

type Span = 'today' | 'week';

/** The day: every hands-on step and every wait of the open tickets, planned, and what is promised. */
export function DayPage() {
  const dispatch = useAppDispatch();
  const { nowMs, jobs, durations, state, plan, tookMs, trouble } = useDay();
  const loading = useAppSelector(({ bench }) => bench.status === 'loading');
  const waiting = loading || (jobs.length > 0 && !plan && !trouble);
  const bookSaid = useAppSelector(({ book }) => book.said);
  const [span, setSpan] = useState<Span>('today');
  const [said, setSaid] = useState('');
  const range = useMemo((): readonly [number, number] => {
    if (span === 'week') return [midnight(nowMs), midnight(nowMs) + 7 * 24 * HOUR_MS];
    const [firstOpen] = openFrom(state, midnight(nowMs), 1);
    const from = Math.min(firstOpen?.fromMs ?? nowMs, nowMs);
    const ends = Math.max(closingOf(state, midnight(nowMs)), nowMs + HOUR_MS);
    // On a closed day the next open one is shown.
    const [next] = openFrom(state, nowMs);
    if (!firstOpen || (next && !sameDay(next.fromMs, nowMs))) {
      const day = next?.fromMs ?? nowMs;
      return [day, closingOf(state, midnight(day))];
    }
    return [from, ends];
  }, [span, nowMs, state]);
  const pin = (stepId: string, atMs: number): void =>
    void dispatch(changeBook([{ type: 'stepPinned', pin: { stepId, at: iso(atMs) } }]));
  const stopped = jobs.filter((one) => one.stopped !== null);
  const calendar = async (): Promise<void> => {
    if (!plan) return;
    const { planCalendar } = await import('@loose-pulley/core/files/calendar');
    const written = planCalendar(plan, jobs);
    if (written.ok) download(`loose-pulley-plan-${today()}.ics`, written.value, 'text/calendar');
    setSaid(written.ok ? 'Saved as a calendar file.' : written.problem);
  };
  return (
    <div className="grid grow grid-cols-1 lg:grid-cols-[minmax(0,1fr)_340px]">
      <div className="bg-sheet px-5 py-5 lg:px-7">
        <div className="flex flex-wrap items-baseline justify-between gap-3">
          <h1 className="text-[30px] leading-tight font-bold">
            {span === 'today' ? (sameDay(range[0], nowMs) ? 'Today' : 'Next day open') : 'This week'}
          </h1>
          <div className="flex flex-wrap items-center gap-3 max-sm:w-full">
            <span className="text-soft max-sm:basis-full" role="status">
              {plan
                ? `planned ${at(plan.madeAtMs)}, again at every change`
                : trouble
                  ? 'the planner stopped; load the page again'
                  : 'planning…'}
            </span>
            <Segments
              label="How much of it"
              value={span}
              options={[
                ['today', 'day'],
                ['week', 'week'],
              ]}
              onChoose={setSpan}
            />
          </div>
        </div>
        <BookState />
        {waiting ? (
          // Room for what comes, so that nothing moves when it does.
          <div className="min-h-screen" />
        ) : jobs.length === 0 ? (
          <p className="my-6 max-w-xl">
            No ticket is open, so there is nothing to plan. Open one on the Bench; what it takes and waits for stands
            here by itself.
          </p>
        ) : (
          <Timeline jobs={jobs} plan={plan} range={range} nowMs={nowMs} onPin={pin} />
        )}
        {bookSaid && <p className="text-live">{bookSaid}</p>}
        <p className="mt-2 text-sm text-soft">
          Solid is work, dotted is waiting, the mark above a row is a promise. Drag a step, or move it with the arrow
          keys, and it stays there; press it for its ticket.
        </p>
        <SetByHand plan={plan} jobs={jobs} nowMs={nowMs} />
        <Fold name="day: how long things take" title="How long things take" className="mt-6 border-t border-ink">
          <HowLong jobs={jobs} durations={durations} minutes={state.minutes} />
        </Fold>
        <Fold
          name="day: opening hours, benches and drying places"
          title="Opening hours, benches and drying places"
          className="border-t border-ink"
        >
          <Bench state={state} />
        </Fold>
      </div>
      <aside
        aria-label="What comes of it"
        className="grid content-start gap-7 border-hair px-5 py-5 max-lg:border-t lg:border-l"
      >
        {!waiting && (
          <>
            {plan && <DoNext plan={plan} jobs={jobs} nowMs={nowMs} />}
            <Promised plan={plan} jobs={jobs} nowMs={nowMs} />
            <Ready plan={plan} jobs={jobs} nowMs={nowMs} closesMs={closingOf(state, nowMs)} />
            {stopped.length > 0 && (
              <section aria-labelledby="stopped">
                <h2 id="stopped" className="border-b border-ink pb-1 text-lg">
                  Not planned
                </h2>
                <ul>
                  {stopped.map(({ ticketId, number, waits }) => (
                    <li key={ticketId} className="border-b border-hair py-2">
                      <Link
                        className="inline-flex min-h-11 items-center font-semibold underline decoration-hair decoration-2 underline-offset-4"
                        to={`/t/${ticketId}`}
                      >
                        {number}
                      </Link>{' '}
                      waits:{' '}
                      {waits
                        .filter(({ untilMs }) => untilMs === null)
                        .map(({ what }) => what)
                        .join(', ')}
                    </li>
                  ))}
                </ul>
              </section>
            )}
            <div className="grid gap-1">
              <Button disabled={!plan} onClick={() => void calendar()}>
                Save the plan as a calendar
              </Button>
              <p role="status" className="text-sm text-soft empty:hidden">
                {said}
              </p>
              {plan && <p className="text-sm text-soft">Planned in {Math.max(1, Math.round(tookMs))} ms.</p>}
            </div>
          </>
        )}
      </aside>
    </div>
  );
}
