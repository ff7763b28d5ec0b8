import { beltLabel } from '../../base/shapes';
import { describe, expect, test } from 'vitest';
import { AS568_BELTS, CATALOGUE, METRIC_BELTS, nextInSeries, SQUARE_BELTS, stockFor, type BenchStock } from '.';

const diameterIn = (id: string): number =>
  (AS568_BELTS.find((belt) => belt.id === id)?.innerLengthMm ?? 0) / Math.PI / 25.4;

describe('AS568', () => {
  // The standard's construction: from -011 and -109 on, inner diameters are 16ths of an inch less 0.011 (0.070 section)
  // or 0.013 (0.103 section), rounded to a thousandth; so each lies within 0.001 of that rule.
  test.each(AS568_BELTS.filter(({ id }) => Number(id.slice(-3)) % 100 >= 11).map(({ id }) => [id] as const))(
    '%s follows the standard’s sixteenths',
    (id) => {
      const step = diameterIn(id) + (id.startsWith('as568-1') ? 0.013 : 0.011);
      expect(Math.abs(step * 16 - Math.round(step * 16)) / 16).toBeLessThanOrEqual(0.0011);
    },
  );
  // Metric inner diameters of the same rings in ISO 3601-1 (from memory).
  test.each([
    ['as568-010', 6.07],
    ['as568-012', 9.25],
    ['as568-014', 12.42],
    ['as568-018', 18.77],
    ['as568-024', 28.3],
    ['as568-028', 34.65],
    ['as568-030', 41.0],
    ['as568-036', 60.05],
    ['as568-042', 82.27],
    ['as568-050', 133.07],
    ['as568-110', 9.19],
    ['as568-116', 18.72],
    ['as568-120', 25.07],
    ['as568-130', 40.94],
    ['as568-150', 72.69],
    ['as568-154', 94.92],
  ])('%s is %f mm inside in ISO 3601-1', (id, mm) => {
    expect(diameterIn(id) * 25.4).toBeCloseTo(mm, 1);
  });
  test('sections are 1.78 and 2.62 mm within 0.08 mm (ISO 3601-1; AS568 ± 0.003 in)', () => {
    for (const belt of AS568_BELTS) {
      expect(belt.thicknessMm).toBeCloseTo(belt.series === 'as568-070' ? 1.778 : 2.616, 3);
      expect(belt.thicknessToleranceMm).toBeCloseTo(0.0762, 4);
    }
  });
  test('tolerances never shrink as rings grow', () => {
    for (const series of ['as568-070', 'as568-103']) {
      const rows = AS568_BELTS.filter((belt) => belt.series === series);
      rows.slice(1).forEach((belt, i) => {
        expect(belt.innerLengthMm).toBeGreaterThan(rows[i]?.innerLengthMm ?? 0);
        expect(belt.innerLengthToleranceMm).toBeGreaterThanOrEqual((rows[i]?.innerLengthToleranceMm ?? 0) - 1e-9);
      });
    }
  });
});

test('no two belts share an id', () => expect(new Set(CATALOGUE.map(({ id }) => id)).size).toBe(CATALOGUE.length));

test('the neighbours of a length', () => {
  const belts = SQUARE_BELTS.filter(({ thicknessMm }) => thicknessMm === 1.2);
  expect(nextInSeries(belts, 116)).toMatchObject({ down: { innerLengthMm: 112 }, up: { innerLengthMm: 120 } });
  expect(nextInSeries(belts, 10).down).toBeUndefined();
});

test('a size says what it is', () => {
  expect(beltLabel({ shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 }, 'mm')).toEqual({
    sign: '□',
    size: '1.2 × 116.0',
    words: 'square 1.2 mm, 116.0 mm inner length',
  });
  const ring = AS568_BELTS.find(({ id }) => id === 'as568-024');
  expect(ring && beltLabel(ring, 'mm').size).toBe('1.78 × 28.30');
  expect(ring && beltLabel(ring, 'in').size).toBe('0.070 × 1.114');
});

describe('metric rings', () => {
  // ISO 3: the R40 series of preferred numbers from 14 to 50.
  const R40 = [
    14, 15, 16, 17, 18, 19, 20, 21.2, 22.4, 23.6, 25, 26.5, 28, 30, 31.5, 33.5, 35.5, 37.5, 40, 42.5, 45, 47.5, 50,
  ];
  test('hold every preferred number of R40 in both sections', () => {
    for (const section of [1.8, 2.65]) {
      const inner = METRIC_BELTS.filter(({ thicknessMm }) => thicknessMm === section).map(
        ({ innerLengthMm }) => Math.round((innerLengthMm / Math.PI) * 100) / 100,
      );
      expect(inner).toEqual(expect.arrayContaining(R40));
      expect(inner).toEqual([...inner].sort((a, b) => a - b));
    }
  });
  test('are chosen among only where a bench has switched them on', () => {
    const metric = (stock?: BenchStock) =>
      stockFor('square', 'both', stock).filter(({ series }) => series === 'metric');
    expect(metric()).toEqual([]);
    expect(metric({ series: ['metric'], own: [] })).toHaveLength(METRIC_BELTS.length);
    expect(stockFor('flat', 'both', { series: ['metric'], own: [] })).toEqual([]);
  });
});
