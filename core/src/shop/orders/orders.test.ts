import { describe, expect, test } from 'vitest';
import { newItem } from '../drawer';
import { arrivesBy, chanceBy, daysFor, deliveryOf, gather, orderText, wantState, type Order, type OrderLine } from '.';

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
