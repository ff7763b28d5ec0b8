import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { sectionAreaMm2, strandPullN, thinnedMm, youngModulusMpa } from '.';

const modulus = (shoreA: number): number => {
  const result = youngModulusMpa(shoreA);
  if (!result.ok) throw new Error(result.problem);
  return result.value;
};

describe('modulus from hardness', () => {
  test('Gent (1958) evaluated by hand at 40, 50 and 60', () => {
    expect(modulus(40)).toBeCloseTo(1.69, 2);
    expect(modulus(50)).toBeCloseTo(2.456, 3);
    expect(modulus(60)).toBeCloseTo(3.605, 3);
  });
  // P. B. Lindley, Engineering Design with Natural Rubber: Young's modulus by IRHD (from memory). Hardness in IRHD
  // and Shore A differ little here. Two published relations within 30 % is what the modulus's spread stands for.
  test.each([
    [30, 0.92],
    [40, 1.5],
    [50, 2.2],
    [60, 4.45],
    [70, 7.35],
  ])('at %i lies within 30 %% of the natural-rubber table', (hardness, tableMpa) => {
    expect(Math.abs(modulus(hardness) / tableMpa - 1)).toBeLessThan(0.3);
  });
  test('is refused outside 20 to 80', () => {
    expect(youngModulusMpa(19).ok).toBe(false);
    expect(youngModulusMpa(81).ok).toBe(false);
    expect(youngModulusMpa(Number.NaN).ok).toBe(false);
  });
});

test('pull rises with stretch and with area, and a hanging strand pulls nothing', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1.001, max: 1.4, noNaN: true }),
      fc.double({ min: 0.001, max: 0.2, noNaN: true }),
      (stretch, more) => {
        expect(strandPullN(3.6, 1.44, stretch + more)).toBeGreaterThan(strandPullN(3.6, 1.44, stretch));
        expect(strandPullN(3.6, 2, stretch)).toBeGreaterThan(strandPullN(3.6, 1.44, stretch));
      },
    ),
  );
  expect(strandPullN(3.6, 1.44, 0.98)).toBe(0);
});

test('for small strain the strand is a spring of modulus E: T → E·A·ε (Hooke)', () => {
  expect(strandPullN(3.6, 1, 1.0001) / (3.6 * 0.0001)).toBeCloseTo(1, 3);
});

test('volume is kept: area × length is the same stretched', () => {
  const thin = thinnedMm(1.2, 1.08);
  expect(thin * thin * 1.08).toBeCloseTo(1.44, 9);
});

test('areas', () => {
  expect(sectionAreaMm2({ shape: 'square', thicknessMm: 1.2 })).toBeCloseTo(1.44);
  expect(sectionAreaMm2({ shape: 'round', thicknessMm: 2 })).toBeCloseTo(Math.PI);
  expect(sectionAreaMm2({ shape: 'flat', thicknessMm: 0.5, widthMm: 4 })).toBe(2);
});
