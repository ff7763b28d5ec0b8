import { seeded } from '../../base/statistics';
import { placeInOrder } from './place';
import type { Day, Job, Plan } from './types';

/** Every job named once for each of its steps, one job after the other. */
const inTurn = (day: Day, jobs: readonly number[]): number[] =>
  jobs.flatMap((index) => (day.jobs[index] as Job).steps.map(() => index));

/**
 * First come, first served: each job from its first step to its last in the order in which the jobs came, later ones in
 * the gaps. What a bench does without a plan.
 */
export const firstCome = (day: Day): Plan =>
  placeInOrder(
    day,
    inTurn(
      day,
      day.jobs.map((_, index) => index),
    ),
  );

const workOf = ({ steps }: Job): number => steps.reduce((sum, { minutes, waitAfter }) => sum + minutes + waitAfter, 0);

/** Looked ahead by a dispatch rule, in multiples of the mean step (Vepsalainen & Morton 1987 take about 2). */
const LOOK_AHEAD = 2;

/**
 * The order by a dispatch rule: always the step of the job that its weight, its work left and its slack make the most
 * urgent (apparent tardiness cost, Vepsalainen & Morton 1987).
 */
function dispatchOrder(day: Day, lookAhead: number): number[] {
  const next = day.jobs.map(() => 0);
  const steps = day.jobs.flatMap(({ steps: of }) => of);
  const mean = steps.reduce((sum, { minutes }) => sum + minutes, 0) / Math.max(1, steps.length);
  const order: number[] = [];
  let clock = 0;
  const free = day.jobs.map(() => 0);
  for (let left = steps.length; left > 0; left -= 1) {
    let best = -1;
    let most = -Infinity;
    day.jobs.forEach((job, index) => {
      const step = job.steps[next[index] as number];
      if (!step) return;
      const rest = { ...job, steps: job.steps.slice(next[index]) };
      const begins = Math.max(clock, free[index] as number, step.notBefore);
      const dueAt = job.soon?.at ?? job.dueAt;
      const slack = dueAt === null ? Infinity : Math.max(0, dueAt - begins - workOf(rest));
      const worth = job.dueAt === null ? 1e-6 : job.weight / Math.max(1, step.minutes);
      const urgency = worth * Math.exp(-Math.min(50, slack / (lookAhead * mean))) * Math.exp(-(begins - clock) / mean);
      if (urgency > most) [best, most] = [index, urgency];
    });
    const step = (day.jobs[best] as Job).steps[next[best] as number];
    if (!step) break;
    const begins = Math.max(clock, free[best] as number, step.notBefore);
    order.push(best);
    clock = begins + step.minutes;
    free[best] = clock + step.waitAfter;
    next[best] = (next[best] as number) + 1;
  }
  return order;
}

/** The plan of the dispatch rule alone. */
export const byDispatch = (day: Day): Plan => placeInOrder(day, dispatchOrder(day, LOOK_AHEAD));

/** What a plan is held against another by: lateness first, then the sum of when all is done. */
function better(a: Plan, b: Plan): boolean {
  if (Math.abs(a.cost - b.cost) > 1e-9) return a.cost < b.cost;
  if (a.left.length !== b.left.length) return a.left.length < b.left.length;
  return sumDone(a) < sumDone(b) - 1e-9;
}
const sums = new WeakMap<Plan, number>();
function sumDone(plan: Plan): number {
  const known = sums.get(plan);
  if (known !== undefined) return known;
  let sum = 0;
  for (const at of plan.doneAt.values()) sum += at;
  sums.set(plan, sum);
  return sum;
}

/** How long a search may go on: by tries of an order, so that the same day gives the same plan. */
export interface Effort {
  readonly tries: number;
  /** Asked now and then; true ends the search with what there is. */
  readonly stop?: () => boolean;
}

/**
 * The best plan found: annealing over the order of the steps, from the dispatch rule with several looks ahead,
 * from due dates and from first come, first served; so that it is never worse than that. The same day and effort give
 * the same plan.
 *
 * @example planDay({ jobs: [], shifts: [{ from: 0, to: 480 }], benches: 3, dryingPlaces: 2 }).cost // 0
 */
