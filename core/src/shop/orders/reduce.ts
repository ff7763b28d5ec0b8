import { received, type DrawerState, type Says } from '../drawer';
import type { Reducers } from '../../record/stations';
import { beltLabel } from '../../base/shapes';
import { counted, ok, refuse, type Result } from '../../base/units';
import { newOrder } from './fresh';
import { outstanding } from './standing';
import type { Order, orderEvents, OrderLine, OrdersState } from './schema';

const gone = <T>(): Result<T> => refuse('That order is not here any more. Nothing was changed.');

const changed = (
  { orders }: OrdersState,
  orderId: string,
  change: (order: Order) => Result<Order>,
): Result<Partial<OrdersState>> => {
  const found = orders.find(({ id }) => id === orderId);
  if (!found) return gone();
  const after = change(found);
  return after.ok ? ok({ orders: orders.map((one) => (one === found ? after.value : one)) }) : after;
};

/** A list while it is being made; one that is placed stays as it was. */
const listed = (
  state: OrdersState,
  orderId: string,
  change: (order: Order) => Result<Order>,
): Result<Partial<OrdersState>> =>
  changed(state, orderId, (order) =>
    order.placedAt === null ? change(order) : refuse('That order is placed: what was ordered stays as it was.'),
  );
const lineOf = (
  state: OrdersState,
  orderId: string,
  lineId: string,
  change: (line: OrderLine) => OrderLine,
): Result<Partial<OrdersState>> =>
  listed(state, orderId, (order) =>
    order.lines.some(({ id }) => id === lineId)
      ? ok({ ...order, lines: order.lines.map((line) => (line.id === lineId ? change(line) : line)) })
      : refuse('That line is not on the list any more. Nothing was changed.'),
  );
const MOST_PIECES = 10_000;

/** What stands on a list beyond what was ordered of it: lines that came upon it since, and more of those that were. */
const notOrdered = (lines: readonly OrderLine[], ordered: readonly OrderLine[]): readonly OrderLine[] =>
  lines.flatMap((line) => {
    const known = ordered.find(({ id }) => id === line.id);
    if (!known) return [line];
    const more = line.quantity - known.quantity;
    return more > 0 ? [{ ...line, id: `${line.id.slice(0, 58)}.more`, quantity: more, wants: [] }] : [];
  });

