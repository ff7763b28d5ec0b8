import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { arbitraryOf } from '../../../fixtures/arbitrary';
import { newItem } from '../drawer';
import { readBookFile, writeBookFile } from '../../files/exchange';
import type { Order } from '../orders';
import {
  appendAll,
  appendBook,
  bookEvents,
  bookEventShape,
  bookRedoTarget,
  bookUndoTarget,
  emptyBook,
  sayBookEvent,
  type BookBody,
  type BookEvent,
  type BookRecord,
  replayBook,
} from '.';

let counter = 0;
const stamp = (body: BookBody): BookEvent => ({ ...body, id: `b${(counter += 1)}`, at: '2026-11-27T09:00:00Z' });
const did = (record: BookRecord, ...bodies: readonly BookBody[]): BookRecord => {
  const after = appendAll(record, bodies.map(stamp));
  if (!after.ok) throw new Error(after.problem);
  return after.value;
};
const square = (id: string, innerLengthMm: number, quantity: number) =>
  newItem(id, { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm }, quantity, {
    label: `sq ${innerLengthMm}`,
  });
const counts = ({ book }: BookRecord) => Object.fromEntries(book.items.map(({ id, quantity }) => [id, quantity]));
const refused = (record: BookRecord, body: BookBody): string => {
  const after = appendBook(record, stamp(body));
  return after.ok ? '' : after.problem;
};
const order = (of: Partial<Order> = {}): Order => ({
  id: 'o1',
  supplier: 'Corrie Belts',
  placedAt: null,
  expectedOn: '',
  reference: '',
  byCounter: false,
  closedAt: null,
  lines: [
    {
      id: 'l1',
      shape: 'square',
      thicknessMm: 1.2,
      widthMm: null,
      innerLengthMm: 112,
      label: '',
      sellerNumber: 'K112',
      quantity: 3,
      price: 1.5,
      insteadOf: '',
      wants: [{ ticketId: 't1', wantId: 'w1' }],
      arrived: 0,
      wrong: 0,
      arrivedAt: null,
    },
  ],
  ...of,
});

describe('the drawer', () => {
  const stocked = did(emptyBook(), { type: 'itemsPut', items: [square('a', 112, 2), square('b', 116, 1)] });
  test('a try takes one out, said twice is once; a failed one puts it back', () => {
    const take = { tryId: 'try1', itemId: 'b', ticketId: 't1' };
    const out = did(stocked, { type: 'taken', take }, { type: 'taken', take });
    expect(counts(out)).toEqual({ a: 2, b: 0 });
    expect(refused(out, { type: 'taken', take: { ...take, tryId: 'try2' } })).toMatch(/There are 0 of sq 116/);
    expect(counts(did(out, { type: 'putBack', tryId: 'try1' }, { type: 'putBack', tryId: 'try1' }))).toEqual({
      a: 2,
      b: 1,
    });
  });
  test('a kit comes apart: added to what lies there, new where it does not', () => {
    const kit = {
      id: 'k1',
      name: 'forty squares',
      quantity: 1,
      place: '',
      supplier: 'Corrie Belts',
      price: 12,
      boughtOn: '2026-01-10',
      contents: [
        { shape: 'square' as const, thicknessMm: 1.2, widthMm: null, innerLengthMm: 112, label: '', count: 5 },
        { shape: 'square' as const, thicknessMm: 1.2, widthMm: null, innerLengthMm: 120, label: 'sq 120', count: 4 },
      ],
    };
    const opened = did(stocked, { type: 'kitPut', kit }, { type: 'kitOpened', kitId: 'k1', itemIds: ['n1', 'n2'] });
    expect(counts(opened)).toEqual({ a: 7, b: 1, n2: 4 });
    expect(opened.book.items.find(({ id }) => id === 'n2')).toMatchObject({
      kit: 'forty squares',
      boughtOn: '2026-01-10',
    });
    expect(refused(opened, { type: 'kitOpened', kitId: 'k1', itemIds: ['n3', 'n4'] })).toMatch(
      /None of “forty squares” is left/,
    );
  });
  test('undo takes back the last of it, redo does it again; what a ticket took follows the ticket', () => {
    const taken = did(
      stocked,
      { type: 'recounted', itemId: 'a', quantity: 9 },
      { type: 'taken', take: { tryId: 'x', itemId: 'a', ticketId: 't' } },
    );
    const target = bookUndoTarget(taken) as BookEvent;
    expect(sayBookEvent(target, taken.book)).toBe('1.2 × 112.0 counted: 9');
    const undone = did(taken, { type: 'undone', eventId: target.id });
    expect(counts(undone)).toEqual({ a: 1, b: 1 });
    expect(bookRedoTarget(undone)?.id).toBe(target.id);
    expect(counts(did(undone, { type: 'redone', eventId: target.id }))).toEqual({ a: 8, b: 1 });
    const first = stocked.events[0] as BookEvent;
    expect(refused(taken, { type: 'undone', eventId: first.id })).toMatch(/something later hangs on it/);
  });
});

