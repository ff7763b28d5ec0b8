import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { findMethod, METHODS, takeInHand, takeReading, type Method, type Taken } from '.';

const method = (id: string): Method => {
  const found = findMethod(id);
  if (!found) throw new Error(id);
  return found;
};
const belt = { innerLengthMm: 116, thicknessMm: 1.2 };
const way = { method: 'overCap', label: 'over a cap', shouldReadMm: 36.9, asTheOld: true };

/** Every page that takes a measured belt, by what it asks core. */
const PAGES: Readonly<Record<string, (text: string, id: string) => Taken>> = {
  Measure: (text, id) => takeReading(text, method(id), { unit: 'mm', aux: { sectionMm: 1.2 } }),
  'in the hand': (text, id) => takeInHand({ ...way, method: id }, text, belt, [], 'mm', false),
};

describe('one way in for a reading', () => {
  test.each([
    ['116', 'overCap', 'a length over a cap: 364 mm round'],
    ['999', 'doubledOuter', 'a belt of two metres'],
    ['0', 'doubledOuter', 'nothing measures 0'],
    ['-6', 'overCap', 'negative'],
    ['6.4', 'doubledOuter', 'a belt of 8 mm'],
    ['five', 'doubledOuter', 'no number'],
  ])('“%s” %s (%s) is taken by no page', (text, id) => {
    for (const [page, take] of Object.entries(PAGES)) expect(take(text, id).state, page).not.toBe('reading');
  });
  test.each([
    ['60.4', 'doubledOuter'],
    ['36.9', 'overCap'],
  ])('“%s” %s is taken by every page, as the same length', (text, id) => {
    const lengths = Object.values(PAGES).map((take) => {
      const taken = take(text, id);
      return taken.state === 'reading' ? taken.read?.value : undefined;
    });
    expect(lengths[0]).toBeCloseTo(116, 0);
    expect(new Set(lengths).size).toBe(1);
  });
  test('what waits for its tool is a reading that says what it waits for', () => {
    const taken = takeReading('66.4', method('doubledOuter'), { unit: 'mm' });
    expect(taken).toMatchObject({ state: 'reading', read: undefined });
    expect(taken.state === 'reading' && taken.waits).toContain('section');
  });
  test('a doubt is answered by keeping it, a refusal is not', () => {
    const path = { value: 127, std: 0.5 };
    const ask = (keep: boolean): Taken =>
      takeReading('30', method('doubledOuter'), { unit: 'mm', aux: { sectionMm: 1.2 }, path, keep });
    expect(ask(false).state).toBe('doubt');
    expect(ask(true).state).toBe('reading');
    expect(takeReading('-6', method('overCap'), { unit: 'mm', keep: true }).state).toBe('refusal');
  });
  test('law: whatever is typed, by whatever way, is one of the three and never throws', () => {
    fc.assert(
      fc.property(fc.constantFrom(...METHODS), fc.oneof(fc.string(), fc.double().map(String)), (one, text) => {
        const taken = takeReading(text, one, { unit: 'mm' });
        expect(['reading', 'refusal', 'doubt']).toContain(taken.state);
        if (taken.state !== 'reading') expect(taken.problem.length).toBeGreaterThan(5);
        else expect(taken.amount).toBeGreaterThanOrEqual(one.min);
      }),
    );
  });
});
