import { scaleTime } from 'd3-scale';
import type { DayJob, DayPlan } from '@loose-pulley/core/shop/day';

export const ROW_PX = 38;
export const LEFT_PX = 58;
const RIGHT_PX = 16;
const TOP_PX = 26;

export interface DrawnBlock {
  readonly key: string;
  readonly stepId: string;
  /** Inside it where it fits, else beside it where nothing stands; empty where neither. */
  readonly label: string;
  readonly beside: boolean;
  readonly x: number;
  readonly widthPx: number;
  readonly pinned: boolean;
  readonly minutes: number;
}
export interface DrawnWait {
  readonly key: string;
  readonly label: string;
  readonly x: number;
  readonly widthPx: number;
  /** Where four in five have come; undefined for a clock. */
  readonly lateX: number | undefined;
  /** Nobody knows when it ends. */
  readonly open: boolean;
}
export interface DrawnRow {
  readonly job: DayJob;
  readonly y: number;
  readonly blocks: readonly DrawnBlock[];
  readonly waits: readonly DrawnWait[];
  readonly promiseX: number | undefined;
}

/** About how wide a letter of the labels is. */
const LETTER_PX = 7;

/**
 * The timeline of some hours: a row for each ticket, work solid, waits dotted.
 *
 * @param fromMs, toMs of the axis
 */
export function dayLayout(
  jobs: readonly DayJob[],
  plan: DayPlan | null,
  [fromMs, toMs]: readonly [number, number],
  widthPx: number,
) {
  const scale = scaleTime([fromMs, toMs], [LEFT_PX, widthPx - RIGHT_PX]);
  const clip = (ms: number): number => scale(Math.max(fromMs, Math.min(toMs, ms)));
  const seen = (from: number, to: number): boolean => to > fromMs && from < toMs;
  /** A label as it fits into so many pixels; empty where it would be no word. */
  const fitted = (words: string, px: number): string => {
    const letters = Math.floor(px / LETTER_PX);
    return words.length <= letters ? words : letters < 5 ? '' : `${words.slice(0, letters - 1)}…`;
  };
  const rows = jobs.map((job, index): DrawnRow => {
    const blocks = (plan?.blocks ?? [])
      .filter(({ ticketId }) => ticketId === job.ticketId)
      .flatMap(({ step, parts, pinned }) =>
        parts
          .filter((part) => seen(part.fromMs, part.toMs))
          .map((part, n): DrawnBlock => {
            const x = clip(part.fromMs);
            const width = Math.max(3, clip(part.toMs) - x);
            const inside = fitted(step.label, width - 9);
            return {
              key: `${step.id} ${n}`,
              stepId: step.id,
              label: inside || step.label,
              beside: inside === '',
              x,
              widthPx: width,
              pinned,
              minutes: Math.round(step.medianMin),
            };
          }),
      );
    const planned = (plan?.blocks ?? [])
      .filter(({ ticketId, step }) => ticketId === job.ticketId && step.waitAfterMin > 0)
      .flatMap(({ step, parts, waitUntilMs }) => {
        const from = parts.at(-1)?.toMs ?? waitUntilMs;
        return seen(from, waitUntilMs)
          ? [{ key: `${step.id} dry`, label: 'dry', from, to: waitUntilMs, late: null, open: false }]
          : [];
      });
    const waits = [
      ...job.waits.map(({ kind, what, fromMs: from, untilMs, lateMs }, n) => ({
        key: `${kind} ${n}`,
        label: what,
        from: Math.max(from, fromMs),
        to: untilMs ?? toMs,
        late: lateMs,
        open: untilMs === null,
      })),
      ...planned,
    ]
      .filter(({ from, to }) => seen(from, to))
      .map(({ key, label, from, to, late, open }): DrawnWait => ({
        key,
        label,
        x: clip(from),
        widthPx: Math.max(2, clip(to) - clip(from)),
        lateX: late !== null && late > to && late < toMs ? scale(late) : undefined,
        open: open || to > toMs,
      }));
    // What does not fit inside stands beside it, up to whatever comes next in the row.
    const starts = [...blocks.map((one) => one.x), ...waits.map((one) => one.x)].sort((one, other) => one - other);
    const labelled = blocks.map((one): DrawnBlock => {
      if (!one.beside) return one;
      const ends = one.x + one.widthPx;
      const next = starts.find((x) => x > one.x + 0.5) ?? widthPx - RIGHT_PX;
      return { ...one, label: fitted(one.label, next - ends - 8) };
    });
    // Of several waits that begin together only the longest is named.
    const named = waits.map((one) =>
      waits.some(
        (other) =>
          other !== one &&
          Math.abs(other.x - one.x) < 60 &&
          (other.widthPx > one.widthPx || (other.widthPx === one.widthPx && other.key < one.key)),
      )
        ? { ...one, label: '' }
        : one,
    );
    const due = job.promise ? Date.parse(job.promise.at) : Number.NaN;
    return {
      job,
      y: TOP_PX + index * ROW_PX,
      blocks: labelled,
      waits: named,
      promiseX: due >= fromMs && due <= toMs ? scale(due) : undefined,
    };
  });
  const axisY = TOP_PX + jobs.length * ROW_PX + 4;
  return { scale, rows, axisY, heightPx: axisY + 28 };
}
