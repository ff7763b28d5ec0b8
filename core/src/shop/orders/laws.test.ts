import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { newItem, sameSize, type DrawerState, type Item } from '../drawer';
import type { Result } from '../../base/units';
import {
  arrivesBy,
  chanceBy,
  daysFor,
  deliveryOf,
  gather,
  isOut,
  newLine,
  newOrder,
  onOrder,
  orderReducers,
  orderText,
  outstanding,
  sumOf,
  wantState,
  type Order,
  type OrdersState,
  type WantOf,
} from '.';

const DAY_MS = 86_400_000;
const PLACED = '2026-03-02T09:00:00.000Z';
const placedMs = Date.parse(PLACED);
const iso = (ms: number): string => new Date(ms).toISOString();
const belt = (innerLengthMm: number) => ({ shape: 'square' as const, thicknessMm: 1.2, widthMm: null, innerLengthMm });
const lengths = fc.constantFrom(104, 108, 112, 116, 120);

/** An order of some lines, of which some came after so many days. */
const order = (id: string) =>
  fc
    .record({
      supplier: fc.constantFrom('Corrie Belts', 'corrie belts ', 'Mallow', ''),
      placed: fc.boolean(),
      closed: fc.boolean(),
      lines: fc.array(
        fc.record({
          mm: lengths,
          quantity: fc.integer({ min: 1, max: 9 }),
          came: fc.integer({ min: 0, max: 9 }),
          price: fc.option(fc.integer({ min: 1, max: 500 }).map((cents) => cents / 100)),
          days: fc.integer({ min: 1, max: 30 }),
        }),
        { minLength: 1, maxLength: 4 },
      ),
    })
    .map(({ supplier, placed, closed, lines }): Order => ({
      ...newOrder(
        id,
        supplier,
        lines.map(({ mm, quantity, came, price, days }, n) => {
          const arrived = placed ? Math.min(quantity, came) : 0;
          return {
            ...newLine(`${id}-${n}`, belt(mm), quantity, { price }),
            arrived,
            arrivedAt: arrived > 0 ? iso(placedMs + days * DAY_MS) : null,
          };
        }),
      ),
      placedAt: placed ? PLACED : null,
      closedAt: placed && closed ? iso(placedMs + 40 * DAY_MS) : null,
    }));
const orders = fc
  .integer({ min: 0, max: 5 })
  .chain((many) => fc.tuple(...Array.from({ length: many }, (_, n) => order(`o${n}`))));

describe('when something comes', () => {
  test('the chance never falls with time, is one in the end, and is none before now', () => {
    fc.assert(
      fc.property(
        order('o'),
        orders,
        fc.integer({ min: 0, max: 60 }),
        fc.integer({ min: 0, max: 60 }),
        (one, all, since, later) => {
          const nowMs = placedMs + since * DAY_MS;
          const by = (days: number): number => chanceBy(one, all, nowMs, nowMs + days * DAY_MS);
          expect(by(0)).toBe(0);
          if (one.placedAt === null) {
            expect(by(later)).toBe(0);
            return;
          }
          expect(by(later + 1)).toBeGreaterThanOrEqual(by(later));
          expect(by(later)).toBeGreaterThanOrEqual(0);
          expect(by(4000)).toBeGreaterThan(0.99);
        },
      ),
    );
  });
  test('a moment that is asked for by its chance has that chance', () => {
    fc.assert(
      fc.property(
        order('o'),
        orders,
        fc.integer({ min: 0, max: 20 }),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (one, all, since, chance) => {
          const nowMs = placedMs + since * DAY_MS;
          const atMs = arrivesBy(one, all, nowMs, chance);
          if (one.placedAt === null) {
            expect(atMs).toBe(Infinity);
            return;
          }
          expect(atMs).toBeGreaterThanOrEqual(nowMs - 1);
          // Within the quarter of a day below which nothing is told apart the curve stands still.
          if (atMs - placedMs > DAY_MS / 2) expect(chanceBy(one, all, nowMs, atMs)).toBeCloseTo(chance, 2);
        },
      ),
    );
  });
  test('one that comes sooner never makes a supplier slower, and the spelling of its name is nothing', () => {
    fc.assert(
      fc.property(orders, fc.integer({ min: 1, max: 30 }), fc.integer({ min: 0, max: 29 }), (all, days, sooner) => {
        const came = (after: number): Order => ({
          ...newOrder('new', 'Corrie Belts', [
            { ...newLine('l', belt(112), 1), arrived: 1, arrivedAt: iso(placedMs + after * DAY_MS) },
          ]),
          placedAt: PLACED,
        });
        const late = deliveryOf([...all, came(days)], 'Corrie Belts');
        const soon = deliveryOf([...all, came(Math.max(1, days - sooner))], 'Corrie Belts');
        expect(soon.medianDays).toBeLessThanOrEqual(late.medianDays + 1e-9);
        expect(deliveryOf(all, ' CORRIE BELTS')).toEqual(deliveryOf(all, 'corrie belts'));
        expect(daysFor(late, 0.5)).toBeCloseTo(late.medianDays, 6);
        expect(daysFor(late, 0.9)).toBeGreaterThan(daysFor(late, 0.5));
      }),
    );
  });
  test('the more came, the less what is believed of any supplier counts', () => {
    const after = (many: number) =>
      deliveryOf(
        Array.from({ length: many }, (_, n) => ({
          ...newOrder(`o${n}`, 'Mallow', [
            { ...newLine('l', belt(112), 1), arrived: 1, arrivedAt: iso(placedMs + 12 * DAY_MS) },
          ]),
          placedAt: PLACED,
        })),
        'Mallow',
      ).medianDays;
    const medians = [0, 1, 3, 10, 40].map(after);
    expect([...medians].sort((a, b) => a - b)).toEqual(medians);
    expect(medians.at(-1)).toBeGreaterThan(11);
  });
});

