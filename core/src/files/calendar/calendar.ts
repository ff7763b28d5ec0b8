import { createEvents, type EventAttributes } from 'ics';
import { ok, refuse, type Result } from '../../base/units';
import type { DayJob, DayPlan } from '../../shop/day';

/**
 * A plan as iCalendar (RFC 5545): every hands-on step an entry, every promise one of its own.
 *
 * @returns the file, or a sentence
 */
export function planCalendar(plan: DayPlan, jobs: readonly DayJob[]): Result<string> {
  const job = new Map(jobs.map((one) => [one.ticketId, one]));
  const created = plan.madeAtMs;
  const entry = (uid: string, title: string, fromMs: number, toMs: number, description: string): EventAttributes => ({
    uid,
    title,
    description,
    created,
    start: fromMs,
    startInputType: 'utc',
    startOutputType: 'utc',
    end: toMs,
    endInputType: 'utc',
    endOutputType: 'utc',
    productId: 'loose-pulley',
    calName: 'Bench',
  });
  const entries = plan.blocks.flatMap(({ ticketId, step, parts }) => {
    const of = job.get(ticketId);
    return parts.map(({ fromMs, toMs }, n) =>
      entry(
        `${step.id.replace('/', '-')}-${n}@loose-pulley`,
        `${of?.number ?? ''} ${step.label}`,
        fromMs,
        toMs,
        of?.machine ?? '',
      ),
    );
  });
  const promises = jobs.flatMap(({ ticketId, number, promise }) =>
    promise
      ? [
          entry(
            `${ticketId}-promise@loose-pulley`,
            `${number} promised${promise.to ? ` to ${promise.to}` : ''}`,
            Date.parse(promise.at),
            Date.parse(promise.at) + 60_000,
            `${Math.round(100 * (plan.kept[ticketId] ?? 0))} in 100`,
          ),
        ]
      : [],
  );
  const all = [...entries, ...promises];
  if (all.length === 0) return refuse('There is nothing planned and nothing promised to write.');
  const { error, value } = createEvents(all);
  return error || !value ? refuse('The plan could not be written as a calendar.') : ok(value);
}
