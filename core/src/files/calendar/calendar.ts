import { createEvents, type EventAttributes } from 'ics';
import { ok, plainWords, refuse, type Result } from '../../base/units';
import type { DayJob, DayPlan } from '../../shop/day';

/** Lines without what no calendar carries: a lone carriage return ends a line like any other. */
const plainLines = (words: string): string => words.replace(/\r\n?/g, '\n').split('\n').map(plainWords).join('\n');

const LINE_OCTETS = 75;
const octets = new TextEncoder();

/** Lines of at most 75 octets, goes on after a blank; no letter is cut apart (RFC 5545, 3.1). */
const folded = (calendar: string): string =>
  calendar
    .replace(/\r\n[ \t]/g, '')
    .split('\r\n')
    .map((line) => {
      const lines: string[] = [''];
      let used = 0;
      for (const letter of line) {
        const size = octets.encode(letter).length;
        if (used + size > LINE_OCTETS) {
          lines.push(' ');
          used = 1;
        }
        lines[lines.length - 1] += letter;
        used += size;
      }
      return lines.join('\r\n');
    })
    .join('\r\n');

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
    title: plainLines(title),
    description: plainLines(description),
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
  return error || !value ? refuse('The plan could not be written as a calendar.') : ok(folded(value));
}