describe('what is on its way', () => {
  test('is what was ordered less what came, of lists and of orders that are out', () => {
    fc.assert(
      fc.property(orders, lengths, (all, mm) => {
        const counted = all
          .filter((one) => one.closedAt === null)
          .flatMap(({ lines }) => lines)
          .filter((line) => sameSize(line, belt(mm)))
          .reduce((sum, line) => sum + line.quantity - line.arrived, 0);
        expect(onOrder(all, belt(mm))).toBe(counted);
        for (const one of all) {
          expect(isOut(one)).toBe(
            one.placedAt !== null && one.closedAt === null && one.lines.some((line) => line.arrived < line.quantity),
          );
          for (const line of one.lines) expect(outstanding(line)).toBeGreaterThanOrEqual(0);
        }
      }),
    );
  });
  test('a sum is known only where every price is, and is the sum of them', () => {
    fc.assert(
      fc.property(order('o'), (one) => {
        const sum = sumOf(one);
        if (one.lines.some(({ price }) => price === null)) expect(sum).toBeUndefined();
        else
          expect(sum).toBeCloseTo(
            one.lines.reduce((all, { price, quantity }) => all + (price ?? 0) * quantity, 0),
            9,
          );
        const text = orderText(one, 'mm');
        for (const { quantity } of one.lines) expect(text).toContain(`${quantity} × square 1.2 mm`);
        expect(text.includes('together')).toBe(sum !== undefined);
        expect(text).not.toMatch(/undefined|NaN|null/);
      }),
    );
  });
});

describe('what is to be ordered', () => {
  const wants = fc
    .array(fc.record({ mm: lengths, count: fc.integer({ min: 1, max: 3 }) }), { maxLength: 8 })
    .map((list) =>
      list.map(({ mm, count }, n): WantOf => ({
        ticketId: `t${n}`,
        ticketNumber: String(n),
        want: { id: `w${n}`, belt: belt(mm), count, chance: 0.8, alternates: [] },
      })),
    );
  test('no size stands twice, and none is forgotten: as many of each as tickets want', () => {
    fc.assert(
      fc.property(wants, (list) => {
        const found = gather(list, [], [], []);
        expect(new Set(found.map((one) => one.belt.innerLengthMm)).size).toBe(found.length);
        for (const { belt: of, quantity, wants: by } of found) {
          expect(quantity).toBe(by.reduce((sum, { want }) => sum + want.count, 0));
          for (const { want } of by) expect(sameSize(want.belt, of)).toBe(true);
        }
        expect(found.flatMap((one) => one.wants).length).toBe(list.length);
      }),
    );
  });
  test('what a list or an order has is not gathered again; closed without it, it is', () => {
    fc.assert(
      fc.property(wants, fc.boolean(), fc.boolean(), (list, placed, closed) => {
        const [first] = list;
        fc.pre(first !== undefined);
        if (!first) return;
        const purpose = { ticketId: first.ticketId, wantId: first.want.id };
        const one: Order = {
          ...newOrder('o', 'Mallow', [newLine('l', first.want.belt, 1, { wants: [purpose] })]),
          placedAt: placed ? PLACED : null,
          closedAt: placed && closed ? PLACED : null,
        };
        const asked = gather(list, [], [], [one]).flatMap(({ wants: by }) => by.map(({ ticketId }) => ticketId));
        const over = placed && closed;
        expect(asked.includes(first.ticketId)).toBe(over);
        expect(wantState([one], first.ticketId, first.want.id).at).toBe(
          over ? 'wanted' : placed ? 'ordered' : 'listed',
        );
        expect(asked.length).toBe(list.length - (over ? 0 : 1));
      }),
    );
  });
  test('what runs low is asked for until it is on order, and never for less than one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5 }), fc.integer({ min: 0, max: 5 }), (there, few) => {
        const item = newItem('i', belt(112), there, { lowAt: few });
        const [wanted] = gather([], [item], [item], []);
        expect(wanted?.low).toBe(true);
        expect(wanted?.quantity).toBeGreaterThanOrEqual(1);
        const listed = newOrder('o', '', [newLine('l', belt(112), 1)]);
        expect(gather([], [item], [item], [listed])).toEqual([]);
      }),
    );
  });
});

