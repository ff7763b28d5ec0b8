import { expect, test } from 'vitest';
import { effectiveCount, temper, weightsOf } from './temper';

/*
 * A closed case: a standard normal quantity read once with a normal error. Conjugate: the mean is reading/(1 + s²), the
 * variance s²/(1 + s²). Source: A. Gelman et al., Bayesian Data Analysis, 2.5 (normal data, known variance).
 */
const moments = (values: Float64Array, weights: Float64Array) => {
  const mean = values.reduce((sum, one, i) => sum + one * (weights[i] as number), 0);
  return [mean, values.reduce((sum, one, i) => sum + (one - mean) ** 2 * (weights[i] as number), 0)] as const;
};

test.each([
  // Mild, sharp, and far out where none of the particles drawn beforehand lies.
  [1, 0.8],
  [1, 0.05],
  [6, 0.2],
])('a reading of %d read to ±%d: mean, variance and effective count of the closed case', (reading, std) => {
  const { value, weights, effective } = temper(
    4000,
    3,
    7,
    ([z = new Float64Array()]) => ({
      value: z,
      logLikelihood: z.map((one) => -0.5 * ((one - reading) / std) ** 2),
    }),
    1500,
  );
  const [mean, variance] = moments(value, weights);
  const spread = (std * std) / (1 + std * std);
  expect(mean).toBeCloseTo(reading / (1 + std * std), 1);
  expect(Math.abs(mean - reading / (1 + std * std))).toBeLessThan(5 * Math.sqrt(spread / effective));
  expect(variance / spread).toBeGreaterThan(0.85);
  expect(variance / spread).toBeLessThan(1.18);
  expect(effective).toBeGreaterThanOrEqual(1500);
});

test('effective count: equal weights count all, one weight counts one (Kish: 1/Σw²)', () => {
  expect(effectiveCount(new Float64Array(50).fill(1 / 50))).toBeCloseTo(50, 9);
  expect(effectiveCount(Float64Array.of(1, 0, 0))).toBe(1);
  expect(weightsOf(Float64Array.of(0, Math.log(3)))[1]).toBeCloseTo(0.75, 12);
});

test('the same seed gives the same particles', () => {
  const run = () =>
    temper(
      300,
      2,
      3,
      ([z = new Float64Array()]) => ({ value: z, logLikelihood: z.map((one) => -8 * (one - 2) ** 2) }),
      200,
    );
  expect(run()).toEqual(run());
});
