import { Link } from 'react-router';
import { inHundred } from '@loose-pulley/core/belts/probability';
import { THRESHOLDS } from '@loose-pulley/core/base/thresholds';
import { capital, counted } from '@loose-pulley/core/base/units';
import { midnight, type DayBlock, type DayJob, type DayPlan } from '@loose-pulley/core/shop/day';
import { Button } from '../../parts/ui/Button';
import { ButtonLink } from '../../parts/ui/ButtonLink';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { at, HOUR_MS, moment } from './moments';

interface Of {
  readonly plan: DayPlan | null;
  readonly jobs: readonly DayJob[];
  readonly nowMs: number;
}

/** What to do now, and until when. */
export function DoNext({
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

/** Steps that were put somewhere by hand, and stay there. */
export function SetByHand({ plan, jobs, nowMs }: Of) {
  const dispatch = useAppDispatch();
  const pinned = plan?.blocks.filter((one) => one.pinned) ?? [];
  if (pinned.length === 0) return null;
  return (
    <section aria-label="Set by hand" className="mt-3">
      <h2 className="border-b border-ink pb-1 text-base">Set by hand</h2>
      <ul>
        {pinned.map(({ step, ticketId, parts }) => (
          <li key={step.id} className="flex items-center justify-between gap-3 border-b border-hair">
            <span>
              {jobs.find((one) => one.ticketId === ticketId)?.number} {step.label},{' '}
              {moment(parts[0]?.fromMs ?? 0, nowMs)}
            </span>
            <Button look="quiet" onClick={() => void dispatch(changeBook([{ type: 'stepUnpinned', stepId: step.id }]))}>
              Leave it to the plan
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What is promised, and how likely it is kept. */
export function Promised({ plan, jobs, nowMs }: Of) {
  const promised = jobs
    .filter(({ promise }) => promise !== null)
    .sort((a, b) => (a.promise?.at ?? '').localeCompare(b.promise?.at ?? ''));
  return (
    <section aria-labelledby="promised">
      <h2 id="promised" className="border-b border-ink pb-1 text-lg">
        Promised
      </h2>
      {promised.length === 0 && <p className="py-2 text-soft">Nothing is promised. Say it on a ticket, at Take in.</p>}
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
              <span className={past || (kept ?? 1) < THRESHOLDS.promiseAtRisk ? 'block text-live' : 'block text-soft'}>
                {promise?.to && `${promise.to}: `}
                {past ? 'Overdue: set a new time' : kept === undefined ? '…' : inHundred(kept)}
                {!past &&
                  jobs.find((one) => one.ticketId === ticketId)?.waits.some(({ kind }) => kind === 'parts') &&
                  ', the post'}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What will be ready by noon, and by closing. */
export function Ready({ plan, jobs, nowMs, closesMs }: Of & { readonly closesMs: number }) {
  const noon = midnight(nowMs) + 12 * HOUR_MS;
  const byNoon = plan ? jobs.filter(({ ticketId }) => (plan.doneMs[ticketId] ?? Infinity) <= noon) : [];
  const byTonight = plan ? jobs.filter(({ ticketId }) => (plan.doneMs[ticketId] ?? Infinity) <= closesMs) : [];
  return (
    <section aria-labelledby="ready">
      <h2 id="ready" className="border-b border-ink pb-1 text-lg">
        Ready
      </h2>
      <p className="py-2">
        {nowMs < noon && <>By noon: {byNoon.map(({ number }) => number).join(', ') || 'none'}. </>}
        By closing:{' '}
        {byTonight.map(({ number, ticketId }) => `${number} (${inHundred(plan?.today[ticketId] ?? 0)})`).join(', ') ||
          'none'}
        .
      </p>
      {plan && plan.left.length > 0 && (
        <p className="text-live">{counted(plan.left.length, 'ticket')} do not fit into the next ten days.</p>
      )}
    </section>
  );
}
