import { expect, test } from 'vitest';
import fc from 'fast-check';
import { PLACE_KINDS } from '@loose-pulley/core/work/cleaning';
import { mapLayout, type LaidPlace } from './mapLayout';

const places = fc.array(
  fc.record({ kind: fc.constantFrom(...PLACE_KINDS), driveId: fc.constantFrom(null, 'a', 'b', 'c') }),
  { maxLength: 60 },
);

test('every place is on the map once, inside the sheet, and no cell lies over another', () => {
  fc.assert(
    fc.property(places, fc.integer({ min: 280, max: 1400 }), (list, widthPx) => {
      const laid: LaidPlace[] = list.map((one, index) => ({ ...one, id: `p${index}` }));
      const { cells, heightPx } = mapLayout(laid, widthPx);
      expect(cells.flatMap(({ placeIds }) => placeIds).sort()).toEqual(laid.map(({ id }) => id).sort());
      for (const cell of cells) {
        expect(cell.x).toBeGreaterThanOrEqual(0);
        expect(cell.x + cell.widthPx).toBeLessThanOrEqual(widthPx);
        expect(cell.y + cell.heightPx).toBeLessThanOrEqual(heightPx);
      }
      cells.forEach((a, i) =>
        cells.slice(i + 1).forEach((b) => {
          const apart =
            a.x + a.widthPx <= b.x || b.x + b.widthPx <= a.x || a.y + a.heightPx <= b.y || b.y + b.heightPx <= a.y;
          expect(apart).toBe(true);
        }),
      );
    }),
  );
});
test('a phone has two columns, and a drive takes both', () => {
  const own = (['motorPulley', 'belt', 'drivenPulley'] as const).map((kind) => ({ id: kind, kind, driveId: 'a' }));
  const { cells } = mapLayout([...own, { id: 'lens', kind: 'lens', driveId: null }], 350);
  expect(cells.map(({ widthPx }) => widthPx)).toEqual([350, 171]);
});
