import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { closingOf, midnight, openFrom, type DayBlock, type DayJob, type DayPlan } from '@loose-pulley/core/shop/day';
import { inHundred } from '@loose-pulley/core/belts/probability';
import { capital, counted } from '@loose-pulley/core/base/units';
import { writtenMoment, timeOfDay, today } from '../../state/written';
import { Button } from '../../parts/ui/Button';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { Segments } from '../../parts/ui/Segments';
import { download } from '../../parts/ui/download';
import { Fold } from '../../parts/ui/Fold';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Bench } from './Bench';
import { HowLong } from './HowLong';
import { Timeline } from './Timeline';
import { useDay } from './useDay';

const HOUR_MS = 3_600_000;
const at = (ms: number): string => timeOfDay(new Date(ms).toISOString());
const iso = (ms: number): string => new Date(ms).toISOString();
const sameDay = (a: number, b: number): boolean => midnight(a) === midnight(b);
/** A moment as it is said today: the hour, else the day with it. */
const moment = (ms: number, nowMs: number): string => (sameDay(ms, nowMs) ? at(ms) : writtenMoment(iso(ms)));

type Span = 'today' | 'week';

/** What to do now, and until when. */
function DoNext({
  plan,
  jobs,
  nowMs,
}: {
  readonly plan: DayPlan;
  readonly jobs: readonly DayJob[];
  readonly nowMs: number;
}) {
  const ordered = [...plan.blocks].sort((a, b) => (a.parts[0]?.fromMs ?? 0) - (b.parts[0]?.fromMs ?? 0));
  const [next, then] = ordered;
  const jobFor = ({ ticketId }: DayBlock): DayJob | undefined => jobs.find((one) => one.ticketId === ticketId);
  const [part] = next?.parts ?? [];
  const job = next && jobFor(next);
  if (!next || !part || !job) return <p className="text-xl font-semibold">Nothing to do with your hands.</p>;
  const waits = jobs
    .flatMap((one) =>
      one.waits
        .filter(({ kind, untilMs }) => kind === 'timer' && untilMs !== null && untilMs > nowMs)
        .map(({ what, untilMs }) => ({ number: one.number, what, untilMs: untilMs ?? 0 })),
    )
    .sort((a, b) => a.untilMs - b.untilMs);
  const [first] = waits;
  return (
    <div>
      <p className="text-sm font-semibold text-soft">
        {part.fromMs <= nowMs ? 'Do now' : `Do next, from ${moment(part.fromMs, nowMs)}`}
      </p>
      <p className="text-[26px] leading-tight font-bold">
        {capital(next.step.label)}: {job.number}
      </p>
      <p>
        {job.machine}, until about {at(next.parts.at(-1)?.toMs ?? 0)}
        {first
          ? `; then ${first.number}: ${first.what} until ${at(first.untilMs)}`
          : then && jobFor(then)
            ? `; then ${jobFor(then)?.number}, ${then.step.label}`
            : ''}
        .
      </p>
      <ButtonLink look="strong" className="mt-2 min-h-12" to={`/t/${job.ticketId}`}>
        Go to {job.number}
      </ButtonLink>
    </div>
  );
}

/** The day: every hands-on step and every wait of the open tickets, planned, and what is promised. */
export function DayPage() {
  const dispatch = useAppDispatch();
  const { nowMs, jobs, durations, state, plan, tookMs, trouble } = useDay();
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
  const pinned = plan?.blocks.filter((one) => one.pinned) ?? [];
  const promised = jobs
    .filter(({ promise }) => promise !== null)
    .sort((a, b) => (a.promise?.at ?? '').localeCompare(b.promise?.at ?? ''));
  const stopped = jobs.filter((one) => one.stopped !== null);
  const noon = midnight(nowMs) + 12 * HOUR_MS;
  const byNoon = plan ? jobs.filter(({ ticketId }) => (plan.doneMs[ticketId] ?? Infinity) <= noon) : [];
  const byTonight = plan
    ? jobs.filter(({ ticketId }) => (plan.doneMs[ticketId] ?? Infinity) <= closingOf(state, nowMs))
    : [];
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
          <div className="flex flex-wrap items-center gap-3">
            <span className="text-soft" role="status">
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
        {jobs.length === 0 ? (
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
        {pinned.length > 0 && (
          <section aria-label="Set by hand" className="mt-3">
            <h2 className="border-b border-ink pb-1 text-base">Set by hand</h2>
            <ul>
              {pinned.map(({ step, ticketId, parts }) => (
                <li key={step.id} className="flex items-center justify-between gap-3 border-b border-hair">
                  <span>
                    {jobs.find((one) => one.ticketId === ticketId)?.number} {step.label},{' '}
                    {moment(parts[0]?.fromMs ?? 0, nowMs)}
                  </span>
                  <Button
                    look="quiet"
                    onClick={() => void dispatch(changeBook([{ type: 'stepUnpinned', stepId: step.id }]))}
                  >
                    Leave it to the plan
                  </Button>
                </li>
              ))}
            </ul>
          </section>
        )}
        <Fold title="How long things take" className="mt-6 border-t border-ink">
          <HowLong jobs={jobs} durations={durations} minutes={state.minutes} />
        </Fold>
        <Fold title="Opening hours, benches and drying places" className="border-t border-ink">
          <Bench state={state} />
        </Fold>
      </div>
      <aside
        aria-label="What comes of it"
        className="grid content-start gap-7 border-hair px-5 py-5 max-lg:border-t lg:border-l"
      >
        {plan && <DoNext plan={plan} jobs={jobs} nowMs={nowMs} />}
        <section aria-labelledby="promised">
          <h2 id="promised" className="border-b border-ink pb-1 text-lg">
            Promised
          </h2>
          {promised.length === 0 && (
            <p className="py-2 text-soft">Nothing is promised. Say it on a ticket, at Take in.</p>
          )}
          <ul>
            {promised.map(({ ticketId, number, promise }) => {
              const due = Date.parse(promise?.at ?? '');
              const kept = plan?.kept[ticketId];
              const past = due < nowMs;
              return (
                <li key={ticketId} className="border-b border-hair py-2">
                  <span className="flex justify-between gap-2">
                    <Link
                      className="inline-flex min-h-11 items-center font-semibold underline decoration-hair decoration-2 underline-offset-4"
                      to={`/t/${ticketId}`}
                    >
                      {number}
                    </Link>
                    <span>{moment(due, nowMs)}</span>
                  </span>
                  <span
                    className={past || (kept ?? 1) < THRESHOLDS.promiseAtRisk ? 'block text-live' : 'block text-soft'}
                  >
                    {promise?.to && `${promise.to}: `}
                    {past ? 'that is past; say a new one' : kept === undefined ? '…' : inHundred(kept)}
                    {!past &&
                      jobs.find((one) => one.ticketId === ticketId)?.waits.some(({ kind }) => kind === 'parts') &&
                      ', the post'}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
        <section aria-labelledby="ready">
          <h2 id="ready" className="border-b border-ink pb-1 text-lg">
            Ready
          </h2>
          <p className="py-2">
            {nowMs < noon && <>By noon: {byNoon.map(({ number }) => number).join(', ') || 'none'}. </>}
            By closing:{' '}
            {byTonight
              .map(({ number, ticketId }) => `${number} (${inHundred(plan?.today[ticketId] ?? 0)})`)
              .join(', ') || 'none'}
            .
          </p>
          {plan && plan.left.length > 0 && (
            <p className="text-live">{counted(plan.left.length, 'ticket')} do not fit into the next ten days.</p>
          )}
        </section>
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
      </aside>
    </div>
  );
}
