import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  formatForce,
  formatGramForce,
  formatInchFraction,
  formatLength,
  formatLengthWithUnit,
  formatNewton,
  formatPercent,
  formatSpread,
  parseLength,
} from '.';

describe('what is shown', () => {
  test.each([
    [128, 'mm', '128.0'],
    [3, 'mm', '3.0'],
    [2.999, 'mm', '3.0'],
    [1.2, 'mm', '1.2'],
    [1.78, 'mm', '1.78'],
    [-0.9, 'mm', '−0.9'],
    [25.4, 'in', '1.000'],
    [-12.7, 'in', '−0.500'],
    [Number.NaN, 'mm', '–'],
    [Number.POSITIVE_INFINITY, 'in', '–'],
  ] as const)('%f in %s is %s', (lengthMm, unit, text) => expect(formatLength(lengthMm, unit)).toBe(text));
  test.each([
    [1.24, 'mm', '1.2'],
    [0.05, 'mm', '0.05'],
    [2.54, 'in', '0.100'],
    [Number.NaN, 'mm', '–'],
  ] as const)('a spread of %f in %s is %s', (lengthMm, unit, text) => expect(formatSpread(lengthMm, unit)).toBe(text));
  test.each([
    [0.778, '0.78 N'],
    [3.14, '3.1 N'],
    [-3.14, '−3.1 N'],
    [Number.NaN, '–'],
  ])('a force of %f is %s', (forceN, text) => expect(formatNewton(forceN)).toBe(text));
  test('the same force as a scale shows it: one newton is 101.97 g under standard gravity (9.80665 m/s²)', () => {
    expect(formatGramForce(1)).toBe('102 gf');
    expect(formatForce(3.1)).toBe('3.1 N · 316 gf');
    expect(formatGramForce(Number.NaN)).toBe('–');
  });
  test('a ratio in per cent keeps its sign', () => {
    expect(formatPercent(0.074)).toBe('7.4 %');
    expect(formatPercent(-0.006)).toBe('−0.6 %');
    expect(formatPercent(Number.NaN)).toBe('–');
  });
  test.each([
    [30.1625, '1 3/16'],
    [25.4, '1'],
    [12.7, '1/2'],
    [28.3, '≈ 1 7/64'],
    [-12.7, '−1/2'],
    [0, '0'],
  ])('%f mm on an inch rule is %s', (lengthMm, text) => expect(formatInchFraction(lengthMm)).toBe(text));
});

test('what is shown is read back as what it stood for, to the last figure shown', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.3, max: 900, noNaN: true }),
      fc.constantFrom('mm' as const, 'in' as const),
      (mm, unit) => {
        const read = parseLength(formatLengthWithUnit(mm, unit), unit);
        const least = unit === 'in' ? 0.0005 * 25.4 : mm < 3 ? 0.005 : 0.05;
        expect(read.ok && Math.abs(read.value.lengthMm - mm)).toBeLessThanOrEqual(least + 1e-9);
      },
    ),
  );
});
