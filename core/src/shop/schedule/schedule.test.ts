import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { byDispatch, firstCome, planDay, placeInOrder, type Day, type Job, type Step } from '.';

const step = (id: string, minutes: number, of: Partial<Step> = {}): Step => ({
  id,
  minutes,
  mayCut: false,
  waitAfter: 0,
  waitsAt: 'shelf',
  notBefore: 0,
  pinnedAt: null,
  ...of,
});
const job = (id: string, steps: readonly Step[], dueAt: number | null = null, weight = 1): Job => ({
  id,
  steps,
  dueAt,
  weight,
});
const day = (jobs: readonly Job[], of: Partial<Day> = {}): Day => ({
  jobs,
  shifts: [{ from: 0, to: 10_000 }],
  benches: 9,
  dryingPlaces: 9,
  ...of,
});
/** One machine, jobs of one step: processing time, due date, weight. */
const single = (rows: ReadonlyArray<readonly [number, number, number]>): Day =>
  day(rows.map(([minutes, due, weight], n) => job(`j${n}`, [step(`s${n}`, minutes)], due, weight)));

const arbDay: fc.Arbitrary<Day> = fc
  .record({
    jobs: fc.array(
      fc.record({
        steps: fc.array(
          fc.record({
            minutes: fc.integer({ min: 1, max: 90 }),
            mayCut: fc.boolean(),
            waitAfter: fc.constantFrom(0, 0, 15, 60, 600),
            waitsAt: fc.constantFrom<Step['waitsAt']>('shelf', 'bench', 'drying'),
            notBefore: fc.constantFrom(0, 0, 120),
            pinnedAt: fc.constantFrom(null, null, null, 30, 200),
          }),
          { minLength: 1, maxLength: 4 },
        ),
        dueAt: fc.option(fc.integer({ min: -100, max: 900 })),
        weight: fc.integer({ min: 1, max: 5 }),
      }),
      { maxLength: 7 },
    ),
    benches: fc.integer({ min: 1, max: 3 }),
    dryingPlaces: fc.integer({ min: 1, max: 2 }),
  })
  .map(({ jobs, ...rest }) => ({
    ...rest,
    shifts: [
      { from: 0, to: 240 },
      { from: 300, to: 540 },
      { from: 1440, to: 1980 },
    ],
    jobs: jobs.map((one, n) => ({
      ...one,
      id: `j${n}`,
      steps: one.steps.map((of, k) => ({ ...of, id: `j${n}s${k}` })),
    })),
  }));

