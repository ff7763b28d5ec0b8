import { FAILURE_BITS, FAILURES, type Failure } from '../../physics/evaluation';

/** How likely one belt is to work, and by what it would fail. */
export interface SuccessProbability {
  /** Share of the samples, by their weights, in which it works. */
  readonly works: number;
  /** Standard error of that share from the number of draws. */
  readonly drawStd: number;
  /** Share of the samples in which each thing goes wrong; several may in one. */
  readonly fails: Readonly<Record<Failure, number>>;
  /** What goes wrong most often. */
  readonly first: Failure;
}
/** Samples all alike in weight. */
export const evenly = (count: number): Float64Array => new Float64Array(count).fill(1 / count);

/**
 * The chance of each belt from its outcomes.
 *
 * @param outcomes rows of one byte a world, as `playOutcomes` gives them
 * @param weights of the samples, adding up to 1
 */
export function probabilitiesOf(outcomes: Uint8Array, weights: Float64Array): SuccessProbability[] {
  const count = weights.length;
  const square = weights.reduce((sum, weight) => sum + weight * weight, 0);
  return Array.from({ length: outcomes.length / count }, (_, belt) => {
    const sums = new Float64Array(64);
    for (let i = 0; i < count; i++) {
      const outcome = outcomes[belt * count + i] as number;
      sums[outcome] = (sums[outcome] as number) + (weights[i] as number);
    }
    const works = Math.min(1, sums[0] as number);
    const fails = Object.fromEntries(
      FAILURES.map((name) => [
        name,
        Math.min(
          1,
          sums.reduce((sum, share, outcome) => (outcome & FAILURE_BITS[name] ? sum + share : sum), 0),
        ),
      ]),
    ) as Record<Failure, number>;
    const first = FAILURES.reduce((most, name) => (fails[name] > fails[most] ? name : most));
    return { works, drawStd: Math.sqrt(works * (1 - works) * square), fails, first };
  });
}
