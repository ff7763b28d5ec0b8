import fc from 'fast-check';
import { jStat } from 'jstat';
import { describe, expect, test } from 'vitest';
import { agreementOf, chiSquaredAt95, combineEstimates, modesOf, momentsOfModes } from '.';

const plain = (value: number, ownStd = 1) => ({ value, ownStd, shared: {} });
const estimates = fc.array(
  fc.record({
    value: fc.double({ min: 50, max: 150, noNaN: true }),
    ownStd: fc.double({ min: 0.2, max: 4, noNaN: true }),
  }),
  { minLength: 2, maxLength: 7 },
);

describe('agreement of estimates', () => {
  test('χ² of independent estimates is the sum of squares about their weighted mean', () => {
    fc.assert(
      fc.property(estimates, (list) => {
        const all = list.map(({ value, ownStd }) => plain(value, ownStd));
        const mean = combineEstimates(all)?.value ?? 0;
        const expected = all.reduce((sum, { value, ownStd }) => sum + ((value - mean) / ownStd) ** 2, 0);
        expect(Math.abs(agreementOf(all).chiSquared - expected)).toBeLessThan(1e-6 * Math.max(1, expected));
      }),
    );
  });
  test('its bound at 5 in 100 is the reference library’s', () => {
    for (let degrees = 1; degrees <= 30; degrees++)
      expect(Math.abs(chiSquaredAt95(degrees) / jStat.chisquare.inv(0.95, degrees) - 1)).toBeLessThan(0.01);
  });
  test('what both share does not part them', () => {
    const shared = { section: 3 };
    expect(agreementOf([plain(10, 0.5), plain(12, 0.5)].map((one) => ({ ...one, shared }))).agrees).toBe(false);
    expect(agreementOf([plain(10, Math.hypot(3, 0.5)), plain(12, Math.hypot(3, 0.5))]).agrees).toBe(true);
  });
});

describe('the ways in which readings hang together', () => {
  test('two that agree are one; two that cannot both be true are two, neither of them their mean', () => {
    const [one] = modesOf([plain(128), plain(128.8)]);
    expect(one?.misread).toBeUndefined();
    expect(one?.weight).toBeGreaterThan(0.95);
    const apart = modesOf([plain(130.35), plain(97.5)]);
    expect(
      apart
        .slice(0, 2)
        .map(({ value }) => value)
        .sort(),
    ).toEqual([130.35, 97.5]);
    expect(apart[2]?.weight ?? 0).toBeLessThan(1e-6);
    expect(momentsOfModes(apart).std).toBeGreaterThan(14);
  });
  test('of three the one that stands alone is set aside; a usual slip decides between two', () => {
    expect(modesOf([plain(128), plain(128.6), plain(140)])[0]).toMatchObject({ misread: 2 });
    const slipped = modesOf([plain(128), plain(64)], (index) => (index === 1 ? [128] : []));
    expect(slipped[0]).toMatchObject({ misread: 1, value: 128 });
    expect(slipped[0]?.weight).toBeGreaterThan(0.9);
  });
  test('the further apart two lie, the less sure is what they say together; the order changes nothing', () => {
    const spread = (apart: number) => momentsOfModes(modesOf([plain(120), plain(120 + apart)])).std;
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0.2, max: 10, noNaN: true }),
        (a, more) => {
          expect(spread(a + more)).toBeGreaterThanOrEqual(spread(a) * 0.999);
        },
      ),
    );
    fc.assert(
      fc.property(estimates, (list) => {
        const all = list.map(({ value, ownStd }) => plain(value, ownStd));
        const [there, back] = [momentsOfModes(modesOf(all)), momentsOfModes(modesOf([...all].reverse()))];
        expect(there.value).toBeCloseTo(back.value, 6);
        expect(modesOf(all).reduce((sum, { weight }) => sum + weight, 0)).toBeCloseTo(1, 9);
      }),
    );
  });
});
