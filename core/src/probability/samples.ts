import { motorTorqueNmm } from '../drive';
import type { DriveValues } from '../evaluation';
import { youngModulusMpa } from '../rubber';
import { bestOf, GROOVE_LOG_RATIO, idlerSurface, pullPrior, relativeOf, type Situation, type Spread } from '../sizing';
import { bellCurve, seeded, type Combined } from '../statistics';

/**
 * Drives that could be the one on the bench, drawn once and shared by every belt that is judged: a belt that works in
 * 900 of 1,000 of them has a chance of 90 in 100. One number a sample in each list; lengths mm, forces N, torques N·mm.
 */
export interface Samples {
  readonly count: number;
  /** Inner path. */
  readonly pathMm: Float64Array;
  /** At the bottom of the groove. */
  readonly motorRadiusMm: Float64Array;
  readonly drivenRadiusMm: Float64Array;
  readonly motorFriction: Float64Array;
  readonly drivenFriction: Float64Array;
  /** A list for each idler, in their order. */
  readonly idlerFrictions: readonly Float64Array[];
  readonly modulusMpa: Float64Array;
  readonly relaxedShare: Float64Array;
  readonly strainMax: Float64Array;
  /** Bush friction times shaft radius. */
  readonly bushMm: Float64Array;
  readonly needNmm: Float64Array;
  readonly stallNmm: Float64Array;
  /** Strand pull of the belt that the motor was read through; 0 where it was not. */
  readonly heldThroughN: Float64Array;
  /** Largest ratio, in logarithm, by which a section may differ from the old one's and still lie in its groove. */
  readonly grooveLogRatio: Float64Array;
  /** How far a belt's own length lies within its maker's limits, −1 to 1. */
  readonly lengthWithin: Float64Array;
  /** What was drawn of the quantities that a bench could still measure; NaN for a spindle, which has neither. */
  readonly trayPullN: Float64Array;
  readonly travelPerTurnMm: Float64Array;
}

const MIN_FRICTION = 0.05;
const STIFFNESS_TRIES = 6;
/** Draws of a motor that must have at least what was read, before it is taken to have just that. */
const STALL_TRIES = 12;

const emptySamples = (count: number, idlers: number) => {
  const list = () => new Float64Array(count);
  return {
    pathMm: list(),
    motorRadiusMm: list(),
    drivenRadiusMm: list(),
    motorFriction: list(),
    drivenFriction: list(),
    idlerFrictions: Array.from({ length: idlers }, list),
    modulusMpa: list(),
    relaxedShare: list(),
    strainMax: list(),
    bushMm: list(),
    needNmm: list(),
    stallNmm: list(),
    heldThroughN: list(),
    grooveLogRatio: list(),
    lengthWithin: list(),
    trayPullN: list(),
    travelPerTurnMm: list(),
  };
};

/**
 * Draws the samples of a situation. What was measured spreads by its own uncertainty; what was not, by the bench's
 * priors. Lengths are normal about their best, positive quantities log-normal, friction normal and never below 0.05.
 *
 * Cost: linear in the samples, about a microsecond each.
 *
 * @param count of samples
 * @param seed the same seed gives the same samples
 * @example drawSamples(situation, 4000, 1).pathMm.length // 4000
 */
