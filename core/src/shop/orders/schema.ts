import { beltFields, item } from '../drawer';
import {
  day,
  flag,
  id,
  list,
  nullable,
  number,
  optional,
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
  /** What is said to the supplier besides. */
  note: optional(text(400)),
  /** Closed with something still out: it will not come. */
  closedAt: nullable(time()),
});
export interface Order extends ValueOf<typeof order> {}

export const ordersState = { orders: list(order, 5000) };
export interface OrdersState extends ShapeValue<typeof ordersState> {}

export const orderEvents = {
  /** A list whole, as books of the first version have it; a list is made by the events below. */
  orderPut: { order },
  orderBegun: { orderId: id(), supplier: text(120) },
  lineListed: { orderId: id(), line: orderLine },
  /** More of a line that is on the list. */
  lineMore: { orderId: id(), lineId: id(), by: number(1, 10_000) },
  lineCounted: { orderId: id(), lineId: id(), quantity: number(1, 10_000) },
  linePriced: { orderId: id(), lineId: id(), price: nullable(number(0, 100_000)) },
  /** Another belt instead of what stands there. */
  lineSwapped: {
    orderId: id(),
    lineId: id(),
    ...beltFields,
    price: nullable(number(0, 100_000)),
    insteadOf: text(160),
  },
  lineTakenOff: { orderId: id(), lineId: id() },
  supplierNamed: { orderId: id(), supplier: text(120) },
  orderNoted: { orderId: id(), note: text(400) },
  /** What is on one list goes over to the other. */
  listsJoined: { orderId: id(), intoId: id() },
  orderRemoved: { orderId: id() },
  orderPlaced: {
    orderId: id(),
    expectedOn: day(),
    reference: text(80),
    byCounter: flag(),
    /** What the supplier says that was ordered, where it says: what came upon the list since stays on a list of its own. */
    ordered: optional(shape({ lines: list(orderLine, 500, 1), restId: id() })),
  },
  orderExpected: { orderId: id(), expectedOn: day() },
  /** So many of a line came: what is right goes into the drawer as `item`, what is not as `other`, or not at all. */
  lineArrived: {
    orderId: id(),
    lineId: id(),
    right: number(0, 10_000),
    item: nullable(item),
    wrong: number(0, 10_000),
    other: nullable(item),
    /** How many were still to come when it was said: more than that came knowingly, and is not the same parcel told twice. */
    stillOut: optional(number(0, 10_000)),
  },
  /** What is still out will not come. */
  orderClosed: { orderId: id() },
};
