import { describe, expect, test } from 'vitest';
import { AS568_BELTS, ringNames, sameBelt } from '../../belts/catalogue';
import { explainedWords, wouldTell } from '../../belts/probability';
import { wantedWords } from '.';

const ring = (dash: string) => {
  const found = AS568_BELTS.find(({ name }) => name === `AS568 ${dash}`);
  if (!found) throw new Error(`no ring ${dash}`);
  return found;
};

describe('what a slip asks for', () => {
  test('a ring by its dash, its millimetres and its limit (SAE AS568, -022: 0.989 ± 0.010 in; ISO 3601-1: 25.12 × 1.78)', () => {
    expect(ringNames(ring('-022'))).toBe('AS568 -022 · 25.12 × 1.78 mm ± 0.25 · within that the same as 25 × 1.8 mm');
  });
  test('a round metric size is named only where it lies within the ring’s own limit', () => {
    for (const belt of AS568_BELTS) {
      const metric = /same as ([\d.]+) ×/.exec(ringNames(belt))?.[1];
      const off = Math.abs(Number(metric ?? NaN) * Math.PI - belt.innerLengthMm);
      if (metric) expect(off, belt.name).toBeLessThanOrEqual(belt.innerLengthToleranceMm + 1e-9);
    }
    expect(AS568_BELTS.some((belt) => !ringNames(belt).includes('same as'))).toBe(true);
  });
  test('where nothing in stock fits: the length that would, with its section; or that none of it would', () => {
    const section = { shape: 'flat', thicknessMm: 0.6, widthMm: 4 } as const;
    const wanted = { section, fromMm: 205, toMm: 211, works: 0.88 };
    expect(wantedWords(wanted, 'mm')).toBe('Wanted: 208.0 ± 3.0 mm inner length, flat 4.0 × 0.6 mm; chance 88 in 100.');
    expect(wantedWords({ ...wanted, works: 0.3 }, 'mm')).toContain('No length of the old section (flat 4.0 × 0.6 mm)');
    expect(wantedWords(undefined, 'mm')).toContain('measure the old belt’s, or the groove');
  });
});

describe('what would explain a verdict', () => {
  test('is said both ways round, by the name of what the belt moves', () => {
    const said = (what: Parameters<typeof explainedWords>[0]['what'], change: number) =>
      explainedWords({ what, change, sigmas: 1 }, 'drawer');
    expect(said('need', 0.3)).toBe('a drawer that goes more stiffly than assumed');
    expect(said('need', -0.3)).toBe('a drawer that goes more easily than assumed');
    expect(said('motor', -0.3)).toBe('a weaker motor than assumed');
    expect(said('rubber', 0.2)).toBe('harder rubber than assumed');
    expect(said('friction', -0.2)).toContain('oily or shiny');
    expect(said('path', 0.01)).toBe('a longer path than was read');
    expect([wouldTell.need, wouldTell.motor, wouldTell.rubber]).toEqual(['trayPull', 'stallPull', undefined]);
  });
});

test('one size is one section and one length, which nobody tells apart by less than two tenths; a flat belt’s width counts', () => {
  const belt = { shape: 'flat', thicknessMm: 0.6, widthMm: 4, innerLengthMm: 208 } as const;
  expect(sameBelt(belt, { ...belt, innerLengthMm: 208.15 })).toBe(true);
  expect(sameBelt(belt, { ...belt, innerLengthMm: 208.3 })).toBe(false);
  expect(sameBelt(belt, { ...belt, widthMm: 5 })).toBe(false);
  expect(sameBelt(belt, { ...belt, shape: 'square' })).toBe(false);
});
