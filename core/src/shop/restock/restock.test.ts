import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { newItem } from '../drawer';
import type { TicketSummary } from '../../record/ticket';
import { cover, restockQuestion, type Offer } from '.';

/** Every set of offers there is. */
function bruteForce(
  expected: readonly number[],
  owned: readonly number[],
  offers: readonly Offer[],
  budget: number,
): number {
  let most = 0;
  for (let set = 0; set < 1 << offers.length; set += 1) {
    const taken = offers.filter((_, n) => set & (1 << n));
    if (taken.reduce((sum, { cost }) => sum + cost, 0) > budget + 1e-9) continue;
    const served = expected.reduce(
      (sum, one, job) => sum + one * Math.max(owned[job] ?? 0, ...taken.map(({ chances }) => chances[job] ?? 0)),
      0,
    );
    if (served > most) most = served;
  }
  return most;
}

describe('what to stock', () => {
  test('is what trying every set finds', () => {
    fc.assert(
      fc.property(
        fc.record({
          expected: fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 5 }),
          offers: fc.array(
            fc.tuple(
              fc.integer({ min: 1, max: 6 }),
              fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 5, maxLength: 5 }),
            ),
            { maxLength: 9 },
          ),
          budget: fc.integer({ min: 0, max: 20 }),
          owned: fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 5, maxLength: 5 }),
        }),
        ({ expected, offers: raw, budget, owned: rawOwned }) => {
          const offers = raw.map(([cost, chances], n) => ({
            id: `o${n}`,
            cost,
            chances: chances.slice(0, expected.length).map((one) => one / 10),
          }));
          const owned = rawOwned.slice(0, expected.length).map((one) => one / 10);
          const found = cover(
            expected.map((of, n) => ({ id: `j${n}`, expected: of })),
            owned,
            offers,
            budget,
          );
          expect(found.served).toBeCloseTo(bruteForce(expected, owned, offers, budget), 9);
          expect(found.cost).toBeLessThanOrEqual(budget);
          expect(found.proved).toBe(true);
        },
      ),
      { numRuns: 200 },
    );
  });
  test('more money never serves fewer; what one more would add is said', () => {
    const offers = [0.9, 0.8, 0.7].map((chance, n) => ({
      id: `o${n}`,
      cost: 2,
      chances: [0, 1, 2].map((job) => (job === n ? chance : 0)),
    }));
    const demands = [1, 1, 1].map((expected, n) => ({ id: `j${n}`, expected }));
    const served = [0, 2, 4, 6].map((budget) => cover(demands, [0, 0, 0], offers, budget));
    expect(served.map((one) => Math.round(10 * one.served) / 10)).toEqual([0, 0.9, 1.7, 2.4]);
    expect(served[1]?.oneMore).toEqual({ id: 'o1', cost: 2, adds: 0.8 });
    expect(served[3]?.oneMore).toBeNull();
  });
  test('what would change nothing is not bought, and not said to be worth one more', () => {
    const demands = [{ id: 'j', expected: 4 }];
    const offers = [
      { id: 'much', cost: 1, chances: [0.8] },
      { id: 'hardly', cost: 1, chances: [0.81] },
    ];
    const found = cover(demands, [0], offers, 5, () => false, 0.05);
    expect(found.bought).toHaveLength(1);
    expect(cover(demands, [0.8], offers, 5, () => false, 0.05)).toMatchObject({
      bought: [],
      served: 3.2,
      oneMore: null,
    });
    expect(cover(demands, [0.8], offers, 5).bought).toEqual(['hardly']);
  });
  test('can be stopped, and says that it is not proved', () => {
    const offers = Array.from({ length: 60 }, (_, n) => ({
      id: `o${n}`,
      cost: 1 + (n % 7),
      chances: Array.from({ length: 30 }, (_, job) => ((n * 31 + job * 17) % 100) / 100),
    }));
    const demands = Array.from({ length: 30 }, (_, n) => ({ id: `j${n}`, expected: 1 + (n % 3) }));
    let asked = 0;
    const found = cover(
      demands,
      demands.map(() => 0),
      offers,
      12,
      () => (asked += 1) > 1,
    );
    expect(found.served).toBeGreaterThan(0);
    expect(asked).toBeLessThanOrEqual(2);
  });
});

test('the log says what to stock for: what was right there, as often as it came', () => {
  const belt = (innerLengthMm: number) => ({
    shape: 'square' as const,
    thicknessMm: 1.2,
    widthMm: null,
    innerLengthMm,
  });
  const one = (openedAt: string, right: number, wrong: readonly number[] = []) =>
    ({
      openedAt,
      machine: 'Booth deck',
      mechanisms: ['T9 tray'],
      wants: [],
      judged: [
        ...wrong.map((mm) => ({ mechanism: 'T9 tray', belt: belt(mm), right: false })),
        { mechanism: 'T9 tray', belt: belt(right), right: true },
      ],
    }) as unknown as TicketSummary;
  const log = [
    one('2025-01-01T00:00:00Z', 116, [120]),
    one('2025-07-01T00:00:00Z', 116),
    one('2026-01-01T00:00:00Z', 116),
  ];
  const question = restockQuestion(log, [newItem('a', belt(120), 4)], Date.parse('2027-01-01T00:00:00Z'));
  expect(question.demands).toEqual([{ id: 'T9 tray', expected: expect.closeTo(1.5, 2) as number }]);
  // Owned: 120, once too loose there: a quarter. To buy: 116, three times right.
  expect(question.owned[0]).toBeCloseTo(0.25, 9);
  const best = question.offers.find(({ id }) => id === 'square 1.2 × 116.0');
  expect(best?.chances[0]).toBeCloseTo(3.5 / 4, 9);
  expect(cover(question.demands, question.owned, question.offers, 2).bought).toContain(best?.id);
  // A machine whose mechanism nobody has named yet stands for itself.
  const unnamed = log.map((of) => ({
    ...of,
    mechanisms: [],
    judged: of.judged.map((each) => ({ ...each, mechanism: '' })),
  }));
  expect(restockQuestion(unnamed, [], Date.parse('2027-01-01T00:00:00Z')).demands).toMatchObject([
    { id: 'Booth deck' },
  ]);
});
