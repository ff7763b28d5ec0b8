import { normalCdf, normalQuantile } from '../../base/statistics';
import type { Order } from './schema';

/* How long a supplier takes: learned from the orders that came, with what is believed of any supplier beside them. */

/** Of any supplier: half of all parcels within 5 days, four in five within 3 to 8. Common practice, no source. */
const PRIOR = { medianDays: 5, logStd: 0.4, worth: 2 } as const;
const DAY_MS = 86_400_000;
/** Nothing comes sooner than this, days: a log-normal needs to start above none. */
const MIN_DAYS = 0.25;

/** Days from order to arrival, as a log-normal: its median, and the spread of its logarithm. */
export interface Delivery {
  readonly medianDays: number;
  readonly logStd: number;
  /** How many orders it was learned from. */
  readonly seen: number;
}

const daysOf = (from: string, to: string): number => Math.max(MIN_DAYS, (Date.parse(to) - Date.parse(from)) / DAY_MS);

/**
 * How long a supplier takes. The orders that have come are joined with what is believed of any supplier, which counts as
 * two of them; the mean and the spread of the logarithm by the conjugate normal model (Gelman et al., Bayesian Data
 * Analysis, §3.3).
 *
 * @example deliveryOf([], 'Corrie Belts') // { medianDays: 5, logStd: 0.49, seen: 0 }
 */
export function deliveryOf(orders: readonly Order[], supplier: string): Delivery {
  const name = supplier.trim().toLowerCase();
  const logs = orders
    .filter((one) => one.placedAt !== null && one.supplier.trim().toLowerCase() === name)
    .flatMap(({ placedAt, lines }) => {
      const came = lines.flatMap(({ arrivedAt }) => (arrivedAt ? [arrivedAt] : [])).sort();
      return placedAt && came[0] ? [Math.log(daysOf(placedAt, came[0]))] : [];
    });
  const n = logs.length;
  const { worth } = PRIOR;
  const priorMean = Math.log(PRIOR.medianDays);
  const seenMean = n === 0 ? 0 : logs.reduce((sum, one) => sum + one, 0) / n;
  const mean = (worth * priorMean + n * seenMean) / (worth + n);
  const squares =
    worth * PRIOR.logStd ** 2 +
    logs.reduce((sum, one) => sum + (one - seenMean) ** 2, 0) +
    ((worth * n) / (worth + n)) * (seenMean - priorMean) ** 2;
  // What the next one will be is less sure than the mean of them all.
  const logStd = Math.sqrt((squares / (worth + n)) * (1 + 1 / (worth + n)));
  return { medianDays: Math.exp(mean), logStd, seen: n };
}

/** The delivery of one order: about the day that was named for it, where one was; else as this supplier's others. */
function deliveryFor(order: Order, orders: readonly Order[]): Delivery {
  const of = deliveryOf(orders, order.supplier);
  if (order.expectedOn === '' || order.placedAt === null) return of;
  // A day that was named ends in the afternoon.
  return { ...of, medianDays: daysOf(order.placedAt, `${order.expectedOn}T15:00:00Z`) };
}

/**
 * The chance that an order has come by a moment, known that it has not come by now.
 *
 * @returns 0 to 1; 0 for a list that was not placed
 */
export function chanceBy(order: Order, orders: readonly Order[], nowMs: number, byMs: number): number {
  if (order.placedAt === null || byMs <= nowMs) return 0;
  const { medianDays, logStd } = deliveryFor(order, orders);
  const placedMs = Date.parse(order.placedAt);
  const within = (ms: number): number =>
    normalCdf((Math.log(Math.max(MIN_DAYS, (ms - placedMs) / DAY_MS)) - Math.log(medianDays)) / logStd);
  const already = within(nowMs);
  // Long overdue: what the model had left for it is used up, and a day is as good as the next.
  if (already > OVERDUE) return 1 - Math.exp(-(byMs - nowMs) / (3 * DAY_MS));
  return (within(byMs) - already) / (1 - already);
}
const OVERDUE = 0.98;

/** The moment by which an order has come with a chance, known that it has not come by now. @param chance 0 to 1 */
export function arrivesBy(order: Order, orders: readonly Order[], nowMs: number, chance: number): number {
  if (order.placedAt === null) return Infinity;
  const { medianDays, logStd } = deliveryFor(order, orders);
  const placedMs = Date.parse(order.placedAt);
  const already = normalCdf(
    (Math.log(Math.max(MIN_DAYS, (nowMs - placedMs) / DAY_MS)) - Math.log(medianDays)) / logStd,
  );
  if (already > OVERDUE) return nowMs - Math.log(1 - chance) * 3 * DAY_MS;
  const z = normalQuantile(already + chance * (1 - already));
  return placedMs + Math.exp(Math.log(medianDays) + z * logStd) * DAY_MS;
}

/** Days until something ordered now would have come from a supplier, with a chance. For instance daysFor(delivery, 0.5): 5 */
export const daysFor = ({ medianDays, logStd }: Delivery, chance: number): number =>
  medianDays * Math.exp(logStd * normalQuantile(chance));
