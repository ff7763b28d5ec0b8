import { bushShare, grooveFriction, innerPath, motorTorqueNmm, othersGripShare } from '../drive';
import { youngModulusMpa } from '../rubber';
import { otherSurface, type Situation, type Spread } from '../sizing';
import { seeded, type Combined, type Random } from '../statistics';

/**
 * Drives that could be the one on the bench, drawn once and shared by every belt that is judged: a belt that works in
 * 900 of 1,000 of them works with odds of 90 in 100. One number a draw in each list; lengths mm, forces N, torques N·mm.
 */
export interface Worlds {
  readonly count: number;
  /** Inner path. */
  readonly pathMm: Float64Array;
  readonly motorRadiusMm: Float64Array;
  readonly driveRadiusMm: Float64Array;
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

const LEAST_FRICTION = 0.05;
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
function centreOfPath(pathMm: number, motorRadiusMm: number, driveRadiusMm: number): number {
  const sum = motorRadiusMm + driveRadiusMm;
  const difference = driveRadiusMm - motorRadiusMm;
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
 * Draws the worlds of a situation. What was measured spreads by its own uncertainty; what was not, by the bench's
 * limits. Lengths are normal about their best, positive quantities log-normal, friction normal and never below 0.05.
 *
 * Cost: linear in the draws, about a microsecond each.
 *
 * @param count of draws
 * @param seed the same seed gives the same worlds
 * @example drawWorlds(situation, 4000, 1).pathMm.length // 4000
 */
export function drawWorlds(situation: Situation, count: number, seed: number): Worlds {
  const { limits, drive, path } = situation;
  const random = seeded(seed);
  const z = normal(random);
  const lognormal = (spread: Spread | Combined): number => best(spread) * Math.exp(relative(spread) * z());
  const list = () => new Float64Array(count);
  const worlds = {
    pathMm: list(),
    motorRadiusMm: list(),
    driveRadiusMm: list(),
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
  const driveDiameter = situation.driveDiameter ?? limits.driveDiameterMm;
  const others = drive?.others ?? [];
  const inner = drive && innerPath(drive);
  const [motorWrap = Math.PI, driveWrap = Math.PI, ...otherWraps] = inner?.ok ? inner.value.wrapsRad : [];
  for (let i = 0; i < count; i++) {
    const pathMm = path.value + path.std * z();
    let motorRadiusMm = lognormal(motorDiameter) / 2;
    let driveRadiusMm = lognormal(driveDiameter) / 2;
    let motorWrapRad = motorWrap;
    let driveWrapRad = driveWrap;
    if (!drive) {
      // Pulleys that such a path could not go round are drawn smaller, both alike.
      const fits = pathMm / ((2.04 + Math.PI) * (motorRadiusMm + driveRadiusMm));
      if (fits < 1) {
        motorRadiusMm *= fits;
        driveRadiusMm *= fits;
      }
      const centre = centreOfPath(pathMm, motorRadiusMm, driveRadiusMm);
      const lean = Math.asin(Math.max(-1, Math.min(1, (driveRadiusMm - motorRadiusMm) / centre)));
      motorWrapRad = Math.PI - 2 * lean;
      driveWrapRad = Math.PI + 2 * lean;
    }
    const dragMm =
      limits.bushFriction *
      limits.shaftRadiusMm *
      bushShare(
        [motorRadiusMm, driveRadiusMm, ...others.map(({ bottomDiameterMm }) => bottomDiameterMm / 2)],
        [motorWrapRad, driveWrapRad, ...otherWraps],
      );
    const friction = (surface: Situation['motorSurface']): number =>
      Math.max(LEAST_FRICTION, limits.friction[surface].best + limits.friction[surface].std * z());
    const motorFriction = friction(situation.motorSurface);
    const driveFriction = friction(situation.driveSurface);
    // A further pulley of which nothing else is said is as good as the drive pulley, in every world.
    const otherFrictions = others.map((_, index) =>
      situation.otherSurfaces?.[index] ? friction(otherSurface(situation, index)) : driveFriction,
    );
    const hardness = Math.min(80, Math.max(20, limits.hardnessShoreA.best + limits.hardnessShoreA.std * z()));
    const modulus = youngModulusMpa(hardness);
    const gearing = {
      travelPerTurnMm: lognormal(situation.travelPerTurnMm ?? limits.travelPerTurnMm),
      efficiency: Math.min(0.95, lognormal(limits.efficiency)),
    };
    const needN = lognormal(situation.trayPullN ?? limits.trayPullN);
    worlds.pathMm[i] = pathMm;
    worlds.motorRadiusMm[i] = motorRadiusMm;
    worlds.driveRadiusMm[i] = driveRadiusMm;
    worlds.dragMm[i] = dragMm;
    worlds.grip[i] = Math.min(
      Math.tanh((grooveFriction(drive?.motor.groove ?? FLAT, motorFriction) * motorWrapRad) / 2),
      Math.tanh((grooveFriction(drive?.drive.groove ?? FLAT, driveFriction) * driveWrapRad) / 2),
      othersGripShare(others, otherWraps, otherFrictions),
    );
    worlds.modulusMpa[i] = (modulus.ok ? modulus.value : 0) * Math.exp(limits.modulusRelativeStd * z());
    worlds.relaxedShare[i] = Math.min(1, limits.relaxedShare.best + limits.relaxedShare.std * z());
    worlds.stretchMost[i] = limits.stretchComfortable + (limits.stretchMost - limits.stretchComfortable) * random();
    worlds.needTorqueNmm[i] = motorTorqueNmm(needN, gearing);
    // What was read of the motor was read through a belt, whose bushes took their part.
    const heldNmm = stallPullN ? dragMm * Math.max(0, limits.heldThroughN.best + limits.heldThroughN.std * z()) : 0;
    worlds.stallTorqueNmm[i] = motorTorqueNmm(stallN(needN), gearing) + heldNmm;
    // Never negative: a belt of just the old section lies in the groove, as the old one did.
    worlds.grooveLogRatio[i] = Math.max(0, Math.log(1.6) + 0.15 * z());
    worlds.lengthWithin[i] = 2 * random() - 1;
    worlds.trayPullN[i] = needN;
    worlds.travelPerTurnMm[i] = gearing.travelPerTurnMm;
  }
  return { count, ...worlds };
}

const FLAT = { form: 'flat' } as const;
