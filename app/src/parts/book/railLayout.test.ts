import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { lengthOf, newItem, railsOf, type Item } from '@loose-pulley/core/shop/drawer';
import { LEFT_PX, railLayout, spanOf } from './railLayout';

const items = fc
  .array(
    fc.record({
      thicknessMm: fc.constantFrom(1, 1.2, 1.6),
      innerLengthMm: fc.integer({ min: 60, max: 400 }),
      quantity: fc.integer({ min: 0, max: 9 }),
    }),
    { minLength: 1, maxLength: 40 },
  )
  .map((list) =>
    list.map(({ quantity, ...belt }, n): Item =>
      newItem(`i${n}`, { shape: 'square', widthMm: null, ...belt }, quantity),
    ),
  );
const width = fc.integer({ min: 360, max: 1600 });

describe('the drawer as it hangs', () => {
  test('the axis reaches beyond every belt, in round tens; an empty drawer has one too', () => {
    fc.assert(
      fc.property(items, (list) => {
        const [from, to] = spanOf(list);
        expect(from % 10).toBe(0);
        expect(to % 10).toBe(0);
        for (const one of list) {
          expect(lengthOf(one)).toBeGreaterThan(from);
          expect(lengthOf(one)).toBeLessThan(to);
        }
      }),
    );
    const [from, to] = spanOf([]);
    expect(to).toBeGreaterThan(from);
  });
  test('every belt hangs once, on its rail, within the sheet; the longer further right', () => {
    fc.assert(
      fc.property(items, width, (list, widthPx) => {
        const { rails } = railLayout(railsOf(list), spanOf(list), widthPx);
        expect(
          rails
            .flatMap(({ hung }) => hung.flatMap((glyph) => glyph.items))
            .map(({ id }) => id)
            .sort(),
        ).toEqual(list.map(({ id }) => id).sort());
        for (const { hung } of rails) {
          const xs = hung.map(({ x }) => x);
          expect(xs).toEqual([...xs].sort((a, b) => a - b));
          for (const { x, items: own, quantity, owned } of hung) {
            expect(x).toBeGreaterThan(LEFT_PX);
            expect(x).toBeLessThan(widthPx);
            expect(quantity).toBe(own.reduce((sum, one) => sum + one.quantity, 0));
            expect(owned).toBe(quantity > 0);
          }
        }
      }),
    );
  });
  test('no two glyphs of a rail lie over each other, however many belts', () => {
    fc.assert(
      fc.property(items, width, (list, widthPx) => {
        for (const { hung } of railLayout(railsOf(list), spanOf(list), widthPx).rails)
          hung.forEach(({ x }, n) => {
            const before = hung[n - 1];
            if (before) expect(x - before.x).toBeGreaterThanOrEqual(17);
          });
      }),
    );
  });
  test('what lies outside of what is looked at does not hang', () => {
    fc.assert(
      fc.property(items, (list) => {
        const [from] = spanOf(list);
        const { rails } = railLayout(railsOf(list), [from, from + 60], 800);
        for (const glyph of rails.flatMap(({ hung }) => hung))
          for (const one of glyph.items) expect(lengthOf(one)).toBeLessThanOrEqual(from + 60);
      }),
    );
  });
});
