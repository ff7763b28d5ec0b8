import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { SECTION_SHAPES, shapeOf } from '../../base/shapes';
import {
  BUILT_IN,
  nextInSeries,
  ringNames,
  SAME_LENGTH_MM,
  sameBelt,
  sameSection,
  SERIES,
  stockFor,
  TO_BE_HAD,
  type CatalogueBelt,
} from '.';

const ALL: readonly CatalogueBelt[] = SERIES.flatMap((one) => [...BUILT_IN[one].belts]);
const anyBelt = fc.constantFrom(...ALL);
const lengthMm = fc.double({ min: 20, max: 600, noNaN: true });

describe('every belt of a series', () => {
  test('has a section, a length, limits that leave both above nothing, and a width only where it is flat', () => {
    for (const belt of ALL) {
      expect(belt.thicknessMm - belt.thicknessToleranceMm, belt.id).toBeGreaterThan(0);
      expect(belt.innerLengthMm - belt.innerLengthToleranceMm, belt.id).toBeGreaterThan(0);
      expect(belt.widthMm !== undefined && belt.widthMm !== null, belt.id).toBe(shapeOf(belt.shape).hasWidth);
    }
  });
  test('is the same belt as itself, and no other of its series is', () => {
    for (const one of SERIES) {
      const belts = BUILT_IN[one].belts;
      for (const [n, belt] of belts.entries()) {
        expect(sameBelt(belt, belt)).toBe(true);
        const next = belts[n + 1];
        if (next) expect(sameBelt(belt, next), `${belt.id} ${next.id}`).toBe(false);
      }
    }
  });
  test('of a ring says its own size in words', () => {
    for (const belt of ALL.filter(({ shape }) => shape === 'round')) {
      const words = ringNames(belt);
      expect(words, belt.id).not.toMatch(/undefined|NaN/);
      expect(words.length).toBeGreaterThan(0);
    }
  });
});

describe('sameness', () => {
  test('does not ask which of the two stands first', () => {
    fc.assert(
      fc.property(anyBelt, anyBelt, (a, b) => {
        expect(sameSection(a, b)).toBe(sameSection(b, a));
        expect(sameBelt(a, b)).toBe(sameBelt(b, a));
        if (sameBelt(a, b)) expect(sameSection(a, b)).toBe(true);
      }),
    );
  });
  test('ends at what nobody can tell apart', () => {
    fc.assert(
      fc.property(anyBelt, fc.double({ min: 0, max: 1, noNaN: true }), (belt, byMm) => {
        fc.pre(Math.abs(byMm - SAME_LENGTH_MM) > 1e-6);
        const other = { ...belt, innerLengthMm: belt.innerLengthMm + byMm };
        expect(sameBelt(belt, other)).toBe(byMm < SAME_LENGTH_MM);
      }),
    );
  });
});

describe('neighbours of a length', () => {
  test('stand on either side of it, and none of the series stands between', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SERIES), lengthMm, (series, mm) => {
        const belts = BUILT_IN[series].belts;
        const { down, up } = nextInSeries(belts, mm);
        if (down) expect(down.innerLengthMm).toBeLessThan(mm);
        if (up) expect(up.innerLengthMm).toBeGreaterThan(mm);
        for (const { innerLengthMm } of belts) {
          const within =
            innerLengthMm > (down?.innerLengthMm ?? 0) + 1e-9 &&
            innerLengthMm < (up?.innerLengthMm ?? Infinity) - 1e-9 &&
            Math.abs(innerLengthMm - mm) > 0.011;
          expect(within, `${innerLengthMm} beside ${mm}`).toBe(false);
        }
      }),
    );
  });
});

describe('what there is to choose from', () => {
  test('is all of it, or one of two parts that make the whole; where there is but one sort, it is that, whatever is to be had', () => {
    for (const shape of SECTION_SHAPES) {
      const of = Object.fromEntries(
        TO_BE_HAD.map((had) => [had, new Set(stockFor(shape, had).map(({ id }) => id))]),
      ) as Record<(typeof TO_BE_HAD)[number], Set<string>>;
      if (of.belts.size < of.both.size)
        for (const id of of.belts) expect(of.rings.has(id), `${shape} ${id}`).toBe(false);
      expect(of.rings.size * of.belts.size).toBeGreaterThan(0);
      expect(new Set([...of.belts, ...of.rings])).toEqual(of.both);
    }
  });
  test('a belt of the bench’s own joins it, and switching a series off takes only that one away', () => {
    const [belt] = ALL;
    if (!belt) throw new Error('The catalogue is empty.');
    const own: CatalogueBelt = { ...belt, id: 'own-1', series: 'own', innerLengthMm: 123.4 };
    const usual = SERIES.filter((one) => BUILT_IN[one].usual);
    const plain = stockFor('square', 'both', { series: usual, own: [] }).map(({ id }) => id);
    const owned = stockFor('square', 'both', { series: usual, own: [own] }).map(({ id }) => id);
    expect(owned.filter((id) => !plain.includes(id))).toEqual(['own-1']);
    for (const off of usual) {
      const less = stockFor('square', 'both', { series: usual.filter((one) => one !== off), own: [] });
      const ids = new Set<string>(BUILT_IN[off].belts.map(({ id }) => id));
      expect(less.map(({ id }) => id)).toEqual(plain.filter((id) => !ids.has(id)));
    }
  });
});
