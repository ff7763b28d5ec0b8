import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import type { DrawnDrive } from './drawnDrive';
import { layOutDrive } from './layOutDrive';

const known = fc.record({
  motorMm: fc.option(fc.double({ min: 3, max: 20, noNaN: true }), { nil: undefined }),
  driveMm: fc.option(fc.double({ min: 12, max: 60, noNaN: true }), { nil: undefined }),
  centreMm: fc.option(fc.double({ min: 45, max: 160, noNaN: true }), { nil: undefined }),
});
const drawn = (of: object): DrawnDrive => ({ others: [], ...of }) as unknown as DrawnDrive;
const sheet = fc.tuple(fc.integer({ min: 320, max: 1200 }), fc.integer({ min: 300, max: 600 }));
/** Every finite figure that a layout holds, however deep. */
function figures(of: unknown): number[] {
  if (typeof of === 'number') return [of];
  if (typeof of === 'object' && of !== null) return Object.values(of).flatMap(figures);
  return [];
}

describe('a drive laid out on its sheet', () => {
  test('from whatever is known, nothing of it is no number', () => {
    fc.assert(
      fc.property(known, sheet, (of, [widthPx, heightPx]) => {
        const laid = layOutDrive(drawn(of), widthPx, heightPx);
        for (const one of figures(laid)) expect(Number.isFinite(one)).toBe(true);
      }),
    );
  });
  test('what is measured is drawn as it was measured, and what is not keeps the pulleys apart', () => {
    fc.assert(
      fc.property(known, sheet, (of, [widthPx, heightPx]) => {
        const { motorMm, driveMm, centreMm } = layOutDrive(drawn(of), widthPx, heightPx);
        if (of.motorMm !== undefined) expect(motorMm).toBe(of.motorMm);
        if (of.driveMm !== undefined) expect(driveMm).toBe(of.driveMm);
        if (of.centreMm !== undefined) expect(centreMm).toBe(of.centreMm);
        else expect(centreMm).toBeGreaterThan((motorMm + driveMm) / 2);
      }),
    );
  });
  test('the sheet’s size changes where things are, not how large they really are', () => {
    fc.assert(
      fc.property(known, sheet, sheet, (of, one, other) => {
        const { layout: _, ...a } = layOutDrive(drawn(of), ...one);
        const { layout: __, ...b } = layOutDrive(drawn(of), ...other);
        expect(b).toEqual(a);
      }),
    );
  });
  test('a belt that is too short hangs nowhere', () => {
    for (const excessMm of [-4, 0])
      expect(layOutDrive(drawn({ old: { excessMm, thicknessMm: 1.2 } }), 800, 400).oldExcessMm).toBe(0);
    expect(layOutDrive(drawn({ old: { excessMm: 6, thicknessMm: 1.2 } }), 800, 400).oldExcessMm).toBe(6);
  });
});
