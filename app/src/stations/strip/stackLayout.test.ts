import { expect, test } from 'vitest';
import fc from 'fast-check';
import { step } from '../../../../core/fixtures/sample';
import { BALLOON_PX, stackLayout } from './stackLayout';

const layers = fc.array(fc.integer({ min: 0, max: 25 }), { minLength: 1, maxLength: 8 }).map((counts) =>
  counts.map((count, layer) => ({
    name: `layer ${layer}`,
    steps: Array.from({ length: count }, (_, i) => step(`${layer}-${i}`, layer * 100 + i + 1, 'screws', 'screws')),
  })),
);

test('no balloon lies on another, on any slab or off the paper, however many there are', () => {
  fc.assert(
    fc.property(layers, fc.integer({ min: 200, max: 900 }), (list, width) => {
      const stack = stackLayout(list, width);
      const all = stack.slabs.flatMap(({ balloons }) => balloons);
      expect(all).toHaveLength(list.reduce((sum, { steps }) => sum + steps.length, 0));
      const nearest = all.map((one, i) =>
        Math.min(Infinity, ...all.slice(i + 1).map((other) => Math.hypot(one.x - other.x, one.y - other.y))),
      );
      expect(Math.min(Infinity, ...nearest)).toBeGreaterThan(2 * BALLOON_PX);
      expect(Math.min(Infinity, ...all.map(({ x }) => x - BALLOON_PX))).toBeGreaterThanOrEqual(0);
      expect(Math.max(-Infinity, ...all.map(({ x }) => x + BALLOON_PX))).toBeLessThanOrEqual(stack.widthPx);
      expect(Math.max(-Infinity, ...all.map(({ y }) => y + BALLOON_PX))).toBeLessThanOrEqual(stack.heightPx);
      // Slabs lie under one another in the order of the strip.
      stack.slabs.slice(1).forEach((slab, i) => {
        const above = stack.slabs[i];
        expect(slab.y).toBeGreaterThan((above?.y ?? 0) + (above?.heightPx ?? 0));
      });
    }),
    { numRuns: 40 },
  );
});
