import type { Order } from '../orders';
import { arrivesBy, daysFor, deliveryOf, type Delivery } from '../orders';
import { placeInOrder, planDay, type Day, type Job, type Plan, type Shift, type Step } from '../schedule';
import { bellCurve, seeded } from '../../base/statistics';
import type { Risk } from './risk';
import type { DayJob, DayStep } from './steps';
import { hoursOf } from './hours';
import { MINUTES_OF_DAY, type DayState } from './schema';

const MINUTE_MS = 60_000;
/** A promise weighs ten times what an open end does. */
const PROMISED = 10;
const UNPROMISED = 1;
/** A promise is better kept with an hour to spare: hands scatter. What that is worth beside being late. Our guess. */
const SPARE_MIN = 60;
const SPARE = 2;
/** What nobody was promised should be out of the house in so many days. Our guess. */
const USUAL_DAYS = 7;
/** How far ahead is planned. */
const PLAN_DAYS = 10;

/** The midnight before a moment, on this machine's clock. */
export function midnight(nowMs: number): number {
  const at = new Date(nowMs);
  return new Date(at.getFullYear(), at.getMonth(), at.getDate()).getTime();
}

/** Open hours from a moment on, as moments; what is over is left out. By the calendar, so that summer time shifts nothing. */
export function openFrom(
  state: Pick<DayState, 'hours'>,
  nowMs: number,
  days = PLAN_DAYS,
): ReadonlyArray<{ fromMs: number; toMs: number }> {
  const hours = hoursOf(state);
  const at = new Date(nowMs);
  return Array.from({ length: days }, (_, n) => new Date(at.getFullYear(), at.getMonth(), at.getDate() + n)).flatMap(
    (day) =>
      (hours[(day.getDay() + 6) % 7] ?? []).flatMap(({ fromMin, toMin }) => {
        const moment = (minutes: number): number =>
          new Date(day.getFullYear(), day.getMonth(), day.getDate(), 0, minutes).getTime();
        const [fromMs, toMs] = [Math.max(moment(fromMin), nowMs), moment(toMin)];
        return fromMs < toMs ? [{ fromMs, toMs }] : [];
      }),
  );
}

/** All that a plan is made of. */
export interface DayQuestion {
  readonly nowMs: number;
  readonly jobs: readonly DayJob[];
  readonly state: Pick<DayState, 'hours' | 'benches' | 'dryingPlaces' | 'pins'>;
  readonly orders: readonly Order[];
}

/** A step as planned, in moments. */
export interface DayBlock {
  readonly ticketId: string;
  readonly step: DayStep;
  readonly parts: ReadonlyArray<{ readonly fromMs: number; readonly toMs: number }>;
  readonly waitUntilMs: number;
  readonly pinned: boolean;
}

export interface DayPlan {
  readonly madeAtMs: number;
  readonly blocks: readonly DayBlock[];
  /** When each ticket is done by the plan, where nothing comes between. */
  readonly doneMs: Readonly<Record<string, number>>;
  /** The chance that a ticket is done by the moment it was promised for. */
  readonly kept: Readonly<Record<string, number>>;
  /** The chance that a ticket is done by closing of this day. */
  readonly today: Readonly<Record<string, number>>;
  /** Tickets of which something fits in no opening hours. */
  readonly left: readonly string[];
}

const round = (ms: number, fromMs: number): number => Math.round((ms - fromMs) / MINUTE_MS);