export function drawSamples(situation: Situation, count: number, seed: number): Samples {
  const { priors, drive, path, driven, demands, stallPullN, stallPullAtLeastN = 0 } = situation;
  const { requirements } = demands;
  const random = seeded(seed);
  const z = bellCurve(random);
  const lognormal = (spread: Spread | Combined): number => bestOf(spread) * Math.exp(relativeOf(spread) * z());
  const samples = emptySamples(count, drive?.idlers?.length ?? 0);
  const pull = driven === 'spindle' ? undefined : pullPrior(driven, priors);
  /** How much stiffer than healthy the tray is: drawn a few times, and one taken by how usual the healthy pull would be. */
  const stiffness = (needN: number, usual: Spread): number => {
    let sum = 0;
    let taken = 1;
    for (let turn = 0; turn < STIFFNESS_TRIES; turn++) {
      const ratio = Math.exp(Math.abs(priors.stiffnessLogStd * z()));
      const off = Math.log(needN / ratio / usual.best) / relativeOf(usual);
      const weight = Math.exp(-0.5 * off * off) + 1e-12;
      sum += weight;
      // Of all so far each is taken by its weight (weighted reservoir of one).
      if (random() * sum <= weight) taken = ratio;
    }
    return taken;
  };
  /** What the standing motor gives at the tray, guides included. */
  const stallN = (needN: number, usual: Spread): number => {
    if (stallPullN) return needN + Math.max(0, stallPullN.value + stallPullN.std * z());
    const least = needN + stallPullAtLeastN;
    for (let turn = 0; turn < STALL_TRIES; turn++) {
      // The motor was made for a healthy tray; a stiff one does not make it stronger.
      const drawn = (lognormal(priors.stallFactor) * needN) / stiffness(needN, usual);
      if (stallPullAtLeastN === 0 || drawn >= least) return drawn;
    }
    return least;
  };
  const motorDiameter = situation.motorDiameter ?? priors.motorDiameterMm;
  const drivenDiameter = situation.drivenDiameter ?? priors.drivenDiameterMm;
  const friction = (surface: Situation['motorSurface']): number =>
    Math.max(MIN_FRICTION, priors.friction[surface].best + priors.friction[surface].std * z());
  for (let i = 0; i < count; i++) {
    const pathMm = path.value + path.std * z();
    let motorRadiusMm = lognormal(motorDiameter) / 2;
    let drivenRadiusMm = lognormal(drivenDiameter) / 2;
    if (!drive) {
      // Pulleys that such a path could not go round are drawn smaller, both alike.
      const fits = pathMm / ((2.04 + Math.PI) * (motorRadiusMm + drivenRadiusMm));
      if (fits < 1) {
        motorRadiusMm *= fits;
        drivenRadiusMm *= fits;
      }
    }
    const motorFriction = friction(situation.motorSurface);
    const drivenFriction = friction(situation.drivenSurface);
    samples.idlerFrictions.forEach((list, index) => {
      // An idler of which nothing else is said is as good as the driven pulley, in every sample.
      list[i] = situation.idlerSurfaces?.[index] ? friction(idlerSurface(situation, index)) : drivenFriction;
    });
    const hardness = Math.min(80, Math.max(20, priors.hardnessShoreA.best + priors.hardnessShoreA.std * z()));
    const modulus = youngModulusMpa(hardness);
    const gearing = {
      travelPerTurnMm: lognormal(situation.travelPerTurnMm ?? priors.travelPerTurnMm),
      efficiency: Math.min(0.95, lognormal(priors.efficiency)),
    };
    samples.pathMm[i] = pathMm;
    samples.motorRadiusMm[i] = motorRadiusMm;
    samples.drivenRadiusMm[i] = drivenRadiusMm;
    samples.motorFriction[i] = motorFriction;
    samples.drivenFriction[i] = drivenFriction;
    samples.modulusMpa[i] = (modulus.ok ? modulus.value : 0) * Math.exp(priors.modulusRelativeStd * z());
    samples.relaxedShare[i] = Math.min(1, priors.relaxedShare.best + priors.relaxedShare.std * z());
    samples.strainMax[i] =
      requirements.strainComfortable + (requirements.strainMax - requirements.strainComfortable) * random();
    samples.bushMm[i] = priors.bushFriction * priors.shaftRadiusMm;
    if (pull) {
      const needN = lognormal(situation.trayPullN ?? pull);
      samples.needNmm[i] = motorTorqueNmm(needN, gearing);
      samples.heldThroughN[i] = stallPullN ? Math.max(0, priors.heldThroughN.best + priors.heldThroughN.std * z()) : 0;
      samples.stallNmm[i] = motorTorqueNmm(stallN(needN, pull), gearing);
      samples.trayPullN[i] = needN;
      samples.travelPerTurnMm[i] = gearing.travelPerTurnMm;
    } else {
      samples.needNmm[i] = lognormal(priors.spindleTorqueNmm);
      samples.stallNmm[i] = lognormal(priors.stallFactor) * (samples.needNmm[i] as number);
      samples.trayPullN[i] = Number.NaN;
      samples.travelPerTurnMm[i] = Number.NaN;
    }
    // Never negative: a belt of just the old section lies in the groove, as the old one did.
    samples.grooveLogRatio[i] = Math.max(0, GROOVE_LOG_RATIO.best + GROOVE_LOG_RATIO.std * z());
    samples.lengthWithin[i] = 2 * random() - 1;
  }
  return { count, ...samples };
}

/** One sample, as the scalar evaluation takes it. */
export function valuesOf(samples: Samples, i: number): DriveValues {
  const at = (list: Float64Array): number => list[i] as number;
  return {
    pathMm: at(samples.pathMm),
    motorRadiusMm: at(samples.motorRadiusMm),
    drivenRadiusMm: at(samples.drivenRadiusMm),
    motorFriction: at(samples.motorFriction),
    drivenFriction: at(samples.drivenFriction),
    idlerFrictions: samples.idlerFrictions.map(at),
    modulusMpa: at(samples.modulusMpa),
    relaxedShare: at(samples.relaxedShare),
    strainMax: at(samples.strainMax),
    grooveLogRatio: at(samples.grooveLogRatio),
    bushMm: at(samples.bushMm),
    needNmm: at(samples.needNmm),
    stallNmm: at(samples.stallNmm),
    heldThroughN: at(samples.heldThroughN),
  };
}

/** Samples from drives that are known whole. */
export function samplesOf(values: readonly DriveValues[], lengthWithin: readonly number[]): Samples {
  const list = (of: (one: DriveValues) => number): Float64Array => Float64Array.from(values, of);
  const idlers = values[0]?.idlerFrictions.length ?? 0;
  const unknown = new Float64Array(values.length).fill(Number.NaN);
  return {
    count: values.length,
    pathMm: list((one) => one.pathMm),
    motorRadiusMm: list((one) => one.motorRadiusMm),
    drivenRadiusMm: list((one) => one.drivenRadiusMm),
    motorFriction: list((one) => one.motorFriction),
    drivenFriction: list((one) => one.drivenFriction),
    idlerFrictions: Array.from({ length: idlers }, (_, index) => list((one) => one.idlerFrictions[index] ?? 0)),
    modulusMpa: list((one) => one.modulusMpa),
    relaxedShare: list((one) => one.relaxedShare),
    strainMax: list((one) => one.strainMax),
    bushMm: list((one) => one.bushMm),
    needNmm: list((one) => one.needNmm),
    stallNmm: list((one) => one.stallNmm),
    heldThroughN: list((one) => one.heldThroughN),
    grooveLogRatio: list((one) => one.grooveLogRatio),
    lengthWithin: Float64Array.from(lengthWithin),
    trayPullN: unknown,
    travelPerTurnMm: unknown,
  };
}
