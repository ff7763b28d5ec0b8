import { describe, expect, test } from 'vitest';
import { newItem, type DrawerState } from '../drawer';
import { ok, type Result } from '../../base/units';
import {
  arrivesBy,
  chanceBy,
  daysFor,
  deliveryOf,
  gather,
  listFor,
  newLine,
  orderReducers,
  orderText,
  wantState,
  type Order,
  type OrderLine,
  type OrdersState,
} from '.';

const DAY = 86_400_000;
const belt = (innerLengthMm: number) => ({ shape: 'square' as const, thicknessMm: 1.2, widthMm: null, innerLengthMm });
const line = (of: Partial<OrderLine> = {}): OrderLine => ({
  id: 'l1',
  ...belt(112),
  label: '',
  sellerNumber: '',
  quantity: 1,
  price: null,
  insteadOf: '',
  wants: [],
  arrived: 0,
  wrong: 0,
  arrivedAt: null,
  ...of,
});
const order = (id: string, placedAt: string | null, of: Partial<Order> = {}): Order => ({
  id,
  supplier: 'Corrie Belts',
  placedAt,
  expectedOn: '',
  reference: '',
  byCounter: false,
  closedAt: null,
  lines: [line()],
  ...of,
});
const came = (id: string, days: number): Order =>
  order(id, '2026-01-01T12:00:00Z', {
    lines: [line({ arrived: 1, arrivedAt: new Date(Date.parse('2026-01-01T12:00:00Z') + days * DAY).toISOString() })],
  });

describe('how long a supplier takes', () => {
  test('nobody known: five days, and it scatters', () => {
    const delivery = deliveryOf([], 'Corrie Belts');
    expect(delivery.medianDays).toBeCloseTo(5, 9);
    expect(daysFor(delivery, 0.8)).toBeGreaterThan(7);
  });
  test('is learned from those that came; others say nothing', () => {
    const quick = [2, 2, 2, 2, 2, 2].map((days, n) => came(`o${n}`, days));
    expect(deliveryOf(quick, 'corrie belts ').medianDays).toBeLessThan(2.6);
    expect(deliveryOf(quick, 'Another').seen).toBe(0);
    const wild = [1, 14, 1, 14].map((days, n) => came(`o${n}`, days));
    expect(deliveryOf(wild, 'Corrie Belts').logStd).toBeGreaterThan(deliveryOf(quick, 'Corrie Belts').logStd);
  });
  test('what has not come yet may still; the chance grows with the days and is undone by the clock set back', () => {
    const out = order('o', '2026-01-01T12:00:00Z');
    const now = Date.parse('2026-01-03T12:00:00Z');
    const chances = [1, 3, 6, 30].map((days) => chanceBy(out, [], now, now + days * DAY));
    chances.forEach((one, n) => expect(one).toBeGreaterThan(chances[n - 1] ?? 0));
    expect(chances[3]).toBeGreaterThan(0.99);
    expect(chanceBy(out, [], now, now - DAY)).toBe(0);
    // The quantile and the chance are one curve.
    expect(chanceBy(out, [], now, arrivesBy(out, [], now, 0.5))).toBeCloseTo(0.5, 3);
    // Long overdue: it is still more likely to come tomorrow than today, and never in the past.
    const late = Date.parse('2026-03-01T12:00:00Z');
    expect(arrivesBy(out, [], late, 0.5)).toBeGreaterThan(late);
  });
  test('a day that was named is about when it comes', () => {
    const named = order('o', '2026-01-01T12:00:00Z', { expectedOn: '2026-01-04' });
    const now = Date.parse('2026-01-01T13:00:00Z');
    expect(Math.abs(arrivesBy(named, [], now, 0.5) - Date.parse('2026-01-04T15:00:00Z'))).toBeLessThan(DAY / 4);
  });
});

describe('what is to be ordered', () => {
  const want = (ticketId: string, mm: number) => ({
    ticketId,
    ticketNumber: ticketId,
    want: { id: `w-${ticketId}`, belt: belt(mm), count: 1, chance: 0.9, alternates: [] },
  });
  test('one size is one line for whomever; what is low joins it, what is ordered does not', () => {
    const items = [
      newItem('i', belt(112), 0, { supplier: 'Corrie Belts', price: 1.5, lowAt: 2, label: 'sq 112' }),
      newItem('j', belt(116), 0),
    ];
    const wants = [want('t1', 112), want('t2', 112), want('t3', 120)];
    const found = gather(wants, items, items, []);
    expect(found.map(({ belt: of, quantity, low, supplier }) => [of.innerLengthMm, quantity, low, supplier])).toEqual([
      [112, 3, true, 'Corrie Belts'],
      [120, 1, false, ''],
      [116, 1, true, ''],
    ]);
    const out = order('o', '2026-01-01T12:00:00Z', { lines: [line({ wants: [{ ticketId: 't1', wantId: 'w-t1' }] })] });
    expect(gather(wants, items, items, [out]).map(({ quantity }) => quantity)).toEqual([1, 1, 1]);
  });
  test('a want stands as its order does; what was closed without it is wanted again', () => {
    const wants = [{ ticketId: 't1', wantId: 'w' }];
    const state = (of: Order) => wantState([of], 't1', 'w').at;
    expect(state(order('o', null, { lines: [line({ wants })] }))).toBe('listed');
    expect(state(order('o', '2026-01-01T12:00:00Z', { lines: [line({ wants })] }))).toBe('ordered');
    expect(state(order('o', '2026-01-01T12:00:00Z', { lines: [line({ wants, arrived: 1 })] }))).toBe('arrived');
    expect(
      state(order('o', '2026-01-01T12:00:00Z', { closedAt: '2026-02-01T12:00:00Z', lines: [line({ wants })] })),
    ).toBe('wanted');
  });
  test('as text, with its sum where every price is known', () => {
    const text = orderText(
      order('o', null, { lines: [line({ quantity: 3, price: 1.5, sellerNumber: 'K112' })] }),
      'mm',
    );
    expect(text).toContain('3 × square 1.2 mm, 112.0 mm inner length, your number K112');
    expect(text).toContain('3 pieces, 4.50 together.');
  });
});

