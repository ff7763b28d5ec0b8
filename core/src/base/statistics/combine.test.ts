import { expect, test } from 'vitest';
import { combineEstimates, oddOnesOut, rootSumSquares, totalStd } from '.';

const plain = (value: number, ownStd: number) => ({ value, ownStd, shared: {} });

// Table H.1: the standard's own uncertainty, the comparison, and two from expansion and temperature; nm. From memory.
test('end-gauge calibration, 25, 9.7, 2.9 and 16.6 nm combine to 32 nm (JCGM 100:2008, H.1)', () => {
  expect(Math.round(rootSumSquares([25, 9.7, 2.9, 16.6]))).toBe(32);
});

test('independent contributions add in quadrature (JCGM 100:2008, 5.1.2; worked by hand)', () => {
  expect(rootSumSquares([3, 4, 12])).toBe(13);
  expect(totalStd({ value: 0, ownStd: 3, shared: { section: -4 } })).toBe(5);
});

test('ten readings shrink their own scatter but not the section they share', () => {
  const many = Array.from({ length: 10 }, () => ({ value: 128, ownStd: 1, shared: { section: 0.4 } }));
  expect(combineEstimates(many)?.std).toBeCloseTo(Math.sqrt(1 / 10 + 0.16), 9);
});

test('opposite effects of one shared source cancel', () => {
  const combined = combineEstimates([
    { value: 10, ownStd: 1, shared: { s: 1 } },
    { value: 10, ownStd: 1, shared: { s: -1 } },
  ]);
  expect(combined?.std).toBeCloseTo(Math.SQRT1_2, 9);
});

test('the closer reading weighs more: weights 4 to 1 for uncertainties 1 to 2', () => {
  expect(combineEstimates([plain(10, 1), plain(15, 2)])?.value).toBeCloseTo(11, 9);
});

test('no reading gives no estimate', () => expect(combineEstimates([])).toBeUndefined());

test('the reading far from the rest is named, and only that one', () => {
  expect(oddOnesOut([plain(128, 0.8), plain(128.4, 0.9), plain(132.8, 0.8)])).toEqual([2]);
  expect(oddOnesOut([plain(128, 0.8), plain(128.4, 0.9)])).toEqual([]);
  expect(oddOnesOut([plain(128, 0.8), plain(140, 0.8)])).toHaveLength(2);
});
