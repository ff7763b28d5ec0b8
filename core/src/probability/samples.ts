import { bushShare, grooveFriction, innerPath, motorTorqueNmm, idlersGripShare } from '../drive';
import { youngModulusMpa } from '../rubber';
import { idlerSurface, type Situation, type Spread } from '../sizing';
import { seeded, type Combined, type Random } from '../statistics';

/**
 * Drives that could be the one on the bench, drawn once and shared by every belt that is judged: a belt that works in
 * 900 of 1,000 of them works with odds of 90 in 100. One number a draw in each list; lengths mm, forces N, torques N·mm.
 */
export interface Samples {
  readonly count: number;
  /** Inner path. */
  readonly pathMm: Float64Array;
  readonly motorRadiusMm: Float64Array;
  readonly drivenRadiusMm: Float64Array;
  /** Torque at the motor that the bushes take, for each newton of strand pull. */
  readonly dragMm: Float64Array;
  /** The share of 2T that the weaker pulley passes. */
  readonly grip: Float64Array;
  readonly modulusMpa: Float64Array;
  readonly relaxedShare: Float64Array;
  readonly stretchMost: Float64Array;
  readonly needTorqueNmm: Float64Array;
  readonly stallTorqueNmm: Float64Array;
  /** Largest ratio, in logarithm, by which a section may differ from the old one's and still lie in its groove. */
  readonly grooveLogRatio: Float64Array;
  /** How far a belt's own length lies within its maker's limits, −1 to 1. */
  readonly lengthWithin: Float64Array;
  /** What was drawn of the quantities that a bench could still measure. */
  readonly trayPullN: Float64Array;
  readonly travelPerTurnMm: Float64Array;
}

const MIN_FRICTION = 0.05;
const STIFFNESS_TRIES = 6;
/** Draws of a motor that must have at least what was read, before it is taken to have just that. */
const STALL_TRIES = 12;

/** Standard normal numbers (Box and Muller, 1958). */
function normal(random: Random): () => number {
  return () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}

const relative = (spread: Spread | Combined): number => spread.std / ('best' in spread ? spread.best : spread.value);
const best = (spread: Spread | Combined): number => ('best' in spread ? spread.best : spread.value);

/** Centre distance of an open drive whose path is known: Newton on P(C), which rises all the way. */
function centreOfPath(pathMm: number, motorRadiusMm: number, drivenRadiusMm: number): number {
  const sum = motorRadiusMm + drivenRadiusMm;
  const difference = drivenRadiusMm - motorRadiusMm;
  // Shafts nearer than this would let the pulleys rub; a path that short belongs to smaller ones.
  const least = 1.02 * sum;
  let centre = Math.max(least, (pathMm - Math.PI * sum) / 2);
  for (let turn = 0; turn < 4; turn++) {
    const straight = Math.sqrt(Math.max(centre * centre - difference * difference, 1e-9));
    const at = 2 * straight + Math.PI * sum + 2 * difference * Math.asin(Math.min(1, difference / centre)) - pathMm;
    centre = Math.max(least, centre - (at * centre) / (2 * straight));
  }
  return centre;
}

/**
 * Draws the samples of a situation. What was measured spreads by its own uncertainty; what was not, by the bench's
 * limits. Lengths are normal about their best, positive quantities log-normal, friction normal and never below 0.05.
 *
 * Cost: linear in the draws, about a microsecond each.
 *
 * @param count of draws
 * @param seed the same seed gives the same samples
 * @example drawSamples(situation, 4000, 1).pathMm.length // 4000
 */
