import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { formatInchFraction, formatLength, parseForce, parseLength, parseNumber, type Result } from '.';
import { parseBeltSize, parseRingSection } from '../shapes';

const value = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.problem);
  return result.value;
};

describe('lengths as a bench types them', () => {
  // Inch rows: 1 in = 25.4 mm exactly (international inch, 1959).
  test.each([
    ['45', 'mm', 45],
    ['45 mm', 'in', 45],
    ['44,5', 'mm', 44.5],
    ['1 3/16 in', 'mm', 30.1625],
    ['1-3/16"', 'mm', 30.1625],
    ['1.77"', 'mm', 44.958],
    ['1.77″', 'mm', 44.958],
    ['3/32', 'mm', 2.38125],
    ['4.5 cm', 'mm', 45],
    ['+0024.80mm', 'mm', 24.8],
    ['.5', 'in', 12.7],
    ['66.4 millimetres', 'mm', 66.4],
  ] as const)('%s typed on a bench set to %s is %f mm', (text, unit, mm) => {
    expect(value(parseLength(text, unit)).lengthMm).toBeCloseTo(mm, 9);
  });

  test.each([
    ['', 'Nothing was typed'],
    ['twelve', 'not a number'],
    ['1,234.5', 'one decimal sign only'],
    ['3/0 in', '0 below the line'],
    ['5 kg', 'not a unit of length'],
    ['1.2x118', 'not a'],
  ])('%s is refused in words', (text, words) => {
    const result = parseLength(text);
    expect(result.ok).toBe(false);
    expect(!result.ok && result.problem).toContain(words);
  });

  test('what is written in mm or inches is read back as the same length', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.3, max: 900, noNaN: true }), fc.constantFrom('mm', 'in'), (mm, unit) => {
        const back = value(parseLength(`${formatLength(mm, unit)} ${unit}`)).lengthMm;
        expect(Math.abs(back - mm)).toBeLessThanOrEqual(0.0501);
      }),
    );
  });

  test('fractions of an inch are reduced and say when they are near only', () => {
    expect(formatInchFraction(30.1625)).toBe('1 3/16');
    expect(formatInchFraction(25.4)).toBe('1');
    expect(formatInchFraction(28.3)).toBe('≈ 1 7/64');
  });

  test('a negative number is read, and left to the field to refuse', () => {
    expect(value(parseNumber('-3'))).toBe(-3);
    expect(formatLength(-3.04, 'mm')).toBe('−3.0');
  });
});

describe('belt sizes', () => {
  test('a plain section is a square belt by inner length; an O-ring section is a ring by inner diameter', () => {
    expect(value(parseBeltSize('1.2x118'))).toMatchObject({ shape: 'square', thicknessMm: 1.2, innerLengthMm: 118 });
    const ring = value(parseBeltSize('1.78 × 28.3'));
    expect(ring.shape).toBe('round');
    expect(ring.innerLengthMm).toBeCloseTo(Math.PI * 28.3, 6);
    expect(ring.echo).toContain('inner diameter 28.3');
  });
  test('a word in front settles the shape', () => {
    expect(value(parseBeltSize('ring 1.2x30')).shape).toBe('round');
    expect(value(parseBeltSize('square 1.78x90')).shape).toBe('square');
  });
  test('1/16 of an O-ring is the nominal name of 0.070 inch (SAE AS568)', () => {
    expect(value(parseRingSection('1/16'))).toBeCloseTo(1.778, 6);
    expect(value(parseBeltSize('1/16 x 1.114 in')).thicknessMm).toBeCloseTo(1.778, 6);
  });
  test('a flat belt is width × thickness × length, whichever of the two comes first', () => {
    for (const text of ['4x0.6x208', '0.6 x 4 x 208', 'flat 4 × 0.6 × 208 mm'])
      expect(value(parseBeltSize(text)), text).toMatchObject({
        shape: 'flat',
        widthMm: 4,
        thicknessMm: 0.6,
        innerLengthMm: 208,
      });
  });
  test('what is said of a size counts: across, inside diameter, long, doubled', () => {
    const known = { shape: 'square', thicknessMm: 1.2 } as const;
    expect(value(parseBeltSize('1.2 × Ø20')).innerLengthMm).toBeCloseTo(Math.PI * 20, 9);
    expect(value(parseBeltSize('Ø42', known)).innerLengthMm).toBeCloseTo(Math.PI * 42, 9);
    expect(value(parseBeltSize('inside diameter 40', known)).innerLengthMm).toBeCloseTo(Math.PI * 40, 9);
    expect(value(parseBeltSize('66.4 doubled', known)).innerLengthMm).toBeCloseTo(128, 9);
    expect(value(parseBeltSize('116', known)).innerLengthMm).toBe(116);
    expect(parseBeltSize('Ø42').ok).toBe(false);
  });
  test('a figure that may be two things is asked about, and the answer settles it', () => {
    const asked = value(parseBeltSize('1.2x38'));
    expect(asked.otherwise).toEqual({ mm: 38, along: false });
    expect(value(parseBeltSize('1.2x38 across')).innerLengthMm).toBeCloseTo(Math.PI * 38, 9);
    expect(value(parseBeltSize('1.2x38 long'))).toMatchObject({ innerLengthMm: 38 });
    expect(value(parseBeltSize('1.2x38 long')).otherwise).toBeUndefined();
    expect(value(parseBeltSize('ring 1.78x88.9')).otherwise).toEqual({ mm: 88.9, along: true });
  });
  test.each(['118', '90x1.2', '1.2x', '12x118'])('%s is refused', (text) => {
    expect(parseBeltSize(text).ok).toBe(false);
  });
});

test.each(['40 mm', '1.5 in', '2"'])('%s is a length and no pull, and that is said', (text) => {
  const read = parseForce(text);
  expect(read.ok ? '' : read.problem).toContain('a length. A pull is in N');
});

test('a pull is read in newtons or as a scale shows it (standard gravity 9.80665)', () => {
  expect(value(parseForce('150 g'))).toBeCloseTo(1.471, 3);
  expect(value(parseForce('1,4 N'))).toBe(1.4);
  expect(parseForce('a bit').ok).toBe(false);
});
