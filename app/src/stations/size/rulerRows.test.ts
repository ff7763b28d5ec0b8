import { describe, expect, test } from 'vitest';
import { driveFacts, type Reading } from '@loose-pulley/core/belts/measuring';
import type { RuleOfThumb } from '@loose-pulley/core/belts/sizing';
import { SQUARE_BELTS } from '@loose-pulley/core/belts/catalogue';
import { FLAT, take } from '../../../../core/fixtures/booth';
import { figure } from '@loose-pulley/core/belts/measuring';
import { rulerRows } from './rulerRows';

const rule = (name: string, id?: string): RuleOfThumb => {
  const pick = SQUARE_BELTS.find((belt) => belt.id === id);
  return { id: name, name, pick } as unknown as RuleOfThumb;
};
const rows = (readings: readonly Reading[], rulesOfThumb: readonly RuleOfThumb[] = [], unit: 'mm' | 'in' = 'mm') =>
  rulerRows(driveFacts(readings, FLAT), rulesOfThumb, unit);

describe('the lines of the ruler', () => {
  test('each belt reading and string has its bar of two standard uncertainties; pulleys have none', () => {
    const list = rows([
      take('section', 'sectionJaws', 1.2),
      take('motorDiameter', 'motorJaws', 6),
      take('oldBelt', 'doubledOuter', 66.4),
      take('stringPath', 'stringRound', 129.8),
    ]);
    expect(list.map(({ label, kind }) => [label, kind])).toEqual([
      ['old belt, doubled flat 66.4', 'reading'],
      ['string 129.8', 'path'],
    ]);
    expect(list[0]?.valueMm).toBeCloseTo(128, 9);
    for (const { halfMm } of list) expect(halfMm).toBeGreaterThan(0.5);
  });
  test('pieces bound it from below, and say so; the odd one out is marked', () => {
    const list = rows([
      take('section', 'sectionJaws', 1.2),
      take('oldBelt', 'inPieces', 120),
      take('oldBelt', 'doubledOuter', 66.4),
      take('oldBelt', 'overCap', 40.8),
      take('oldBelt', 'laidStraight', 160),
    ]);
    expect(list.find(({ kind }) => kind === 'bound')?.label).toBe('at least, in pieces 120.0');
    expect(list.filter(({ kind }) => kind === 'odd').map(({ id }) => id)).toContain('oldBelt-laidStraight');
  });
  test('a reading that waits for its section has no bar yet', () => {
    expect(rows([take('oldBelt', 'doubledOuter', 66.4)])).toEqual([]);
  });
  test('rulesOfThumb that would buy the same belt share one flag, and one that buys nothing has none', () => {
    const list = rows(
      [],
      [
        rule('a tenth off', 'square-1.2-120'),
        rule('slightly smaller', 'square-1.2-120'),
        rule('like for like', 'square-1.2-128'),
        rule('one size down'),
      ],
    );
    expect(list.map(({ label, valueMm }) => [label, valueMm])).toEqual([
      ['a tenth off, slightly smaller', 120],
      ['like for like', 128],
    ]);
    const many = rows(
      [],
      ['a', 'b', 'c'].map((name) => rule(name, 'square-1.2-120')),
    );
    expect(many[0]?.label).toBe('a and 2 more');
  });
});

test.each([
  ['oldBelt', 66.4, 'mm', '66.4'],
  ['section', 1.25, 'mm', '1.25'],
  ['oldBelt', 25.4, 'in', '1.000'],
  ['trayPull', 1.4, 'in', '1.4'],
  ['stallPull', 2.65, 'mm', '2.65'],
] as const)('a %s of %f stands in its field in %s as %s: a pull has no inches', (measurand, amount, unit, text) =>
  expect(figure(measurand, amount, unit)).toBe(text),
);
