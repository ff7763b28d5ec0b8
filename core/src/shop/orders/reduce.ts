import { received, type DrawerState, type Says } from '../drawer';
import type { Reducers } from '../../record/stations';
import { counted, ok, refuse, type Result } from '../../base/units';
import type { Order, orderEvents, OrdersState } from './schema';
import { outstanding } from './standing';

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

export const orderReducers: Reducers<OrdersState & DrawerState, typeof orderEvents> = {
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
  orderPlaced: (state, { orderId, expectedOn, reference, byCounter, at }) =>
    changed(state, orderId, (order) =>
      order.placedAt !== null
        ? refuse('That order is placed already.')
        : order.lines.length === 0
          ? refuse('There is nothing on that order.')
          : ok({ ...order, placedAt: at, expectedOn, reference, byCounter }),
    ),
  orderExpected: (state, { orderId, expectedOn }) => changed(state, orderId, (order) => ok({ ...order, expectedOn })),
  lineArrived(state, { orderId, lineId, right, item, wrong, other, at }) {
    const order = state.orders.find(({ id }) => id === orderId);
    const line = order?.lines.find(({ id }) => id === lineId);
    if (!order || !line) return gone();
    if (order.placedAt === null) return refuse('That order was not placed yet: nothing of it can come.');
    if (right > outstanding(line))
      return refuse(
        `Only ${counted(outstanding(line), 'belt')} of this line ${outstanding(line) === 1 ? 'is' : 'are'} still to come.`,
      );
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

export const orderSays: Says<OrdersState, typeof orderEvents> = {
  orderPut: ({ order }) => `order list for ${order.supplier || 'a supplier'}`,
  orderRemoved: ({ orderId }, state) => `order list for ${named(state, orderId)} removed`,
  orderPlaced: ({ orderId }, state) => `order placed with ${named(state, orderId)}`,
  orderExpected: ({ orderId, expectedOn }, state) => `${named(state, orderId)} expected on ${expectedOn || 'no day'}`,
  lineArrived: ({ right, wrong }) => `${right} arrived${wrong > 0 ? `, ${wrong} wrong` : ''}`,
  orderClosed: ({ orderId }, state) => `order with ${named(state, orderId)} closed`,
};
