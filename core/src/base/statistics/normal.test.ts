import { expect, test } from 'vitest';
import { jStat } from 'jstat';
import { normalCdf, normalQuantile } from '.';

// Held to a general statistics library over the range that is used.
test('the normal distribution and its inverse', () => {
  for (let z = -5; z <= 5; z += 0.25) {
    expect(normalCdf(z)).toBeCloseTo(jStat.normal.cdf(z, 0, 1), 6);
    if (Math.abs(z) < 4) expect(normalQuantile(jStat.normal.cdf(z, 0, 1))).toBeCloseTo(z, 2);
  }
  expect(normalQuantile(0)).toBe(-8);
  expect(normalQuantile(1)).toBe(8);
});
