import { beltFields, item } from '../drawer';
import {
  day,
  flag,
  id,
  list,
  nullable,
  number,
  shape,
  text,
  time,
  type ShapeValue,
  type ValueOf,
} from '../../base/schema';

/* What was asked of suppliers and what came of it. An order without a day on which it was placed is a list being made. */

/** What a line is for: what a ticket wants. */
const purpose = shape({ ticketId: id(), wantId: id() });

export const orderLine = shape({
  id: id(),
  ...beltFields,
  label: text(160),
  sellerNumber: text(80),
  quantity: number(1, 10_000),
  price: nullable(number(0, 100_000)),
  /** Taken instead of what was wanted first, in words; empty where it is that. */
  insteadOf: text(160),
  wants: list(purpose, 100),
  /** How many came that were right, and how many that were not. */
  arrived: number(0, 10_000),
  wrong: number(0, 10_000),
  /** When the first right one came. */
  arrivedAt: nullable(time()),
});
export interface OrderLine extends ValueOf<typeof orderLine> {}

export const order = shape({
  id: id(),
  supplier: text(120),
  placedAt: nullable(time()),
  /** The day that the supplier has named; empty where none. */
  expectedOn: day(),
  /** The number that the supplier has given it. */
  reference: text(80),
  /** Placed at the parts counter, rather than written by hand. */
  byCounter: flag(),
  lines: list(orderLine, 500),
  /** Closed with something still out: it will not come. */
  closedAt: nullable(time()),
});
export interface Order extends ValueOf<typeof order> {}

export const ordersState = { orders: list(order, 5000) };
export interface OrdersState extends ShapeValue<typeof ordersState> {}

export const orderEvents = {
  /** A list that is being made, as it is now. */
  orderPut: { order },
  orderRemoved: { orderId: id() },
  orderPlaced: { orderId: id(), expectedOn: day(), reference: text(80), byCounter: flag() },
  orderExpected: { orderId: id(), expectedOn: day() },
  /** So many of a line came: what is right goes into the drawer as `item`, what is not as `other`, or not at all. */
  lineArrived: {
    orderId: id(),
    lineId: id(),
    right: number(0, 10_000),
    item: nullable(item),
    wrong: number(0, 10_000),
    other: nullable(item),
  },
  /** What is still out will not come. */
  orderClosed: { orderId: id() },
};