export const orderReducers: Reducers<OrdersState & DrawerState, typeof orderEvents> = {
  orderBegun({ orders }, { orderId, supplier }) {
    return orders.some(({ id }) => id === orderId)
      ? refuse('That list is begun already.')
      : ok({ orders: [...orders, newOrder(orderId, supplier, [])] });
  },
  lineListed: (state, { orderId, line }) =>
    listed(state, orderId, (order) =>
      order.lines.some(({ id }) => id === line.id)
        ? refuse('That line is on the list already.')
        : ok({ ...order, lines: [...order.lines, { ...line, arrived: 0, wrong: 0, arrivedAt: null }] }),
    ),
  lineMore: (state, { orderId, lineId, by }) =>
    lineOf(state, orderId, lineId, (line) => ({ ...line, quantity: Math.min(MOST_PIECES, line.quantity + by) })),
  lineCounted: (state, { orderId, lineId, quantity }) =>
    lineOf(state, orderId, lineId, (line) => ({ ...line, quantity })),
  linePriced: (state, { orderId, lineId, price }) => lineOf(state, orderId, lineId, (line) => ({ ...line, price })),
  lineSwapped: (state, { orderId, lineId, shape, thicknessMm, widthMm, innerLengthMm, price, insteadOf }) =>
    lineOf(state, orderId, lineId, (line) => ({
      ...line,
      shape,
      thicknessMm,
      widthMm,
      innerLengthMm,
      price,
      insteadOf,
      label: '',
      sellerNumber: '',
    })),
  // A list that nothing is left on is none.
  lineTakenOff(state, { orderId, lineId }) {
    const after = listed(state, orderId, (order) =>
      order.lines.some(({ id }) => id === lineId)
        ? ok({ ...order, lines: order.lines.filter(({ id }) => id !== lineId) })
        : refuse('That line is not on the list any more. Nothing was changed.'),
    );
    return after.ok
      ? ok({ orders: (after.value.orders ?? []).filter(({ id, lines }) => id !== orderId || lines.length > 0) })
      : after;
  },
  supplierNamed: (state, { orderId, supplier }) => listed(state, orderId, (order) => ok({ ...order, supplier })),
  orderNoted: (state, { orderId, note }) => listed(state, orderId, (order) => ok({ ...order, note })),
  listsJoined(state, { orderId, intoId }) {
    const from = state.orders.find(({ id }) => id === orderId);
    if (!from) return gone();
    if (from.placedAt !== null || orderId === intoId)
      return refuse('Only two lists that are being made can become one.');
    const into = listed(state, intoId, (order) => ok({ ...order, lines: [...order.lines, ...from.lines] }));
    return into.ok ? ok({ orders: (into.value.orders ?? []).filter(({ id }) => id !== orderId) }) : into;
  },
  orderPut({ orders }, { order }) {
    const found = orders.find(({ id }) => id === order.id);
    if (found?.placedAt) return refuse('That order is placed: what was ordered stays as it was.');
    if (order.placedAt !== null) return refuse('An order is placed by itself, once its list is made.');
    return ok({ orders: found ? orders.map((one) => (one === found ? order : one)) : [...orders, order] });
  },
  orderRemoved({ orders }, { orderId }) {
    const found = orders.find(({ id }) => id === orderId);
    if (!found) return gone();
    return found.placedAt === null
      ? ok({ orders: orders.filter((one) => one !== found) })
      : refuse('That order is placed. Close it, where nothing more will come.');
  },
  orderPlaced(state, { orderId, expectedOn, reference, byCounter, ordered, at }) {
    const order = state.orders.find(({ id }) => id === orderId);
    if (!order) return gone();
    if (order.placedAt !== null) return refuse('That order is placed already.');
    if (order.lines.length === 0 && !ordered) return refuse('There is nothing on that order.');
    const lines = ordered
      ? ordered.lines.map((line) => ({ ...line, arrived: 0, wrong: 0, arrivedAt: null }))
      : order.lines;
    const placed = { ...order, lines, placedAt: at, expectedOn, reference, byCounter };
    const rest = ordered ? notOrdered(order.lines, ordered.lines) : [];
    const orders = state.orders.map((one) => (one === order ? placed : one));
    if (rest.length === 0 || !ordered) return ok({ orders });
    return orders.some(({ id }) => id === ordered.restId)
      ? refuse('That list is begun already.')
      : ok({ orders: [...orders, newOrder(ordered.restId, order.supplier, rest)] });
  },
  orderExpected: (state, { orderId, expectedOn }) => changed(state, orderId, (order) => ok({ ...order, expectedOn })),
  lineArrived(state, { orderId, lineId, right, item, wrong, other, stillOut, at }) {
    const order = state.orders.find(({ id }) => id === orderId);
    const line = order?.lines.find(({ id }) => id === lineId);
    if (!order || !line) return gone();
    if (order.placedAt === null) return refuse('That order was not placed yet: nothing of it can come.');
    // More than was ordered may come; the same parcel told by two tabs is one.
    const left = outstanding(line);
    if (right > left && stillOut !== left)
      return refuse(`Only ${counted(left, 'belt')} of this line ${left === 1 ? 'is' : 'are'} still to come.`);
    let { items } = state;
    for (const [count, into] of [
      [right, item],
      [wrong, other],
    ] as const) {
      if (count === 0 || !into) continue;
      const next = received(items, { ...into, quantity: count });
      if (!next.ok) return next;
      items = next.value;
    }
    const lines = order.lines.map((one) =>
      one === line
        ? {
            ...line,
            arrived: line.arrived + right,
            wrong: line.wrong + wrong,
            arrivedAt: line.arrivedAt ?? (right > 0 ? at : null),
          }
        : one,
    );
    return ok({ items, orders: state.orders.map((one) => (one === order ? { ...order, lines } : one)) });
  },
  orderClosed: (state, { orderId, at }) =>
    changed(state, orderId, (order) =>
      order.placedAt === null ? refuse('That order was not placed yet.') : ok({ ...order, closedAt: at }),
    ),
};

const named = ({ orders }: OrdersState, orderId: string): string =>
  orders.find(({ id }) => id === orderId)?.supplier || 'a supplier';

const sized = ({ orders }: OrdersState, orderId: string, lineId: string): string => {
  const line = orders.find(({ id }) => id === orderId)?.lines.find(({ id }) => id === lineId);
  return line ? beltLabel(line, 'mm').size : 'a line';
};

export const orderSays: Says<OrdersState, typeof orderEvents> = {
  orderBegun: ({ supplier }) => `list for ${supplier || 'a supplier'} begun`,
  lineListed: ({ orderId, line }, state) => `${beltLabel(line, 'mm').size} on the list for ${named(state, orderId)}`,
  lineMore: ({ orderId, lineId, by }, state) => `${by} more of ${sized(state, orderId, lineId)}`,
  lineCounted: ({ orderId, lineId, quantity }, state) => `${quantity} of ${sized(state, orderId, lineId)}`,
  linePriced: ({ orderId, lineId }, state) => `price of ${sized(state, orderId, lineId)}`,
  lineSwapped: ({ insteadOf, ...belt }) => `${beltLabel(belt, 'mm').size} instead of ${insteadOf}`,
  lineTakenOff: ({ orderId }, state) => `a line off the list for ${named(state, orderId)}`,
  supplierNamed: ({ supplier }) => `list is for ${supplier || 'a supplier'}`,
  orderNoted: ({ orderId }, state) => `note to ${named(state, orderId)}`,
  listsJoined: ({ intoId }, state) => `two lists for ${named(state, intoId)} made one`,
  orderPut: ({ order }) => `order list for ${order.supplier || 'a supplier'}`,
  orderRemoved: ({ orderId }, state) => `order list for ${named(state, orderId)} removed`,
  orderPlaced: ({ orderId }, state) => `order placed with ${named(state, orderId)}`,
  orderExpected: ({ orderId, expectedOn }, state) => `${named(state, orderId)} expected on ${expectedOn || 'no day'}`,
  lineArrived: ({ right, wrong }) => `${right} arrived${wrong > 0 ? `, ${wrong} wrong` : ''}`,
  orderClosed: ({ orderId }, state) => `order with ${named(state, orderId)} closed`,
};