/** The day as a scheduling problem, in whole minutes from now. */
export function problemOf({ nowMs, jobs, state }: DayQuestion): Day {
  const pinAt = new Map(state.pins.map(({ stepId, at }) => [stepId, Date.parse(at)]));
  return {
    jobs: jobs
      .filter(({ stopped }) => stopped === null)
      .map((job): Job => ({
        id: job.ticketId,
        dueAt: job.promise ? round(Date.parse(job.promise.at), nowMs) : USUAL_DAYS * MINUTES_OF_DAY,
        weight: job.promise ? PROMISED : UNPROMISED,
        ...(job.promise && {
          soon: { at: round(Date.parse(job.promise.at), nowMs) - SPARE_MIN, weight: SPARE },
        }),
        steps: job.steps.map((step) => {
          const pin = pinAt.get(step.id);
          return {
            id: step.id,
            minutes: Math.max(1, Math.round(step.medianMin)),
            mayCut: step.mayCut,
            waitAfter: step.waitAfterMin,
            waitsAt: step.waitsAt,
            notBefore: step.notBeforeMs === null ? 0 : Math.max(0, Math.ceil((step.notBeforeMs - nowMs) / MINUTE_MS)),
            // A pin of the past holds nothing.
            pinnedAt: pin === undefined || pin < nowMs - MINUTE_MS ? null : Math.max(0, round(pin, nowMs)),
          };
        }),
      })),
    shifts: openFrom(state, nowMs).map(({ fromMs, toMs }): Shift => ({
      from: round(fromMs, nowMs),
      to: round(toMs, nowMs),
    })),
    benches: state.benches,
    dryingPlaces: state.dryingPlaces,
  };
}

/** The order of a plan's steps, as jobs named once for each. */
function orderOf(day: Day, plan: Plan): number[] {
  const index = new Map(day.jobs.map(({ id }, at) => [id, at]));
  return [...plan.planned]
    .sort((a, b) => (a.parts[0]?.from ?? 0) - (b.parts[0]?.from ?? 0))
    .map(({ jobId }) => index.get(jobId) ?? 0);
}

/** So many days are played through for the chances. */
const SAMPLES = 200;
/** Placings of a step that a plan may cost; 200 ms of them on the machine this was measured on. */
const PLACINGS = 90_000;

/**
 * The plan of a day, and the chance of every promise: the plan's order is played through again and again with hands and
 * parcels as they scatter.
 *
 * @param stop asked now and then; true ends the search with what there is
 */