export function planDay(day: Day, { tries, stop }: Effort = { tries: 4000 }): Plan {
  const all = day.jobs.map((_, index) => index);
  const due = (index: number): number => (day.jobs[index] as Job).soon?.at ?? (day.jobs[index] as Job).dueAt ?? 1e9;
  const starts = [
    inTurn(day, all),
    ...[1, 2, 4, 8].map((lookAhead) => dispatchOrder(day, lookAhead)),
    inTurn(
      day,
      [...all].sort((a, b) => due(a) - due(b)),
    ),
    inTurn(
      day,
      [...all].sort((a, b) => workOf(day.jobs[a] as Job) - workOf(day.jobs[b] as Job)),
    ),
  ];
  let spent = 0;
  const placed = (order: readonly number[]): Plan => {
    spent += 1;
    return placeInOrder(day, order);
  };
  let best = placed(starts[0] as number[]);
  let bestOrder = starts[0] as number[];
  for (const order of starts.slice(1)) {
    const plan = placed(order);
    if (better(plan, best)) [best, bestOrder] = [plan, order];
  }
  if (bestOrder.length < 2) return best;

  const random = seeded(20_261_127);
  const pick = (below: number): number => Math.floor(random() * below);
  const lateBy = ({ doneAt }: Plan, index: number): number => {
    const job = day.jobs[index] as Job;
    return Math.max(0, (doneAt.get(job.id) ?? 1e6) - due(index)) * job.weight;
  };
  /** A ticket that is late, the later the likelier; any where none is. */
  const lateOne = (plan: Plan): number => {
    const late = all.map((index) => lateBy(plan, index));
    let left = random() * late.reduce((sum, one) => sum + one, 0);
    const found = late.findIndex((one) => (left -= one) < 0);
    return found < 0 ? pick(all.length) : found;
  };
  /** An order changed a little: a step moved or two exchanged; a whole ticket moved; a late one, or one step of it, brought forward. */
  const changed = (order: readonly number[], plan: Plan): number[] => {
    const next = [...order];
    const kind = random();
    if (kind < 0.3) {
      next.splice(pick(next.length), 0, ...next.splice(pick(next.length), 1));
    } else if (kind < 0.5) {
      const [a, b] = [pick(next.length), pick(next.length)];
      [next[a], next[b]] = [next[b] as number, next[a] as number];
    } else if (kind < 0.65) {
      return movedWhole(next, next[pick(next.length)] as number, pick(next.length));
    } else {
      const job = lateOne(plan);
      const places = next.flatMap((one, at) => (one === job ? [at] : []));
      const from = places[pick(places.length)] ?? 0;
      const to = pick(from + 1);
      if (kind < 0.85) next.splice(to, 0, ...next.splice(from, 1));
      else return movedWhole(next, job, to);
    }
    return next;
  };
  // Annealing: what is a little worse is gone along with, ever less so, and begun anew from the best a few times.
  const rounds = Math.max(1, Math.round(tries / ROUND));
  for (let round = 0; round < rounds && spent < tries; round += 1) {
    let [current, currentOrder] = [best, bestOrder];
    const until = Math.round((tries * (round + 1)) / rounds);
    const began = spent;
    const hot = Math.max(HOT * best.cost, 1);
    while (spent < until && !(spent % 64 === 0 && stop?.())) {
      const share = (spent - began) / Math.max(1, until - began);
      const warmth = hot * COLD ** share;
      const order = changed(currentOrder, current);
      const plan = placed(order);
      const worse = plan.cost - current.cost;
      if (better(plan, current) || worse <= 0 || random() < Math.exp(-worse / warmth)) {
        [current, currentOrder] = [plan, order];
        if (better(plan, best)) [best, bestOrder] = [plan, order];
      }
    }
  }
  return best;
}
/* How warm a round begins, of the best cost; how much colder it ends; and about how many tries a round has. By trial. */
const HOT = 0.08;
const COLD = 0.002;
const ROUND = 2000;

/** An order in which one ticket's steps stand together, from a place among the others on. */
function movedWhole(order: readonly number[], job: number, to: number): number[] {
  const own = order.filter((one) => one === job);
  const others = order.filter((one) => one !== job);
  others.splice(Math.min(to, others.length), 0, ...own);
  return others;
}
