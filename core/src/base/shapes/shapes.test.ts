import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { MM_PER_INCH } from '../units';
import { beltLabel, forShapes, liesWhere, parseBeltSize, SECTION_SHAPES, shapeOf, shapeSaid, shapeUnsaid } from '.';

const shapes = fc.constantFrom(...SECTION_SHAPES);
/** Figures as a bench types them. */
const figure = (min: number, max: number, step: number) =>
  fc.integer({ min: Math.ceil(min / step), max: Math.floor(max / step) }).map((n) => Number((n * step).toFixed(2)));

describe('every shape', () => {
  test('is said by words that say no other', () => {
    for (const shape of SECTION_SHAPES)
      for (const word of shapeOf(shape).said) expect(shapeSaid(word), word).toBe(shape);
    expect(shapeSaid('gear')).toBeUndefined();
  });
  test('grows in area with its thickness, and a wide one with its width', () => {
    fc.assert(
      fc.property(shapes, figure(0.5, 5, 0.1), figure(0.5, 10, 0.1), (shape, thickness, width) => {
        const { areaMm2, hasWidth } = shapeOf(shape);
        const area = areaMm2(thickness, width);
        expect(area).toBeGreaterThan(0);
        expect(areaMm2(thickness * 1.1, width)).toBeGreaterThan(area);
        if (hasWidth) expect(areaMm2(thickness, width * 1.1)).toBeGreaterThan(area);
        else expect(areaMm2(thickness, width * 1.1)).toBe(area);
      }),
    );
  });
  test('a square of the side of a ring is wider than the ring by 4/π', () =>
    expect(shapeOf('square').areaMm2(2, 0) / shapeOf('round').areaMm2(2, 0)).toBeCloseTo(4 / Math.PI, 12));
  test('lies where a shape of its own seat lay, and that goes both ways', () => {
    fc.assert(
      fc.property(shapes, shapes, (a, b) => {
        expect(liesWhere(a, a)).toBe(true);
        expect(liesWhere(a, b)).toBe(liesWhere(b, a));
      }),
    );
  });
  test('has a record: what is worked out for each has all of them, and no other', () =>
    expect(Object.keys(forShapes((shape) => shape))).toEqual([...SECTION_SHAPES]));
});

describe('a size as it is typed', () => {
  test('a square belt: what was typed is what comes back, however it is spaced and crossed', () => {
    const cross = fc.constantFrom('x', ' x ', '×', ' × ', '*', ' X ');
    fc.assert(
      fc.property(figure(0.8, 3, 0.1), figure(40, 300, 0.5), cross, (thickness, length, by) => {
        const read = parseBeltSize(`square ${thickness}${by}${length}`);
        expect(read.ok && read.value).toMatchObject({ shape: 'square', thicknessMm: thickness, innerLengthMm: length });
      }),
    );
  });
  test('a ring is taken by its inner diameter: π times as long', () => {
    fc.assert(
      fc.property(fc.constantFrom(1.78, 2.62, 3.53), figure(12, 90, 0.1), (thickness, diameter) => {
        const read = parseBeltSize(`ring ${thickness}x${diameter}`);
        expect(read.ok && read.value.shape).toBe('round');
        expect(read.ok && read.value.innerLengthMm).toBeCloseTo(Math.PI * diameter, 1);
      }),
    );
  });
  test('in inches it is the same belt', () => {
    fc.assert(
      fc.property(figure(1, 3, 0.1), figure(60, 250, 1), (thickness, length) => {
        const inches = (mm: number) => `${(mm / MM_PER_INCH).toFixed(5)} in`;
        const read = parseBeltSize(`square ${inches(thickness)} x ${inches(length)}`);
        expect(read.ok && read.value.innerLengthMm).toBeCloseTo(length, 1);
      }),
      { numRuns: 40 },
    );
  });
  test('nonsense is refused in words, never thrown', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 24 }), (line) => {
        const read = parseBeltSize(line);
        if (!read.ok) expect(read.problem.length).toBeGreaterThan(10);
        else expect(read.value.innerLengthMm).toBeGreaterThan(0);
      }),
      { numRuns: 400 },
    );
  });
  test('a thickness alone tells the shape only where it is one of those', () => {
    for (const shape of SECTION_SHAPES)
      for (const mm of shapeOf(shape).knownByMm) expect(shapeUnsaid({ thicknessMm: mm }), String(mm)).toBe(shape);
  });
});

test('a label says figure and unit, and in either unit the same length', () => {
  fc.assert(
    fc.property(shapes, figure(1, 4, 0.1), figure(50, 300, 0.5), (shape, thicknessMm, innerLengthMm) => {
      const belt = { shape, thicknessMm, widthMm: 4, innerLengthMm };
      const last = (unit: 'mm' | 'in') => Number(beltLabel(belt, unit).size.split(' × ').at(-1));
      expect(last('in') * MM_PER_INCH).toBeCloseTo(last('mm'), 0);
      expect(beltLabel(belt, 'in').words).toContain(' in inner ');
    }),
  );
});
