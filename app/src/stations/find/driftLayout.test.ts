import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { driftAxis, driftScale } from './driftLayout';

describe('the row on which a cause drifts', () => {
  const width = fc.integer({ min: 60, max: 1600 });
  const chance = fc.double({ min: 0, max: 1, noNaN: true });
  test('likelier lies further right, and nothing leaves the row', () => {
    fc.assert(
      fc.property(width, chance, chance, (px, a, b) => {
        const x = driftScale(px);
        if (a < b) expect(x(a)).toBeLessThanOrEqual(x(b));
        expect(x(a)).toBeGreaterThanOrEqual(0);
        expect(x(a)).toBeLessThanOrEqual(Math.max(px, 11));
      }),
    );
  });
  test('the same observation moves every cause by the same length', () => {
    const x = driftScale(600);
    const times4 = (p: number): number => (4 * p) / (1 - p + 4 * p);
    expect(x(times4(0.02)) - x(0.02)).toBeCloseTo(x(times4(0.4)) - x(0.4), 6);
  });
  test('names do not run into one another', () => {
    fc.assert(
      fc.property(width, (px) => {
        const named = driftAxis(px).filter(({ label }) => label !== null);
        named.slice(1).forEach(({ x }, i) => expect(x - (named[i]?.x ?? 0)).toBeGreaterThanOrEqual(46));
      }),
    );
  });
});