export function planOf(question: DayQuestion, stop?: () => boolean): DayPlan {
  const { nowMs, jobs, state, orders } = question;
  const day = problemOf(question);
  const steps = day.jobs.reduce((sum, job) => sum + job.steps.length, 0);
  const tries = Math.min(6000, Math.max(200, Math.round(PLACINGS / Math.max(1, steps))));
  const plan = planDay(day, { tries, ...(stop && { stop }) });
  const ms = (minutes: number): number => nowMs + minutes * MINUTE_MS;
  const stepOf = new Map(jobs.flatMap((job) => job.steps.map((step) => [step.id, step] as const)));
  const pinned = new Set(
    day.jobs.flatMap((job) => job.steps.filter(({ pinnedAt }) => pinnedAt !== null).map(({ id }) => id)),
  );

  const order = orderOf(day, plan);
  const random = seeded(26_11);
  const bell = bellCurve(random);
  const riskFor = new Map(jobs.map(({ ticketId, risk }) => [ticketId, risk]));
  const anyDelivery = deliveryOf(orders, '');
  const done = new Map<string, number[]>(day.jobs.map(({ id }) => [id, []]));
  for (let n = 0; n < SAMPLES; n += 1) {
    const parcelAt = new Map<string, number>();
    const arrival = (one: Order): number => {
      const known = parcelAt.get(one.id) ?? arrivesBy(one, orders, nowMs, Math.min(0.999, random()));
      parcelAt.set(one.id, known);
      return known;
    };
    const played: Day = {
      ...day,
      jobs: day.jobs.map((job) => ({
        ...job,
        steps: cameBetween(job.steps, riskFor.get(job.id), random, anyDelivery, stepOf).map((step) => {
          const given = stepOf.get(step.id);
          if (!given) return step;
          const parcels = given.parcels.map(arrival);
          // What is done twice takes as long twice.
          const times = step.minutes / Math.max(1, Math.round(given.medianMin));
          const minutes = Math.max(1, Math.round(times * given.medianMin * Math.exp(given.logStd * bell())));
          const notBefore = parcels.length > 0 ? Math.max(0, round(Math.max(...parcels), nowMs)) : step.notBefore;
          return { ...step, minutes, notBefore };
        }),
      })),
    };
    const { doneAt } = placeInOrder(played, order);
    for (const { id } of day.jobs) done.get(id)?.push(doneAt.get(id) ?? Infinity);
  }
  const closing = closingOf(state, nowMs);
  const chance = (id: string, byMs: number): number => {
    const all = done.get(id) ?? [];
    return all.filter((at) => ms(at) <= byMs).length / SAMPLES;
  };
  const of = <T>(value: (job: DayJob) => T | undefined): Record<string, T> =>
    Object.fromEntries(
      jobs.flatMap((job) => {
        const one = value(job);
        return one === undefined ? [] : [[job.ticketId, one] as const];
      }),
    );
  return {
    madeAtMs: nowMs,
    blocks: plan.planned.flatMap(({ jobId, stepId, parts, waitUntil }): DayBlock[] => {
      const step = stepOf.get(stepId);
      return step
        ? [
            {
              ticketId: jobId,
              step,
              parts: parts.map(({ from, to }) => ({ fromMs: ms(from), toMs: ms(to) })),
              waitUntilMs: ms(waitUntil),
              pinned: pinned.has(stepId),
            },
          ]
        : [];
    }),
    doneMs: of(({ ticketId }) => {
      const at = plan.doneAt.get(ticketId);
      return at === undefined ? undefined : ms(at);
    }),
    kept: of(({ ticketId, promise }) => (promise ? chance(ticketId, Date.parse(promise.at)) : undefined)),
    today: of(({ ticketId, stopped }) => (stopped ? undefined : chance(ticketId, closing))),
    left: [...new Set(plan.left.map((stepId) => stepId.split('/')[0] ?? ''))],
  };
}

/**
 * A job's steps with what nobody knows of yet: before the belt is fitted a parcel may have to come, and where it does not
 * do another is fitted, which may have to come as well.
 */
function cameBetween(
  steps: readonly Step[],
  risk: Risk | undefined,
  random: () => number,
  delivery: Delivery,
  stepOf: ReadonlyMap<string, DayStep>,
): readonly Step[] {
  // Always as many numbers drawn, so that one job's luck does not change another's.
  const [needs, works, again, first, second] = [random(), random(), random(), random(), random()];
  const fit = steps.findIndex(({ id }) => stepOf.get(id)?.kind === 'fit');
  if (!risk || fit < 0) return steps;
  const days = (chance: number): number => Math.round(daysFor(delivery, Math.min(0.999, chance)) * MINUTES_OF_DAY);
  const waitMin = needs < risk.needsParts ? days(first) : 0;
  const fails = works >= risk.beltWorks;
  const againMin = fails && again < risk.orderAgain ? days(second) : 0;
  return steps.map((step, index): Step => {
    if (index === fit - 1 && waitMin > 0)
      return { ...step, waitAfter: Math.max(step.waitAfter, waitMin), waitsAt: 'shelf' };
    if (index !== fit) return step;
    return {
      ...step,
      ...(fit === 0 && { notBefore: step.notBefore + waitMin }),
      ...(fails && { minutes: 2 * step.minutes, waitAfter: step.waitAfter + againMin, waitsAt: 'shelf' as const }),
    };
  });
}

/** When the bench closes on the day of a moment, or at that day's end where it is closed. */
export function closingOf(state: Pick<DayState, 'hours'>, nowMs: number): number {
  const today = openFrom(state, nowMs, 1);
  return today.at(-1)?.toMs ?? midnight(nowMs) + MINUTES_OF_DAY * MINUTE_MS;
}