describe('an order', () => {
  const placed = did(
    emptyBook(),
    { type: 'orderPut', order: order() },
    { type: 'orderPlaced', orderId: 'o1', expectedOn: '', reference: '', byCounter: false },
  );
  const came = (right: number, wrong = 0): BookBody => ({
    type: 'lineArrived',
    orderId: 'o1',
    lineId: 'l1',
    right,
    item: square('new', 112, 0),
    wrong,
    other: wrong > 0 ? square('odd', 100, 0) : null,
  });
  test('comes in parts, and what is wrong lies under what it is', () => {
    const after = did(placed, came(1, 1), came(2));
    expect(counts(after)).toEqual({ new: 3, odd: 1 });
    expect(after.book.orders[0]?.lines[0]).toMatchObject({ arrived: 3, wrong: 1, arrivedAt: '2026-11-27T09:00:00Z' });
    expect(refused(after, came(1))).toMatch(/Only 0 belts of this line are still to come/);
  });
  test('cannot be changed once placed, nor come before', () => {
    expect(refused(placed, { type: 'orderPut', order: order() })).toMatch(/placed/);
    const listed = did(emptyBook(), { type: 'orderPut', order: order() });
    expect(refused(listed, came(1))).toMatch(/not placed yet/);
    expect(refused(placed, { type: 'orderRemoved', orderId: 'o1' })).toMatch(/Close it/);
  });
});

