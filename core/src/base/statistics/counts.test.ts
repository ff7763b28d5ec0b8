import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { jStat } from 'jstat';
import { atMost, exactInterval, fisherTwoSided, noneAfterChance, noneFailedBound } from '.';

/** Counts as a bench takes them: n cycles, k of them failed. */
const counts = fc
  .integer({ min: 1, max: 400 })
  .chain((n) => fc.record({ n: fc.constant(n), k: fc.integer({ min: 0, max: n }) }));

describe('the exact interval (Clopper and Pearson, 1934)', () => {
  test('agrees with the beta quantiles of a general statistics library (jstat) on random counts', () => {
    fc.assert(
      fc.property(counts, ({ k, n }) => {
        const { low, high } = exactInterval(k, n);
        expect(low).toBeCloseTo(k === 0 ? 0 : jStat.beta.inv(0.025, k, n - k + 1), 5);
        expect(high).toBeCloseTo(k === n ? 1 : jStat.beta.inv(0.975, k + 1, n - k), 5);
      }),
    );
  });
  test('0 of 20: 16.8 % two-sided, 13.9 % one-sided; and the two are not confused', () => {
    expect(exactInterval(0, 20).high).toBeCloseTo(0.168, 3);
    expect(noneFailedBound(20)).toBeCloseTo(0.139, 3);
    // The rule of three: about 3/n.
    expect(noneFailedBound(300) * 300).toBeCloseTo(3, 1);
  });
  test('holds its rate, narrows with counting, and knows nothing of nothing', () => {
    fc.assert(
      fc.property(counts, ({ k, n }) => {
        const { low, high } = exactInterval(k, n);
        const doubled = exactInterval(2 * k, 2 * n);
        expect(low).toBeLessThanOrEqual(k / n + 1e-9);
        expect(high).toBeGreaterThanOrEqual(k / n - 1e-9);
        expect(doubled.high - doubled.low).toBeLessThanOrEqual(high - low + 1e-9);
      }),
    );
    expect(exactInterval(0, 0)).toEqual({ low: 0, high: 1 });
    expect(noneFailedBound(0)).toBe(1);
  });
});

test('the binomial sum agrees with jstat, and with its ends', () => {
  fc.assert(
    fc.property(counts, fc.double({ min: 0.001, max: 0.999, noNaN: true }), ({ k, n }, p) => {
      expect(atMost(k, n, p)).toBeCloseTo(jStat.binomial.cdf(k, n, p), 6);
    }),
  );
  expect([atMost(3, 3, 0.5), atMost(0, 5, 0), atMost(0, 5, 1)]).toEqual([1, 1, 0]);
});

describe('Fisher’s exact test', () => {
  test.each([
    // The lady tasting tea (Fisher, 1935): 3 of 4 right.
    [{ failedA: 3, goodA: 1, failedB: 1, goodB: 3 }, 0.4857],
    // Like-sex twins and convictions (Fisher, 1935; the worked example of general statistics packages; from memory).
    [{ failedA: 2, goodA: 15, failedB: 10, goodB: 3 }, 0.0005367],
    [{ failedA: 4, goodA: 8, failedB: 0, goodB: 0 }, 1],
  ])('%j gives %f', (table, p) => expect(fisherTwoSided(table)).toBeCloseTo(p, 4));
  test('does not care which group or which outcome is called which', () => {
    const cell = fc.integer({ min: 0, max: 30 });
    fc.assert(
      fc.property(cell, cell, cell, cell, (failedA, goodA, failedB, goodB) => {
        const p = fisherTwoSided({ failedA, goodA, failedB, goodB });
        expect(p).toBeGreaterThan(0);
        expect(p).toBeLessThanOrEqual(1);
        expect(fisherTwoSided({ failedA: failedB, goodA: goodB, failedB: failedA, goodB: goodA })).toBeCloseTo(p, 9);
        expect(fisherTwoSided({ failedA: goodA, goodA: failedA, failedB: goodB, goodB: failedB })).toBeCloseTo(p, 9);
      }),
    );
  });
  test('none after: all four of twelve failures before, by counting the ways: C(12,4)/C(24,4)', () => {
    expect(noneAfterChance(4, 12, 12)).toBeCloseTo(495 / 10_626, 9);
  });
});