describe('what happens to an order', () => {
  type State = OrdersState & DrawerState;
  const empty = (all: readonly Order[], items: readonly Item[] = []): State =>
    ({ orders: all, items, kits: [], takes: [], switchedSeries: [] }) as unknown as State;
  /** What an event that says this makes of a state. */
  const told = (state: State, type: keyof typeof orderReducers, body: object): Result<Partial<State>> =>
    (orderReducers[type] as (state: State, event: object) => Result<Partial<State>>)(state, { at: PLACED, ...body });

  test('placed by what the supplier says: that is ordered, what came upon the list since stays on one, nothing is lost', () => {
    const line = fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), quantity: fc.integer({ min: 1, max: 9 }) });
    const lines = fc
      .uniqueArray(line, { selector: ({ id }) => id, minLength: 1 })
      .map((list) => list.map(({ id, quantity }) => newLine(id, belt(112), quantity)));
    fc.assert(
      fc.property(lines, lines, (now, asked) => {
        const state = empty([newOrder('o', 'Mallow', now)]);
        const body = { orderId: 'o', expectedOn: '', reference: 'x', byCounter: true };
        const after = told(state, 'orderPlaced', { ...body, ordered: { lines: asked, restId: 'rest' } });
        const [placed, rest] = (after.ok && after.value.orders) || [];
        expect(placed?.lines).toEqual(asked);
        expect(placed?.placedAt).toBe(PLACED);
        for (const { id, quantity } of now) {
          const ordered = asked.find((one) => one.id === id)?.quantity ?? 0;
          const left = rest?.lines.find((one) => one.id === id || one.id === `${id}.more`)?.quantity ?? 0;
          expect(left).toBe(Math.max(0, quantity - ordered));
        }
        expect(rest === undefined || (rest.placedAt === null && rest.supplier === 'Mallow')).toBe(true);
      }),
    );
  });

  test('only a list is changed, taken away or placed; only what is placed comes', () => {
    fc.assert(
      fc.property(order('o'), (one) => {
        const state = empty([one]);
        const placed = one.placedAt !== null;
        expect(told(state, 'orderPut', { order: { ...one, placedAt: null } }).ok).toBe(!placed);
        expect(told(state, 'orderRemoved', { orderId: 'o' }).ok).toBe(!placed);
        expect(told(state, 'orderPlaced', { orderId: 'o', expectedOn: '', reference: '', byCounter: false }).ok).toBe(
          !placed,
        );
        expect(told(state, 'orderClosed', { orderId: 'o' }).ok).toBe(placed);
        const [line] = one.lines;
        const arrival = { orderId: 'o', lineId: line?.id, right: 0, item: null, wrong: 1, other: null };
        expect(told(state, 'lineArrived', arrival).ok).toBe(placed);
        for (const type of ['orderRemoved', 'orderClosed', 'orderPlaced', 'orderExpected'] as const)
          expect(told(empty([]), type, { orderId: 'o', expectedOn: '' }).ok, type).toBe(false);
      }),
    );
  });
  test('whatever comes right lies in the drawer afterwards, as many as came and never more than ordered', () => {
    fc.assert(
      fc.property(order('o'), fc.integer({ min: 1, max: 12 }), fc.integer({ min: 0, max: 4 }), (one, right, there) => {
        const [line] = one.lines;
        fc.pre(one.placedAt !== null && line !== undefined);
        if (!line) return;
        const lies = there > 0 ? [newItem('lies', line, there)] : [];
        const state = empty([one], lies);
        const came = told(state, 'lineArrived', {
          orderId: 'o',
          lineId: line.id,
          right,
          item: newItem('new', line, 1),
          wrong: 0,
          other: null,
        });
        expect(came.ok).toBe(right <= outstanding(line));
        if (!came.ok) {
          expect(came.problem).toMatch(/still to come\.$/);
          return;
        }
        const lying = (came.value.items ?? []).filter((item) => sameSize(item, line));
        expect(lying.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(there + right);
        const after = came.value.orders?.[0]?.lines.find(({ id }) => id === line.id);
        expect(after?.arrived).toBe(line.arrived + right);
        expect(after?.arrivedAt).not.toBeNull();
      }),
    );
  });
});