describe('laws', () => {
  const anyBody: fc.Arbitrary<BookBody> = fc
    .constantFrom(...(Object.keys(bookEvents) as BookBody['type'][]))
    .chain((type) => arbitraryOf(bookEventShape(type)) as fc.Arbitrary<BookBody>);
  const ids = fc.constantFrom('a', 'b', 'c');
  /** Events that speak of the same few things, so that they meet. */
  const meeting: fc.Arbitrary<BookBody> = fc.oneof(
    ids.map((id): BookBody => ({ type: 'itemsPut', items: [square(id, 100 + id.charCodeAt(0), 3)] })),
    fc
      .tuple(ids, fc.integer({ min: -3, max: 3 }))
      .map(([itemId, by]): BookBody => ({ type: 'quantityChanged', itemId, by })),
    fc
      .tuple(ids, fc.constantFrom('1', '2', '3', '4'))
      .map(([itemId, tryId]): BookBody => ({ type: 'taken', take: { tryId, itemId, ticketId: 't' } })),
    fc.constantFrom('1', '2', '3', '4').map((tryId): BookBody => ({ type: 'putBack', tryId })),
    ids.map((itemId): BookBody => ({ type: 'itemRemoved', itemId })),
    fc.tuple(ids, fc.nat(9)).map(([itemId, quantity]): BookBody => ({ type: 'recounted', itemId, quantity })),
  );

  test('whatever happens is refused in words, or comes back from a file as it was', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(anyBody, meeting), { maxLength: 12 }), (bodies) => {
        let record = emptyBook();
        for (const body of bodies) {
          const event = {
            ...body,
            id: `e${record.events.length}-${(counter += 1)}`,
            at: '2026-11-27T09:00:00Z',
          } as BookEvent;
          const next = appendBook(record, event);
          if (next.ok) record = next.value;
          else expect(next.problem).toMatch(/\.$/);
          for (const { quantity } of record.book.items) expect(quantity).toBeGreaterThanOrEqual(0);
        }
        expect(readBookFile(writeBookFile(record), 'a.json')).toEqual({
          ok: true,
          value: { record: JSON.parse(JSON.stringify(record)) as unknown, sealed: true },
        });
      }),
      { numRuns: 150 },
    );
  });

  test('two tabs: what each says upon what the other said adds up, and nothing is lost', () => {
    const start = did(emptyBook(), { type: 'itemsPut', items: [square('a', 112, 50), square('b', 116, 50)] });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.boolean(), fc.constantFrom('a', 'b'), fc.integer({ min: -4, max: 6 })), { maxLength: 25 }),
        (said) => {
          // Each tab appends upon the newest there is: the store refuses what was written over an older one.
          const bodies = said.map(([, itemId, by]): BookBody => ({ type: 'quantityChanged', itemId, by }));
          let record = start;
          const heard = { a: 50, b: 50 };
          bodies.forEach((body) => {
            const next = appendBook(record, stamp(body));
            if (!next.ok || body.type !== 'quantityChanged') return;
            record = next.value;
            heard[body.itemId as 'a'] += body.by;
          });
          expect(counts(record)).toEqual(heard);
        },
      ),
    );
  });

  test('an order that arrives in two tabs: never more than was ordered, and the drawer has what came', () => {
    const placed = did(
      emptyBook(),
      { type: 'orderPut', order: order({ lines: order().lines.map((line) => ({ ...line, quantity: 7 })) }) },
      { type: 'orderPlaced', orderId: 'o1', expectedOn: '', reference: '', byCounter: false },
    );
    fc.assert(
      fc.property(fc.array(fc.record({ right: fc.nat(4), wrong: fc.nat(3) }), { maxLength: 12 }), (arrivals) => {
        let record = placed;
        arrivals.forEach(({ right, wrong }, n) => {
          const next = appendBook(
            record,
            stamp({
              type: 'lineArrived',
              orderId: 'o1',
              lineId: 'l1',
              right,
              item: square(`r${n}`, 112, 0),
              wrong,
              other: square(`w${n}`, 100, 0),
            }),
          );
          if (next.ok) record = next.value;
        });
        const line = record.book.orders[0]?.lines[0];
        expect(line?.arrived).toBeLessThanOrEqual(7);
        const held = (mm: number) =>
          record.book.items.filter((one) => one.innerLengthMm === mm).reduce((sum, { quantity }) => sum + quantity, 0);
        expect([held(112), held(100)]).toEqual([line?.arrived, line?.wrong]);
      }),
    );
  });

  test('five thousand sizes: counts and takes add up, and the file gives them back', () => {
    const many = Array.from({ length: 5000 }, (_, n) => square(`i${n}`, 60 + n * 0.3, n % 7));
    let record = did(emptyBook(), { type: 'itemsPut', items: many });
    for (let n = 0; n < 200; n += 1) {
      const next = appendBook(
        record,
        stamp({ type: 'taken', take: { tryId: `t${n}`, itemId: `i${n * 25}`, ticketId: 'a' } }),
      );
      if (next.ok) record = next.value;
    }
    const sum = (items: readonly { readonly quantity: number }[]) =>
      items.reduce((all, { quantity }) => all + quantity, 0);
    expect(sum(record.book.items) + record.book.takes.length).toBe(sum(many));
    expect(record.book.takes.length).toBeGreaterThan(100);
    expect(readBookFile(writeBookFile(record), 'a.json')).toEqual({ ok: true, value: { record, sealed: true } });
  });

  test('a long history is followed from where it was followed before, to the same book', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom('more', 'undo', 'redo'), fc.integer({ min: 1, max: 9 })), {
          minLength: 5,
          maxLength: 25,
        }),
        fc.integer({ min: 380, max: 1250 }),
        (deeds, length) => {
          let record = did(emptyBook(), { type: 'itemsPut', items: [square('a', 112, 5)] });
          for (let n = 0; n < length; n += 1)
            record = did(record, { type: 'quantityChanged', itemId: 'a', by: (n % 7) + 1 });
          for (const [deed, by] of deeds) {
            const target =
              deed === 'undo' ? bookUndoTarget(record) : deed === 'redo' ? bookRedoTarget(record) : undefined;
            if (deed === 'more') record = did(record, { type: 'quantityChanged', itemId: 'a', by });
            else if (target) record = did(record, { type: deed === 'undo' ? 'undone' : 'redone', eventId: target.id });
            // A copy of the history was never followed before.
            expect(replayBook(structuredClone(record.events) as BookEvent[])).toEqual({ ok: true, value: record.book });
          }
        },
      ),
      { numRuns: 12 },
    );
  });

  test('another history that gives the same drawer is told by the checksum, and so is a missing one', () => {
    const written = writeBookFile(did(emptyBook(), { type: 'itemsPut', items: [square('a', 112, 2)] }));
    const refused = { ok: false, problem: expect.stringContaining('its checksum says so') as string };
    expect(readBookFile(written.replace('2026-11-27T09:00', '2026-10-27T09:00'), 'a.json')).toMatchObject(refused);
    expect(readBookFile(written.replace(/,"sha256":"[^"]+"/, ''), 'a.json')).toMatchObject(refused);
    expect(readBookFile(written.replace('"sha256"', '"sha255"'), 'a.json').ok).toBe(false);
  });

  test('a file that was changed by hand, of another kind, or newer is refused in words', () => {
    const record = did(emptyBook(), { type: 'itemsPut', items: [square('a', 112, 2)] });
    const tampered = { ...record, book: { ...record.book, items: [square('a', 112, 99)] } };
    expect(readBookFile(JSON.stringify(tampered), 'a.json')).toMatchObject({
      ok: false,
      problem: expect.stringContaining('changed by hand') as string,
    });
    for (const odd of ['null', '[]', '7', `${'['.repeat(50_000)}${']'.repeat(50_000)}`])
      expect(readBookFile(odd, 'a.json').ok).toBe(false);
    const deep = writeBookFile(record).replace('"items":[', `"items":[${'['.repeat(50_000)}${']'.repeat(50_000)},`);
    expect(readBookFile(deep, 'a.json').ok).toBe(false);
    expect(readBookFile('{', 'a.json')).toMatchObject({
      ok: false,
      problem: expect.stringContaining('broken or cut short') as string,
    });
    expect(readBookFile('{"format":"x"}', 'a.json')).toMatchObject({
      ok: false,
      problem: expect.stringContaining('no bench book') as string,
    });
    expect(readBookFile(JSON.stringify({ ...record, version: 9 }), 'a.json')).toMatchObject({
      ok: false,
      problem: expect.stringContaining('newer') as string,
    });
  });
});
