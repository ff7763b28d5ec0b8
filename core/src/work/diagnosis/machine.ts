import { combine } from './likelihood';
import type { Loader } from '../../base/loaders';
import type { BenchTest, Cause, Knowledge } from './schema';

/** A set of causes that may be present together: none, one, or two. */
export type Hypothesis = readonly number[];

/** What the adviser knows of one kind of loader, laid out for computing. Made once, used for every question. */
export interface Machine {
  readonly loader: Loader;
  readonly causes: readonly Cause[];
  /** Shares by cause, adding up to 1. */
  readonly shares: readonly number[];
  readonly tests: readonly BenchTest[];
  readonly pairShare: number;
  /** None, then each cause, then each pair; by places in `causes`. */
  readonly hypotheses: readonly Hypothesis[];
  /** By test and outcome, the chance under each hypothesis. */
  readonly chances: ReadonlyArray<ReadonlyArray<Float64Array>>;
  /** How often each outcome of a test is seen at all on such machines, by test and outcome. */
  readonly usual: ReadonlyArray<readonly number[]>;
  /** Their logarithms to base 2. */
  readonly logs: ReadonlyArray<ReadonlyArray<Float64Array>>;
}

/**
 * Lays the knowledge out for one kind of loader. Cost: hypotheses × outcomes, some 100,000 small steps.
 *
 * @example machineOf(KNOWLEDGE, 'slot').hypotheses.length // 436
 */
export function machineOf(knowledge: Knowledge, loader: Loader): Machine {
  const causes = knowledge.causes.filter(({ priors }) => priors[loader] > 0);
  const total = causes.reduce((sum, { priors }) => sum + priors[loader], 0);
  const tests = knowledge.tests.filter(({ loaders }) => loaders.includes(loader));
  const hypotheses: Hypothesis[] = [
    [],
    ...causes.map((_, index) => [index]),
    ...causes.flatMap((_, a) => causes.slice(a + 1).map((__, b) => [a, a + 1 + b])),
  ];
  const chances = tests.map((test) => {
    const byOutcome = test.outcomes.map(() => new Float64Array(hypotheses.length));
    const sound = test.sound.map((percent) => percent / 100);
    const rows = causes.map(({ id }) => test.given[id]?.map((percent) => percent / 100));
    const plain = combine(sound, []);
    hypotheses.forEach((hypothesis, h) => {
      const known = hypothesis.some((index) => rows[index] !== undefined);
      const list = known
        ? combine(
            sound,
            hypothesis.flatMap((index) => {
              const row = rows[index];
              return row ? [row] : [];
            }),
          )
        : plain;
      for (let outcome = 0; outcome < list.length; outcome++) {
        const row = byOutcome[outcome];
        if (row) row[h] = list[outcome] ?? 0;
      }
    });
    return byOutcome;
  });
  const shares = causes.map(({ priors }) => priors[loader] / total);
  const { pairShare } = knowledge;
  const prior = hypotheses.map(([a, b]) =>
    a === undefined
      ? 0
      : b === undefined
        ? (shares[a] ?? 0) * (1 - pairShare)
        : (shares[a] ?? 0) * (shares[b] ?? 0) * 2 * pairShare,
  );
  const all = prior.reduce((sum, one) => sum + one, 0);
  return {
    loader,
    causes,
    usual: chances.map((byOutcome) =>
      byOutcome.map((row) => row.reduce((sum, chance, h) => sum + chance * (prior[h] ?? 0), 0) / all),
    ),
    shares: causes.map(({ priors }) => priors[loader] / total),
    tests,
    pairShare: knowledge.pairShare,
    hypotheses,
    chances,
    logs: chances.map((byOutcome) => byOutcome.map((row) => row.map(Math.log2))),
  };
}
