import { bellCurve, seeded } from '../../base/statistics';
import { lazily } from '../../base/units';

/** What hangs on each particle's coordinates, and how well it explains what is known: the logarithm of a likelihood. */
export interface Explained<T> {
  readonly value: T;
  readonly logLikelihood: Float64Array;
}

/** Particles that stand for what is believed once everything known is counted in; weights add up to 1. */
export interface Believed<T> {
  readonly value: T;
  readonly weights: Float64Array;
  /** How many particles of equal weight say as much: 1/Σw² (Kish 1965). */
  readonly effective: number;
  /** How many rounds of resampling it took. */
  readonly rounds: number;
}

/** So many standard normal numbers are made once, and read off from changing places: making them takes far longer. */
const TABLE = 1 << 17;
const normals = lazily(() => Float64Array.from({ length: TABLE }, bellCurve(seeded(1))));

/** Rounds after which the rest of the likelihood is counted at once, whatever is left. */
const ROUNDS_MAX = 24;
/** After each round the particles are moved until so many of them have moved at all, or so often. */
const MOVED = 0.85;
const MOVES_MAX = 3;
/** Share of the particles that must still speak after one step of tempering. */
const KEPT = 0.5;
/** The steps are walked by this share of the particles, and by so many at the least; at the end each stands for several. */
const WALK_SHARE = 0.3;
const WALK_MIN = 600;
/** Moves of all of them then, so that those of one origin part. */
const LAST_MOVES = 1;

/** 1/Σw² of weights adding up to 1. @example effectiveCount(Float64Array.of(0.5, 0.5)) // 2 */
export const effectiveCount = (weights: Float64Array): number =>
  1 / weights.reduce((sum, weight) => sum + weight * weight, 0);

/** Weights adding up to 1 from logarithms, each taken to a power. */
export function weightsOf(logs: Float64Array, power = 1): Float64Array {
  const count = logs.length;
  const weights = new Float64Array(count);
  let most = -Infinity;
  for (let i = 0; i < count; i++) most = Math.max(most, logs[i] as number);
  let sum = 0;
  for (let i = 0; i < count; i++) {
    const weight = Math.exp(power * ((logs[i] as number) - most));
    weights[i] = weight;
    sum += weight;
  }
  for (let i = 0; i < count; i++) weights[i] = (weights[i] as number) / sum;
  return weights;
}

/** Which particle each of so many new ones is taken from: evenly along the weights (Kitagawa 1996). */
function systematically(weights: Float64Array, start: number, count: number): Uint32Array {
  const taken = new Uint32Array(count);
  let sum = weights[0] as number;
  let from = 0;
  for (let i = 0; i < count; i++) {
    const at = (i + start) / count;
    while (sum < at && from < weights.length - 1) sum += weights[++from] as number;
    taken[i] = from;
  }
  return taken;
}

/**
 * Sequential Monte Carlo: particles are drawn from what is believed of any drive and made to explain what is known of
 * this one. Where too few of them do, the likelihood is brought in by steps (tempered), after each of which the
 * particles are resampled and moved.
 *
 * Sources: P. Del Moral, A. Doucet, A. Jasra, “Sequential Monte Carlo samplers”, 2006; the moves are preconditioned
 * Crank–Nicolson (S. Cotter et al., “MCMC methods for functions”, 2013), which leave standard normal coordinates standard
 * normal. Held to a closed conjugate case in the test.
 *
 * Cost: one call of `explain` where the particles speak well enough, else up to three a round, of fewer particles.
 *
 * @param dimensions coordinates of a particle, each standard normal beforehand
 * @param healthy how many effective particles an answer must rest on
 * @param explain what hangs on the coordinates: one list for each dimension, one number a particle; at the end only that is
 *   asked for, and not how well it explains what is known
 * @example temper(4000, 1, 7, ([z]) => ({ value: z, logLikelihood: z.map((x) => -0.5 * (x - 2) ** 2) }), 500).weights.length // 4000
 */
