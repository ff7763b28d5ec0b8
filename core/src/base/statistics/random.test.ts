import { describe, expect, test } from 'vitest';
import { bellCurve, crossing, seeded } from '.';

const draws = (seed: number, count: number): number[] => {
  const random = seeded(seed);
  return Array.from({ length: count }, random);
};

describe('chance from a seed', () => {
  test('is the same for the same seed and another for another', () => {
    expect(draws(7, 50)).toEqual(draws(7, 50));
    expect(draws(8, 50)).not.toEqual(draws(7, 50));
  });
  test('lies from 0 up to but not at 1', () => {
    const all = draws(1, 20_000);
    expect(Math.min(...all)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...all)).toBeLessThan(1);
  });
  test.each([1, 2, 20261125])(
    'seed %i: even over 50 cells, by χ² below its 99.9 % point for 49 (85.35, table)',
    (seed) => {
      const cells = new Array<number>(50).fill(0);
      for (const one of draws(seed, 50_000)) cells[Math.floor(one * 50)] = (cells[Math.floor(one * 50)] ?? 0) + 1;
      const chiSquare = cells.reduce((sum, count) => sum + (count - 1000) ** 2 / 1000, 0);
      expect(chiSquare).toBeLessThan(85.35);
    },
  );
  test('no small seed begins far out: the first of a thousand bell curves lie as a bell curve does', () => {
    const firsts = Array.from({ length: 1000 }, (_, seed) => bellCurve(seeded(seed))());
    // Of a thousand the furthest lies beyond 4 once in sixteen times, beyond 4.5 once in a hundred and fifty.
    expect(Math.max(...firsts.map(Math.abs))).toBeLessThan(4.5);
    const mean = firsts.reduce((sum, one) => sum + one, 0) / 1000;
    expect(Math.abs(mean)).toBeLessThan(4 / Math.sqrt(1000));
  });
  test('one draw says nothing of the next', () => {
    const all = draws(3, 20_000);
    const mean = all.reduce((sum, one) => sum + one, 0) / all.length;
    const along = all.slice(1).reduce((sum, one, i) => sum + (one - mean) * ((all[i] ?? 0) - mean), 0);
    const spread = all.reduce((sum, one) => sum + (one - mean) ** 2, 0);
    // Four standard errors of a correlation of none.
    expect(Math.abs(along / spread)).toBeLessThan(4 / Math.sqrt(all.length));
  });
});

test('where a statement changes is found to the last digit', () => {
  expect(crossing(0, 2, (x) => x * x < 2)).toBeCloseTo(Math.SQRT2, 14);
  expect(crossing(0, 1, () => true)).toBeCloseTo(1, 14);
});