describe('a plan', () => {
  test('keeps every rule of the day, whatever the day', () => {
    fc.assert(
      fc.property(arbDay, (of) => {
        const plan = planDay(of, { tries: 60 });
        const steps = new Map(of.jobs.flatMap((one) => one.steps.map((s) => [s.id, s] as const)));
        const parts = plan.planned.flatMap((one) => one.parts).sort((a, b) => a.from - b.from);
        // One pair of hands, within opening hours.
        parts.forEach((part, n) => {
          const next = parts[n + 1];
          if (next) expect(part.to).toBeLessThanOrEqual(next.from);
          expect(of.shifts.some(({ from, to }) => part.from >= from && part.to <= to)).toBe(true);
        });
        for (const one of plan.planned) {
          const given = steps.get(one.stepId) as Step;
          expect(one.parts.reduce((sum, { from, to }) => sum + to - from, 0)).toBe(given.minutes);
          if (!given.mayCut) expect(one.parts).toHaveLength(1);
          if (given.pinnedAt === null) expect(one.parts[0]?.from).toBeGreaterThanOrEqual(given.notBefore);
          expect(one.waitUntil).toBe((one.parts.at(-1)?.to ?? 0) + given.waitAfter);
        }
        // Each step after the wait of the one before, unless it was set by hand.
        for (const { steps: order } of of.jobs)
          order.forEach((given, n) => {
            const before = plan.planned.find(({ stepId }) => stepId === order[n - 1]?.id);
            const here = plan.planned.find(({ stepId }) => stepId === given.id);
            if (before && here && given.pinnedAt === null && order[n - 1]?.pinnedAt === null)
              expect(here.parts[0]?.from).toBeGreaterThanOrEqual(before.waitUntil);
          });
        // Drying places.
        const drying = plan.planned.flatMap((one) => {
          const given = steps.get(one.stepId) as Step;
          return given.waitsAt === 'drying' && given.waitAfter > 0
            ? [{ from: one.waitUntil - given.waitAfter, to: one.waitUntil }]
            : [];
        });
        for (const { from } of drying)
          expect(drying.filter((one) => one.from <= from && one.to > from).length).toBeLessThanOrEqual(of.dryingPlaces);
        // Nothing is forgotten: planned, or named as left.
        expect(new Set([...plan.planned.map(({ stepId }) => stepId), ...plan.left]).size).toBe(steps.size);
        expect(plan.planned.length + plan.left.length).toBe(steps.size);
        expect(plan.cost).toBeLessThanOrEqual(firstCome(of).cost + 1e-9);
      }),
      { numRuns: 150 },
    );
  });

  test('the same day gives the same plan', () => {
    fc.assert(
      fc.property(arbDay, (of) => {
        expect(planDay(of, { tries: 80 })).toEqual(planDay(of, { tries: 80 }));
      }),
      { numRuns: 20 },
    );
  });

  test('works in the waits: two machines that dry overlap', () => {
    const plan = planDay(
      day([
        job('a', [step('a1', 10, { waitAfter: 60 }), step('a2', 10)], 100),
        job('b', [step('b1', 10, { waitAfter: 60 }), step('b2', 10)], 100),
      ]),
    );
    expect(plan.cost).toBe(0);
    expect(Math.max(...plan.doneAt.values())).toBe(90);
  });

  test('a step is laid over closing time only where it may be cut', () => {
    const shifts = [
      { from: 0, to: 60 },
      { from: 100, to: 200 },
    ];
    const starts = (mayCut: boolean) =>
      planDay(day([job('a', [step('a1', 80, { mayCut })])], { shifts })).planned[0]?.parts;
    expect(starts(false)).toEqual([{ from: 100, to: 180 }]);
    expect(starts(true)).toEqual([
      { from: 0, to: 60 },
      { from: 100, to: 120 },
    ]);
  });

  test('one that fits in no shift is named, and the rest is planned', () => {
    const plan = planDay(
      day([job('a', [step('a1', 500)]), job('b', [step('b1', 30)])], { shifts: [{ from: 0, to: 100 }] }),
    );
    expect(plan.left).toEqual(['a1']);
    expect(plan.planned.map(({ stepId }) => stepId)).toEqual(['b1']);
  });

  test('one drying place: the second waits for it', () => {
    const wet = (id: string) => job(id, [step(id, 10, { waitAfter: 50, waitsAt: 'drying' })]);
    const plan = planDay(day([wet('a'), wet('b')], { dryingPlaces: 1 }));
    expect([...plan.doneAt.values()].sort((a, b) => a - b)).toEqual([60, 110]);
  });

  test('what is set by hand stays where it was set', () => {
    const plan = planDay(day([job('a', [step('a1', 30, { pinnedAt: 200 })], 10, 9), job('b', [step('b1', 300)], 320)]));
    expect(plan.planned.find(({ stepId }) => stepId === 'a1')?.parts[0]?.from).toBe(200);
    expect(plan.planned.find(({ stepId }) => stepId === 'b1')?.parts[0]?.from).toBe(230);
  });
});

describe('against known optima', () => {
  /** Every order there is, for small days of one step each. */
  const bruteForce = (of: Day): number => {
    const all = of.jobs.map((_, n) => n);
    const walk = (done: readonly number[]): number =>
      done.length === all.length
        ? placeInOrder(of, done).cost
        : Math.min(...all.filter((n) => !done.includes(n)).map((n) => walk([...done, n])));
    return walk([]);
  };
  // Without due dates but weights, Smith's rule is the optimum: weight over time, falling (Smith 1956).
  test('weighted completion: the order is that of Smith’s rule', () => {
    const rows = [
      [12, 0, 4],
      [7, 0, 6],
      [20, 0, 3],
      [5, 0, 1],
      [9, 0, 5],
    ] as const;
    const smith = rows.map((_, n) => n).sort((a, b) => rows[b]![2] / rows[b]![0] - rows[a]![2] / rows[a]![0]);
    const of = single(rows);
    expect(planDay(of).cost).toBe(placeInOrder(of, smith).cost);
    expect(planDay(of).cost).toBe(bruteForce(of));
  });
  // Worked example of total weighted tardiness on one machine, of the kind in Pinedo, Scheduling, ch. 3 (from memory):
  // processing 12, 8, 15, 9; due 16, 26, 25, 27; weights 4, 5, 3, 5. Its optimum is 67, by the order 1, 2, 4, 3.
  test('four jobs of a textbook: 67', () => {
    const of = single([
      [12, 16, 4],
      [8, 26, 5],
      [15, 25, 3],
      [9, 27, 5],
    ]);
    expect(bruteForce(of)).toBe(67);
    expect(planDay(of).cost).toBe(67);
    expect(byDispatch(of).cost).toBeGreaterThanOrEqual(67);
  });
  test('seven random jobs: the search finds what trying every order finds', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 150 }), fc.integer({ min: 1, max: 9 })),
          {
            minLength: 2,
            maxLength: 6,
          },
        ),
        (rows) => {
          expect(planDay(single(rows)).cost).toBe(bruteForce(single(rows)));
        },
      ),
      { numRuns: 25 },
    );
  });
});
