import type { Day, Job, Plan, Planned, Shift, Step } from './types';

/* Serial schedule generation: the steps are taken in an order, and each is put where it fits first, in a gap before what is
 * placed already if there is one. Every best plan of such a problem is the outcome of some order (active schedules,
 * Kolisch & Hartmann 1999). */

interface Occupied {
  readonly from: number;
  readonly to: number;
}

/** The technician's free time, in order. A gap says whether it runs up to closing. */
function* gaps(shifts: readonly Shift[], busy: readonly Occupied[], from: number) {
  let index = 0;
  for (const shift of shifts) {
    if (shift.to <= from) continue;
    let at = Math.max(shift.from, from);
    while (index < busy.length && (busy[index] as Occupied).to <= at) index += 1;
    for (let n = index; n < busy.length && (busy[n] as Occupied).from < shift.to; n += 1) {
      const next = busy[n] as Occupied;
      if (next.from > at) yield { from: at, to: next.from, opens: at === shift.from, closes: false };
      at = Math.max(at, next.to);
    }
    if (at < shift.to) yield { from: at, to: shift.to, opens: at === shift.from, closes: true };
  }
}

/**
 * Lays a step into the technician's time from a minute on. One that may be cut is laid down at closing and taken up when
 * the bench opens again; nothing else comes between.
 *
 * @returns its parts, or null where nothing is left of the shifts
 */
function fit(step: Step, from: number, shifts: readonly Shift[], busy: readonly Occupied[]): Shift[] | null {
  let parts: Shift[] = [];
  let left = step.minutes;
  for (const gap of gaps(shifts, busy, from)) {
    // What was laid down at closing is the first thing when the bench opens.
    if (parts.length > 0 && !gap.opens) [parts, left] = [[], step.minutes];
    const room = gap.to - gap.from;
    if (room >= left) return [...parts, { from: gap.from, to: gap.from + left }];
    if (step.mayCut && gap.closes) {
      parts.push({ from: gap.from, to: gap.to });
      left -= room;
    } else [parts, left] = [[], step.minutes];
  }
  return null;
}

/** How many of some intervals cover a moment between two others, at most; and when the first of those ends. */
function crowd(
  intervals: readonly Occupied[],
  from: number,
  to: number,
): { readonly most: number; readonly frees: number } {
  const over = intervals.filter((one) => one.from < to && one.to > from);
  let most = 0;
  for (const { from: start } of over) {
    const at = Math.max(start, from);
    let count = 0;
    for (const one of over) if (one.from <= at && one.to > at) count += 1;
    if (count > most) most = count;
  }
  return { most, frees: Math.min(...over.map((one) => one.to)) };
}

function insert(busy: Occupied[], one: Occupied): void {
  let at = busy.length;
  while (at > 0 && (busy[at - 1] as Occupied).from > one.from) at -= 1;
  busy.splice(at, 0, one);
}

/** What a day comes to where its jobs' steps are placed in an order of jobs: each time a job is named, its next step. */
export function placeInOrder(day: Day, order: readonly number[]): Plan {
  const { jobs, shifts, benches, dryingPlaces } = day;
  const end = shifts.at(-1)?.to ?? 0;
  const busy: Occupied[] = [];
  const drying: Occupied[] = [];
  const onBench: Occupied[] = [];
  const planned: Planned[] = [];
  const left: string[] = [];
  const next = jobs.map(() => 0);
  const ready = jobs.map(() => 0);
  const done = jobs.map(() => 0);
  const stuck = jobs.map(() => false);

  const place = (index: number, step: Step, job: Job, pinned: boolean): void => {
    let from = pinned ? (step.pinnedAt as number) : Math.max(ready[index] as number, step.notBefore);
    for (;;) {
      const parts = fit(step, from, shifts, busy);
      if (!parts) {
        stuck[index] = true;
        left.push(step.id);
        return;
      }
      const begins = (parts[0] as Shift).from;
      const ends = (parts.at(-1) as Shift).to;
      const waits = { from: ends, to: ends + step.waitAfter };
      // Where every place is taken the step waits for the first that frees: it is not begun and then left to stand wet.
      if (step.waitAfter > 0 && step.waitsAt === 'drying') {
        const { most, frees } = crowd(drying, waits.from, waits.to);
        if (most >= dryingPlaces) {
          from = Math.max(begins + 1, frees - step.minutes);
          continue;
        }
      }
      const { most, frees } = crowd(onBench, begins, waits.to);
      if (most >= benches) {
        from = Math.max(begins + 1, frees);
        continue;
      }
      for (const part of parts) insert(busy, part);
      if (step.waitAfter > 0 && step.waitsAt === 'drying') drying.push(waits);
      onBench.push({ from: begins, to: step.waitsAt === 'bench' ? waits.to : ends });
      planned.push({ jobId: job.id, stepId: step.id, parts, waitUntil: waits.to });
      ready[index] = Math.max(ready[index] as number, waits.to);
      done[index] = Math.max(done[index] as number, waits.to);
      return;
    }
  };

  // What was set by hand has its time before anything else.
  const pinned = new Set<string>();
  jobs.forEach((job, index) =>
    job.steps.forEach((step) => {
      if (step.pinnedAt === null) return;
      place(index, step, job, true);
      // Where its time is gone it is planned as if it had not been set.
      if (stuck[index]) left.pop();
      else pinned.add(step.id);
      stuck[index] = false;
    }),
  );
  jobs.forEach((_, index) => {
    ready[index] = 0;
  });
  const waitOver = new Map(planned.map((one) => [one.stepId, one.waitUntil]));
  const advance = (index: number): Step | undefined => {
    const { steps } = jobs[index] as Job;
    for (;;) {
      const step = steps[next[index] as number];
      if (!step || !pinned.has(step.id)) return step;
      ready[index] = Math.max(ready[index] as number, waitOver.get(step.id) ?? 0);
      next[index] = (next[index] as number) + 1;
    }
  };
  for (const index of order) {
    if (stuck[index]) continue;
    const step = advance(index);
    if (!step) continue;
    next[index] = (next[index] as number) + 1;
    place(index, step, jobs[index] as Job, false);
  }
  let cost = 0;
  const doneAt = new Map<string, number>();
  jobs.forEach((job, index) => {
    const all = !stuck[index] && !advance(index);
    const at = all
      ? (done[index] as number)
      : Math.max(end, done[index] as number) + remaining(job, next[index] as number);
    if (all) doneAt.set(job.id, at);
    else
      for (const step of job.steps.slice(next[index] as number))
        if (!left.includes(step.id) && !pinned.has(step.id)) left.push(step.id);
    if (job.dueAt !== null) cost += job.weight * Math.max(0, at - job.dueAt);
    if (job.soon) cost += job.soon.weight * Math.max(0, at - job.soon.at);
  });
  return { planned, doneAt, left, cost };
}

/** Minutes of work and waits that are left of a job from a step on: what it would be late by at least. */
const remaining = ({ steps }: Job, from: number): number =>
  steps.slice(Math.max(0, from - 1)).reduce((sum, { minutes, waitAfter }) => sum + minutes + waitAfter, 0);