export function drawSamples(situation: Situation, count: number, seed: number): Samples {
  const { limits, drive, path } = situation;
  const random = seeded(seed);
  const z = normal(random);
  const lognormal = (spread: Spread | Combined): number => best(spread) * Math.exp(relative(spread) * z());
  const list = () => new Float64Array(count);
  const samples = {
    pathMm: list(),
    motorRadiusMm: list(),
    drivenRadiusMm: list(),
    dragMm: list(),
    grip: list(),
    modulusMpa: list(),
    relaxedShare: list(),
    stretchMost: list(),
    needTorqueNmm: list(),
    stallTorqueNmm: list(),
    grooveLogRatio: list(),
    lengthWithin: list(),
    trayPullN: list(),
    travelPerTurnMm: list(),
  };
  /** How much stiffer than healthy the tray is: drawn a few times, and one taken by how usual the healthy pull would be. */
  const usual = relative(limits.trayPullN);
  const stiffness = (needN: number): number => {
    let sum = 0;
    let taken = 1;
    for (let turn = 0; turn < STIFFNESS_TRIES; turn++) {
      const ratio = Math.exp(Math.abs(limits.stiffnessLogStd * z()));
      const off = Math.log(needN / ratio / limits.trayPullN.best) / usual;
      const weight = Math.exp(-0.5 * off * off) + 1e-12;
      sum += weight;
      // Of all so far each is taken by its weight (weighted reservoir of one).
      if (random() * sum <= weight) taken = ratio;
    }
    return taken;
  };
  const { stallPullN, stallPullAtLeastN = 0 } = situation;
  /** What the standing motor gives at the tray, guides included. */
  const stallN = (needN: number): number => {
    if (stallPullN) return needN + Math.max(0, stallPullN.value + stallPullN.std * z());
    const least = needN + stallPullAtLeastN;
    for (let turn = 0; turn < STALL_TRIES; turn++) {
      // The motor was made for a healthy tray; a stiff one does not make it stronger.
      const drawn = (lognormal(limits.stallFactor) * needN) / stiffness(needN);
      if (stallPullAtLeastN === 0 || drawn >= least) return drawn;
    }
    return least;
  };
  const motorDiameter = situation.motorDiameter ?? limits.motorDiameterMm;
  const drivenDiameter = situation.drivenDiameter ?? limits.drivenDiameterMm;
  const others = drive?.idlers ?? [];
  const inner = drive && innerPath(drive);
  const [motorWrap = Math.PI, drivenWrap = Math.PI, ...idlerWraps] = inner?.ok ? inner.value.wrapsRad : [];
  for (let i = 0; i < count; i++) {
    const pathMm = path.value + path.std * z();
    let motorRadiusMm = lognormal(motorDiameter) / 2;
    let drivenRadiusMm = lognormal(drivenDiameter) / 2;
    let motorWrapRad = motorWrap;
    let drivenWrapRad = drivenWrap;
    if (!drive) {
      // Pulleys that such a path could not go round are drawn smaller, both alike.
      const fits = pathMm / ((2.04 + Math.PI) * (motorRadiusMm + drivenRadiusMm));
      if (fits < 1) {
        motorRadiusMm *= fits;
        drivenRadiusMm *= fits;
      }
      const centre = centreOfPath(pathMm, motorRadiusMm, drivenRadiusMm);
      const lean = Math.asin(Math.max(-1, Math.min(1, (drivenRadiusMm - motorRadiusMm) / centre)));
      motorWrapRad = Math.PI - 2 * lean;
      drivenWrapRad = Math.PI + 2 * lean;
    }
    const dragMm =
      limits.bushFriction *
      limits.shaftRadiusMm *
      bushShare(
        [motorRadiusMm, drivenRadiusMm, ...others.map(({ bottomDiameterMm }) => bottomDiameterMm / 2)],
        [motorWrapRad, drivenWrapRad, ...idlerWraps],
      );
    const friction = (surface: Situation['motorSurface']): number =>
      Math.max(MIN_FRICTION, limits.friction[surface].best + limits.friction[surface].std * z());
    const motorFriction = friction(situation.motorSurface);
    const drivenFriction = friction(situation.drivenSurface);
    // An idler of which nothing else is said is as good as the driven pulley, in every world.
    const idlerFrictions = others.map((_, index) =>
      situation.idlerSurfaces?.[index] ? friction(idlerSurface(situation, index)) : drivenFriction,
    );
    const hardness = Math.min(80, Math.max(20, limits.hardnessShoreA.best + limits.hardnessShoreA.std * z()));
    const modulus = youngModulusMpa(hardness);
    const gearing = {
      travelPerTurnMm: lognormal(situation.travelPerTurnMm ?? limits.travelPerTurnMm),
      efficiency: Math.min(0.95, lognormal(limits.efficiency)),
    };
    const needN = lognormal(situation.trayPullN ?? limits.trayPullN);
    samples.pathMm[i] = pathMm;
    samples.motorRadiusMm[i] = motorRadiusMm;
    samples.drivenRadiusMm[i] = drivenRadiusMm;
    samples.dragMm[i] = dragMm;
    samples.grip[i] = Math.min(
      Math.tanh((grooveFriction(drive?.motorPulley.groove ?? FLAT, motorFriction) * motorWrapRad) / 2),
      Math.tanh((grooveFriction(drive?.drivenPulley.groove ?? FLAT, drivenFriction) * drivenWrapRad) / 2),
      idlersGripShare(others, idlerWraps, idlerFrictions),
    );
    samples.modulusMpa[i] = (modulus.ok ? modulus.value : 0) * Math.exp(limits.modulusRelativeStd * z());
    samples.relaxedShare[i] = Math.min(1, limits.relaxedShare.best + limits.relaxedShare.std * z());
    samples.stretchMost[i] = limits.stretchComfortable + (limits.stretchMost - limits.stretchComfortable) * random();
    samples.needTorqueNmm[i] = motorTorqueNmm(needN, gearing);
    // What was read of the motor was read through a belt, whose bushes took their part.
    const heldNmm = stallPullN ? dragMm * Math.max(0, limits.heldThroughN.best + limits.heldThroughN.std * z()) : 0;
    samples.stallTorqueNmm[i] = motorTorqueNmm(stallN(needN), gearing) + heldNmm;
    // Never negative: a belt of just the old section lies in the groove, as the old one did.
    samples.grooveLogRatio[i] = Math.max(0, Math.log(1.6) + 0.15 * z());
    samples.lengthWithin[i] = 2 * random() - 1;
    samples.trayPullN[i] = needN;
    samples.travelPerTurnMm[i] = gearing.travelPerTurnMm;
  }
  return { count, ...samples };
}

const FLAT = { form: 'flat' } as const;
