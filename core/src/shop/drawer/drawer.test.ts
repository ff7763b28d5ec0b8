import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { CATALOGUE } from '../../belts/catalogue';
import { SECTION_SHAPES } from '../../base/shapes';
import {
  benchStock,
  drawerReducers,
  inDrawer,
  isAged,
  itemFor,
  labelLies,
  lengthOf,
  measureFrom,
  newItem,
  ownedBelts,
  railsOf,
  received,
  runsLow,
  sameSize,
  type Item,
} from '.';

const belts = fc.record({
  shape: fc.constantFrom(...SECTION_SHAPES),
  thicknessMm: fc.constantFrom(1, 1.2, 1.5, 1.78),
  widthMm: fc.constant(null),
  innerLengthMm: fc.integer({ min: 60, max: 300 }),
});
const item = fc
  .tuple(belts, fc.integer({ min: 0, max: 9 }), fc.constantFrom('', 'A1', 'B2'))
  .map(([belt, quantity, place]) => newItem('x', belt, quantity, { place }));
const drawer = fc
  .array(item, { maxLength: 12 })
  .map((items) => items.map((one, at): Item => ({ ...one, id: `i${at}` })));
const pieces = (items: readonly Item[]): number => items.reduce((sum, { quantity }) => sum + quantity, 0);
const state = (items: readonly Item[]) => ({ items, takes: [], kits: [], switchedSeries: [], counter: null }) as never;

describe('pieces', () => {
  test('that come in are in the drawer afterwards: as many more, and no size twice at one place', () => {
    fc.assert(
      fc.property(drawer, item, (items, incoming) => {
        const after = received(items, { ...incoming, id: 'new' });
        expect(after.ok && pieces(after.value)).toBe(pieces(items) + incoming.quantity);
        expect(after.ok && after.value.length - items.length).toBe(
          items.some((one) => one.place === incoming.place && sameSize(one, incoming)) ? 0 : 1,
        );
      }),
    );
  });
  test('taken out and put back leave the drawer as it was; never fewer than none', () => {
    fc.assert(
      fc.property(drawer, fc.nat(11), fc.integer({ min: 1, max: 12 }), (items, at, by) => {
        const one = items[at % Math.max(1, items.length)];
        fc.pre(one !== undefined);
        const { id } = one as Item;
        const out = drawerReducers.quantityChanged(state(items), {
          type: 'quantityChanged',
          itemId: id,
          by: -by,
        } as never);
        expect(out.ok).toBe((one as Item).quantity >= by);
        if (!out.ok) {
          expect(out.problem).toContain('Count them again');
          return;
        }
        const back = drawerReducers.quantityChanged(state(out.value.items ?? []), {
          type: 'quantityChanged',
          itemId: id,
          by,
        } as never);
        expect(back.ok && back.value.items).toEqual(items);
      }),
    );
  });
  test('of a size that is gone are refused in words, whatever is done to it', () => {
    for (const [type, more] of [
      ['quantityChanged', { by: 1 }],
      ['itemChanged', { changes: {} }],
      ['itemRemoved', {}],
    ] as const) {
      const reduce = drawerReducers[type] as (state: unknown, event: unknown) => { ok: boolean; problem?: string };
      expect(reduce(state([]), { type, itemId: 'none', ...more }).problem).toContain('not in the drawer any more');
    }
  });
});

describe('where it hangs', () => {
  test('every item hangs on one rail, of its own section, by length', () => {
    fc.assert(
      fc.property(drawer, (items) => {
        const rails = railsOf(items);
        expect(rails.flatMap((rail) => rail.items.map(({ id }) => id)).sort()).toEqual(
          items.map(({ id }) => id).sort(),
        );
        for (const { section, items: hung } of rails) {
          expect(hung.every((one) => one.shape === section.shape && one.thicknessMm === section.thicknessMm)).toBe(
            true,
          );
          expect(hung.map(lengthOf)).toEqual(hung.map(lengthOf).sort((a, b) => a - b));
        }
      }),
    );
  });
  test('one that is measured as it is labelled is found again; a vaguer reading finds no fewer', () => {
    fc.assert(
      fc.property(drawer, fc.nat(11), (items, at) => {
        const one = items[at % Math.max(1, items.length)];
        fc.pre(one !== undefined);
        const { innerLengthMm, thicknessMm, id } = one as Item;
        const found = inDrawer(items, innerLengthMm, 0.3, thicknessMm).same.map((same) => same.id);
        expect(found).toContain(id);
        const vague = inDrawer(items, innerLengthMm, 2, null).same.map((same) => same.id);
        for (const sure of found) expect(vague).toContain(sure);
      }),
    );
  });
  test('what is owned is what a belt to choose is found under, and never where nothing is left', () => {
    fc.assert(
      fc.property(drawer, (items) => {
        for (const [beltId, owned] of ownedBelts(items, CATALOGUE)) {
          const belt = CATALOGUE.find(({ id }) => id === beltId);
          expect(owned.quantity).toBeGreaterThan(0);
          expect(belt && itemFor(items, belt)).toBeDefined();
        }
      }),
    );
  });
  test('what of the drawer no series has is a belt to choose from', () => {
    const odd = newItem('odd', { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm: 117.3 }, 1);
    const { own } = benchStock({ items: [odd], switchedSeries: [] }) as unknown as { own: readonly { id: string }[] };
    expect(own.map(({ id }) => id)).toEqual(['own-odd']);
  });
});

describe('what is told of it', () => {
  test('a label lies only by more than the reading and the maker’s limit together', () => {
    fc.assert(
      fc.property(fc.integer({ min: 60, max: 300 }), fc.double({ min: 0, max: 2, noNaN: true }), (label, std) => {
        expect(labelLies(label, label, std)).toBe(false);
        expect(labelLies(label, label + 0.011 * label + 0.61 + 2 * std, std)).toBe(true);
        expect(labelLies(label, label + 10, std)).toBe(labelLies(label, label - 10, std));
      }),
    );
  });
  test('rubber is measured first from a day on, and not before; a measurement begins anew', () => {
    const bought = { boughtOn: '2024-01-31', measuredOn: '', rubber: 'nitrile' } as const;
    const from = measureFrom(bought);
    expect(from).toBe('2027-07-31');
    expect([isAged(bought, '2027-07-30'), isAged(bought, '2027-07-31')]).toEqual([false, true]);
    expect(isAged({ ...bought, measuredOn: '2027-08-01' }, '2028-01-01')).toBe(false);
    expect(isAged({ boughtOn: '', measuredOn: '', rubber: 'unknown' }, '2100-01-01')).toBe(false);
  });
  test('few is what the bench calls few; of a band nothing runs low', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 9 }), fc.option(fc.integer({ min: 0, max: 9 })), (quantity, lowAt) => {
        expect(runsLow({ quantity, lowAt, band: false })).toBe(quantity <= (lowAt ?? 0));
        expect(runsLow({ quantity, lowAt, band: true })).toBe(false);
      }),
    );
  });
});