export function temper<T>(
  count: number,
  dimensions: number,
  seed: number,
  explain: (coordinates: readonly Float64Array[], valueOnly?: boolean) => Explained<T>,
  healthy: number,
): Believed<T> {
  const random = seeded(seed);
  const bells = normals();
  const from = (): number => Math.floor(random() * TABLE);
  /** So many numbers, from some place of the table. */
  const draw = (many: number): Float64Array => {
    const start = from();
    const list = new Float64Array(many);
    for (let i = 0; i < many; i++) list[i] = bells[(start + i) % TABLE] as number;
    return list;
  };
  let z: Float64Array[] = Array.from({ length: dimensions }, () => draw(count));
  const first = explain(z);
  let logs = first.logLikelihood;
  let power = 0;
  let step = 0.5;
  const weights = weightsOf(logs);
  const effective = effectiveCount(weights);
  if (effective >= Math.min(healthy, count)) return { value: first.value, weights, effective, rounds: 0 };

  /** So many particles taken by their weights. */
  const resample = (by: Float64Array, many: number): void => {
    const taken = systematically(by, random(), many);
    z = z.map((list) => Float64Array.from(taken, (one) => list[one] as number));
    logs = Float64Array.from(taken, (one) => logs[one] as number);
  };
  /** One move of every particle; those it leads nowhere better stay. @returns the places of those that moved */
  const moveAll = (): readonly number[] => {
    const many = logs.length;
    const keep = Math.sqrt(1 - step * step);
    const tried = z.map((list) => {
      const to = draw(many);
      for (let i = 0; i < many; i++) to[i] = keep * (list[i] as number) + step * (to[i] as number);
      return to;
    });
    const then = explain(tried).logLikelihood;
    const taken: number[] = [];
    for (let i = 0; i < many; i++) {
      if (Math.log(random()) >= power * ((then[i] as number) - (logs[i] as number))) continue;
      taken.push(i);
      logs[i] = then[i] as number;
    }
    z.forEach((list, dimension) => {
      const to = tried[dimension] as Float64Array;
      for (const i of taken) list[i] = to[i] as number;
    });
    if (taken.length < 0.2 * many) step *= 0.6;
    else if (taken.length > 0.45 * many) step = Math.min(0.95, step * 1.3);
    return taken;
  };

  const walking = Math.min(count, Math.max(WALK_MIN, Math.round(WALK_SHARE * count)));
  const speak = (healthy / count) * walking;
  let rounds = 0;
  while (power < 1 && rounds < ROUNDS_MAX) {
    if (rounds > 0 && effectiveCount(weightsOf(logs, 1 - power)) >= speak) break;
    const more = stepThatKeeps(logs, 1 - power, KEPT * logs.length);
    power = Math.min(1, power + more);
    resample(weightsOf(logs, more), walking);
    const moved = new Uint8Array(walking);
    let still = walking;
    for (let move = 0; move < MOVES_MAX && still > (1 - MOVED) * walking; move++) {
      for (const i of moveAll()) {
        if (moved[i] === 0) still -= 1;
        moved[i] = 1;
      }
    }
    rounds += 1;
  }
  // Each that walked stands for several; what is left of the likelihood is counted by weight.
  resample(
    Float64Array.from(logs, () => 1 / logs.length),
    count,
  );
  for (let move = 0; move < LAST_MOVES; move++) moveAll();
  const last = weightsOf(logs, 1 - power);
  return { value: explain(z, true).value, weights: last, effective: effectiveCount(last), rounds };
}

/** The largest power, up to the whole rest, that leaves so many effective particles. */
function stepThatKeeps(logs: Float64Array, rest: number, effective: number): number {
  const keeps = (power: number): boolean => effectiveCount(weightsOf(logs, power)) >= effective;
  if (keeps(rest)) return rest;
  let [low, high] = [0, rest];
  for (let turn = 0; turn < 14; turn++) {
    const middle = (low + high) / 2;
    if (keeps(middle)) low = middle;
    else high = middle;
  }
  // A step of nothing at all would never end.
  return Math.max(low, rest * 1e-3);
}
