import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { LOADERS, type Loader } from '../../base/loaders';
import {
  believe,
  causeChances,
  expectedBits,
  KNOWLEDGE,
  machineOf,
  NO_BLUR,
  rankCauses,
  suggest,
  type Case,
  type Machine,
  type Observation,
} from '.';

const MACHINES = new Map(LOADERS.map((loader) => [loader, machineOf(KNOWLEDGE, loader)]));
const anyLoader = fc.constantFrom(...LOADERS);
const machineFor = (loader: Loader): Machine => MACHINES.get(loader) as Machine;
const observation = ({ tests }: Machine): fc.Arbitrary<Observation> =>
  fc
    .constantFrom(...tests)
    .chain(({ id, outcomes }) =>
      fc.constantFrom(...outcomes).map(({ id: outcome }) => ({ testId: id, outcome, cured: 0 })),
    );
const told = (most: number) =>
  anyLoader.chain((loader) =>
    fc
      .uniqueArray(observation(machineFor(loader)), { maxLength: most, selector: ({ testId }) => testId })
      .map((observations) => ({ loader, observations })),
  );
const given = (of: Machine, observations: readonly Observation[]): Case => ({
  loader: of.loader,
  observations,
  cured: [],
  ruledOut: [],
  opened: 'lidOn',
  stillFails: false,
});
const sum = (list: Iterable<number>): number => [...list].reduce((all, one) => all + one, 0);

describe('what is believed', () => {
  test('adds up to 1, and no chance is less than none', () => {
    fc.assert(
      fc.property(told(5), ({ loader, observations }) => {
        const of = machineFor(loader);
        const belief = believe(of, given(of, observations));
        expect(sum(belief)).toBeCloseTo(1, 9);
        expect(Math.min(...belief)).toBeGreaterThanOrEqual(0);
        for (const chance of causeChances(of, belief)) expect(chance).toBeLessThanOrEqual(1 + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
  test('is the same in whatever order things were seen', () => {
    fc.assert(
      fc.property(told(4), fc.nat(), ({ loader, observations }, turn) => {
        const of = machineFor(loader);
        const at = observations.length === 0 ? 0 : turn % observations.length;
        const other = [...observations.slice(at), ...observations.slice(0, at)];
        const [one, two] = [believe(of, given(of, observations)), believe(of, given(of, other))];
        one.forEach((chance, h) => expect(two[h]).toBeCloseTo(chance, 9));
      }),
      { numRuns: 40 },
    );
  });
  test('that is ruled out has no chance left', () => {
    fc.assert(
      fc.property(anyLoader, fc.nat(), (loader, n) => {
        const of = machineFor(loader);
        const cause = of.causes[n % of.causes.length];
        if (!cause) return;
        const belief = believe(of, { ...given(of, []), ruledOut: [cause.id] });
        const ranked = rankCauses(of, belief).find(({ causeId }) => causeId === cause.id);
        expect(ranked?.chance ?? 0).toBeLessThan(1e-9);
      }),
      { numRuns: 40 },
    );
  });
  test('after an outcome, weighed by how likely each was, is what was believed before', () => {
    // The law of total probability: no test changes a belief on average.
    fc.assert(
      fc.property(anyLoader, fc.nat(), (loader, n) => {
        const of = machineFor(loader);
        const at = n % of.tests.length;
        const test = of.tests[at];
        if (!test) return;
        const before = believe(of, given(of, []), NO_BLUR);
        const mean = new Float64Array(before.length);
        test.outcomes.forEach(({ id }, o) => {
          const row = of.chances[at]?.[o];
          const chance = sum(before.map((prior, h) => prior * (row?.[h] ?? 0)));
          if (chance === 0) return;
          const after = believe(of, given(of, [{ testId: test.id, outcome: id, cured: 0 }]), NO_BLUR);
          after.forEach((one, h) => (mean[h] = (mean[h] ?? 0) + chance * one));
        });
        before.forEach((prior, h) => expect(mean[h]).toBeCloseTo(prior, 6));
      }),
      { numRuns: 40 },
    );
  });
});

describe('what is asked next', () => {
  test('tells something, was not asked before, and is told in the order of what it gives', () => {
    fc.assert(
      fc.property(told(3), ({ loader, observations }) => {
        const of = machineFor(loader);
        const case_ = given(of, observations);
        const next = suggest(of, believe(of, case_), case_);
        const asked = new Set(observations.map(({ testId }) => testId));
        for (const one of next) {
          expect(asked.has(one.testId)).toBe(false);
          expect(one.bits).toBeGreaterThanOrEqual(0);
        }
      }),
      { numRuns: 25 },
    );
  });
  test('no test tells more than there is to know', () => {
    fc.assert(
      fc.property(anyLoader, fc.nat(), (loader, n) => {
        const of = machineFor(loader);
        const belief = believe(of, given(of, []));
        const entropy = -sum([...belief].map((p) => (p > 0 ? p * Math.log2(p) : 0)));
        const all = expectedBits(of, belief);
        const bits = all[n % all.length] ?? 0;
        expect(bits).toBeGreaterThanOrEqual(-1e-9);
        expect(bits).toBeLessThanOrEqual(entropy + 1e-9);
      }),
      { numRuns: 60 },
    );
  });
});