describe('a list is made by gestures', () => {
  const at = '2026-03-02T09:00:00.000Z';
  const size = (mm: number) => ({ shape: 'square' as const, thicknessMm: 1.2, widthMm: null, innerLengthMm: mm });
  type Said = { readonly [T in keyof typeof orderReducers]?: object };
  const told = (state: OrdersState & DrawerState, said: Said): Result<OrdersState & DrawerState> => {
    let now = state;
    for (const [type, body] of Object.entries(said)) {
      const next = orderReducers[type as keyof typeof orderReducers](now, {
        ...body,
        type,
        id: 'e',
        at,
      } as never);
      if (!next.ok) return next;
      now = { ...now, ...next.value };
    }
    return ok(now);
  };
  const of = (result: Result<OrdersState & DrawerState>): OrdersState & DrawerState => {
    if (!result.ok) throw new Error(result.problem);
    return result.value;
  };
  const empty = { orders: [], items: [], kits: [], takes: [], switchedSeries: [] } as unknown as OrdersState &
    DrawerState;
  const begun = of(
    told(empty, {
      orderBegun: { orderId: 'o', supplier: 'Mallow' },
      lineListed: { orderId: 'o', line: newLine('a', size(108), 1) },
    }),
  );
  const two = of(told(begun, { lineListed: { orderId: 'o', line: newLine('b', size(116), 1) } }));
  const quantities = (state: OrdersState) => state.orders[0]?.lines.map(({ id, quantity }) => `${id} ${quantity}`);

  test('two tabs that change two lines of one list both are heard, whoever comes first', () => {
    const a: Said = { lineCounted: { orderId: 'o', lineId: 'a', quantity: 12 } };
    const b: Said = { lineCounted: { orderId: 'o', lineId: 'b', quantity: 13 } };
    for (const [first, then] of [
      [a, b],
      [b, a],
    ] as const)
      expect(quantities(of(told(of(told(two, first)), then)))).toEqual(['a 12', 'b 13']);
  });
  test('a belt put on the list while the counter answers stays on it', () => {
    const added = of(told(two, { lineListed: { orderId: 'o', line: newLine('c', size(120), 2) } }));
    const priced = of(told(added, { linePriced: { orderId: 'o', lineId: 'a', price: 1.4 } }));
    expect(quantities(priced)).toEqual(['a 1', 'b 1', 'c 2']);
  });
  test('what is placed stays as it was; what is gone is said; a list with nothing on it is none', () => {
    const placed = of(told(two, { orderPlaced: { orderId: 'o', expectedOn: '', reference: '', byCounter: false } }));
    for (const said of [
      { lineListed: { orderId: 'o', line: newLine('d', size(99), 1) } },
      { lineCounted: { orderId: 'o', lineId: 'a', quantity: 3 } },
      { lineTakenOff: { orderId: 'o', lineId: 'a' } },
      { supplierNamed: { orderId: 'o', supplier: 'X' } },
      { orderNoted: { orderId: 'o', note: 'x' } },
    ])
      expect(told(placed, said).ok).toBe(false);
    expect(told(two, { lineCounted: { orderId: 'o', lineId: 'x', quantity: 3 } }).ok).toBe(false);
    expect(of(told(begun, { lineTakenOff: { orderId: 'o', lineId: 'a' } })).orders).toEqual([]);
  });
  test('two lists of one supplier become one, whichever way the name is spelt', () => {
    const other = of(
      told(two, {
        orderBegun: { orderId: 'p', supplier: ' mallow' },
        lineListed: { orderId: 'p', line: newLine('c', size(120), 2) },
      }),
    );
    expect(listFor(other.orders, 'MALLOW ')?.id).toBe('o');
    const joined = of(told(other, { listsJoined: { orderId: 'p', intoId: 'o' } }));
    expect(joined.orders).toHaveLength(1);
    expect(quantities(joined)).toEqual(['a 1', 'b 1', 'c 2']);
  });
  test('seven of five are seven belts, once; the same parcel told by two tabs is one', () => {
    const five = of(told(begun, { lineCounted: { orderId: 'o', lineId: 'a', quantity: 5 } }));
    const placed = of(told(five, { orderPlaced: { orderId: 'o', expectedOn: '', reference: '', byCounter: false } }));
    const came = (stillOut: number): Said => ({
      lineArrived: { orderId: 'o', lineId: 'a', right: 7, item: null, wrong: 0, other: null, stillOut },
    });
    const after = of(told(placed, came(5)));
    expect(after.orders[0]?.lines[0]).toMatchObject({ arrived: 7, wrong: 0, quantity: 5 });
    expect(told(after, came(5)).ok).toBe(false);
  });
});
