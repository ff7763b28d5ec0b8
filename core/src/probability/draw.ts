import { grooveFriction, gripShare, shaftLoadN } from '../drive';
import { seatAt, wrapsOfPath } from '../evaluation';
import { sectionAreaMm2, youngModulusMpa } from '../rubber';
import {
  bestOf,
  GROOVE_LOG_RATIO,
  hardnessOf,
  idlerSurface,
  pullPrior,
  relativeOf,
  type Situation,
  type Spread,
} from '../sizing';
import type { Combined } from '../statistics';
import type { Surface } from '../drive';
import type { Samples } from './samples';

/*
 * What is believed of a drive, as a function of standard normal coordinates: each quantity has a coordinate of its own.
 * What was measured spreads by its own uncertainty; what was not, by the bench's priors. How well that explains the belt
 * the drive was made with, and the old belt as it is now, is the logarithm of a likelihood beside it.
 */

/** The coordinates, in their order; those of the idlers and of sister machines come after. */
const COORDINATES = [
  'unusual',
  'path',
  'motorDiameter',
  'drivenDiameter',
  'motorFriction',
  'drivenFriction',
  'square',
  'round',
  'flat',
  'relaxed',
  'strainMax',
  'pull',
  'travel',
  'efficiency',
  'stiffness',
  'stall',
  'heldThrough',
  'groove',
  'lengthWithin',
  'madeStretch',
  'setShare',
  'oldRubber',
  'swelling',
] as const;
type Coordinate = (typeof COORDINATES)[number];

/** How many coordinates a drive of so many idlers has. */
export const coordinatesOf = (situation: Situation): number =>
  COORDINATES.length + (situation.drive?.idlers?.length ?? 0);

/** Samples with what only the evidence needs. */
export interface Drawn {
  readonly samples: Samples;
  /** By how much each explains what is known beside the readings. */
  readonly logLikelihood: Float64Array;
  /** How much stiffer than healthy what the belt moves is. */
  readonly stiffness: Float64Array;
  /** How many times as wide a sample's priors are. */
  readonly wide: Float64Array;
}

const MIN_FRICTION = 0.05;
/** Chance that something holds which every other sign speaks against. Our judgement, no source. */
const LOG_UNLIKELY = Math.log(0.05);
/** How closely the arithmetic of set and stretch gives an old belt's length, relative. No source. */
const OLD_RELATIVE = 0.006;
/** How far an oily belt has swollen, as the spread of the logarithm. From memory of the trade, no source. */
const SWOLLEN = 0.03;
/** A band that was put on for a while, over its path. From memory of the trade, no source. */
const STOPGAP = { best: 0.97, std: 0.05 };
/** A taut belt is shorter than its path by more than this, a hanging one by less. */
const TAUT_BELOW = 0.996;
const HANGS_FROM = 0.992;

/** How likely a standard normal number is to lie below z, to 1e-7. Source: Abramowitz and Stegun, 26.2.17. */
export function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z));
  const tail =
    0.3989422804 *
    Math.exp((-z * z) / 2) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return z > 0 ? 1 - tail : tail;
}

/** Logarithm of a log-normal’s density at a value, less what is the same for all samples. */
const logDensity = (value: number, { best, std }: Spread, wide: number): number => {
  const relative = (std / best) * wide;
  const off = Math.log(value / best) / relative;
  return -0.5 * off * off - Math.log(wide);
};

/** A list of one number a sample. */
function each(count: number, of: (i: number) => number): Float64Array {
  const list = new Float64Array(count);
  for (let i = 0; i < count; i++) list[i] = of(i);
  return list;
}

/** A positive quantity, log-normal about its best, in every sample. */
function spreadOf(of: Spread | Combined, z: Float64Array, wide?: Float64Array): Float64Array {
  const best = bestOf(of);
  const relative = relativeOf(of);
  return each(z.length, (i) => best * Math.exp(relative * (wide ? (wide[i] as number) : 1) * (z[i] as number)));
}

/** Where a standard normal number lies with this chance below. */
function quantile(chance: number): number {
  let [low, high] = [-8, 8];
  for (let turn = 0; turn < 40; turn++) {
    const middle = (low + high) / 2;
    if (below(middle) < chance) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

/**
 * The drives that coordinates stand for.
 *
 * Cost: about a microsecond a sample.
 *
 * @param z a list for each coordinate, one number a sample
 */
export function draw(situation: Situation, z: readonly Float64Array[]): Drawn {
  const { priors, drive, demands } = situation;
  const { requirements } = demands;
  const count = z[0]?.length ?? 0;
  const on = Object.fromEntries(COORDINATES.map((name, index) => [name, z[index]])) as Record<Coordinate, Float64Array>;
  const { unusualTimes } = priors;
  const usualFrom = quantile(priors.unusualShare);
  const wide = on.unusual.map((one) => (one < usualFrom ? unusualTimes : 1));
  const logLikelihood = new Float64Array(count);

  const old = drawOld(situation, on, wide, logLikelihood);
  const { pathMm } = old;
  const { motorRadiusMm, drivenRadiusMm } = drawPulleys(situation, on, wide, pathMm);
  const friction = (surface: Surface, list: Float64Array): Float64Array => {
    const { best, std } = priors.friction[surface];
    return each(count, (i) => Math.max(MIN_FRICTION, best + std * (wide[i] as number) * (list[i] as number)));
  };
  const drivenFriction = friction(situation.drivenSurface, on.drivenFriction);
  const rubber = (shore: Spread, list: Float64Array) => modulus(shore, priors.modulusRelativeStd, list, wide);
  const { relaxedShare: kept } = priors;
  const relaxedShare = on.relaxed.map((one) => Math.min(1, kept.best + kept.std * one));
  const { strainComfortable, strainMax } = requirements;
  const need = drawNeed(situation, on, wide, logLikelihood);
  const samples: Samples = {
    count,
    pathMm,
    motorRadiusMm,
    drivenRadiusMm,
    motorFriction: friction(situation.motorSurface, on.motorFriction),
    drivenFriction,
    idlerFrictions: (drive?.idlers ?? []).map((_, index) =>
      // An idler of which nothing else is said is as good as the driven pulley, in every sample.
      situation.idlerSurfaces?.[index]
        ? friction(idlerSurface(situation, index), z[COORDINATES.length + index] as Float64Array)
        : drivenFriction,
    ),
    modulusMpa: {
      square: rubber(priors.squareShoreA, on.square),
      round: rubber(priors.ringShoreA, on.round),
      flat: rubber(priors.flatShoreA, on.flat),
    },
    motorFrictionClean: friction('clean', on.motorFriction),
    drivenFrictionClean: friction('clean', on.drivenFriction),
    relaxedShare,
    strainMax: on.strainMax.map((one) => strainComfortable + (strainMax - strainComfortable) * below(one)),
    bushMm: new Float64Array(count).fill(priors.bushFriction * priors.shaftRadiusMm),
    needNmm: need.needNmm,
    stallNmm: need.stallNmm,
    heldThroughN: need.heldThroughN,
    // Never negative: a belt of just the old section lies in the groove, as the old one did.
    grooveLogRatio: on.groove.map((one) => Math.max(0, GROOVE_LOG_RATIO.best + GROOVE_LOG_RATIO.std * one)),
    lengthWithin: on.lengthWithin.map((one) => 2 * below(one) - 1),
    trayPullN: need.trayPullN,
    travelPerTurnMm: need.travelPerTurnMm,
  };
  if (situation.oldSection) {
    explainDesign(situation, samples, {
      wide,
      madeStretch: old.madeStretch,
      healthyNmm: need.healthyNmm,
      modulusMpa: rubber(hardnessOf(situation.oldSection.shape, priors), on.oldRubber),
      logLikelihood,
    });
  }
  return { samples, logLikelihood, stiffness: need.stiffness, wide };
}

/** The path, and the stretch that the drive was made with: the old belt as it is now speaks of both. */
function drawOld(
  { priors, path, pathFromOldBelt, oldBelt, oldState = 'unknown', oldSection, motorSurface, drivenSurface }: Situation,
  on: Record<Coordinate, Float64Array>,
  wide: Float64Array,
  logLikelihood: Float64Array,
): { readonly pathMm: Float64Array; readonly madeStretch: Float64Array } {
  const { madeStretch: made, setShare: set } = priors;
  const count = wide.length;
  const madeStretch = each(count, (i) =>
    Math.min(0.35, Math.max(0.004, made.best + made.std * (wide[i] as number) * (on.madeStretch[i] as number))),
  );
  const oily = motorSurface === 'oily' || drivenSurface === 'oily' || oldState === 'swollen';
  /** The old belt's length as it is now, over its path; both on the centre line. */
  const overPath = each(count, (i) => {
    if (oldState === 'stopgap') return STOPGAP.best + STOPGAP.std * (on.setShare[i] as number);
    const share = set.best + set.std * (wide[i] as number) * (on.setShare[i] as number);
    const stretch = madeStretch[i] as number;
    const asSet = (1 + Math.min(1.5, Math.max(0, share)) * stretch) / (1 + stretch);
    return oily ? asSet * Math.exp(Math.abs(SWOLLEN * (on.swelling[i] as number))) : asSet;
  });
  const round = oldSection ? Math.PI * oldSection.thicknessMm : 0;
  // A drive unlike the others is one that was misread, too.
  const read = pathFromOldBelt && oldBelt ? oldBelt : path;
  const measured = each(count, (i) => read.value + read.std * (wide[i] as number) * (on.path[i] as number));
  if (!pathFromOldBelt) {
    // What a stopgap was, the drive was not made with.
    if (!oldBelt || oldState === 'stopgap' || oldState === 'crumbs') return { pathMm: measured, madeStretch };
    for (let i = 0; i < count; i++) {
      const pathMm = measured[i] as number;
      const off = oldBelt.value + round - (pathMm + round) * (overPath[i] as number);
      const variance = oldBelt.std ** 2 + (OLD_RELATIVE * pathMm) ** 2;
      logLikelihood[i] = (logLikelihood[i] as number) - (0.5 * off * off) / variance;
    }
    return { pathMm: measured, madeStretch };
  }
  const pathMm = each(count, (i) => ((measured[i] as number) + round) / (overPath[i] as number) - round);
  if (oldState === 'taut' || oldState === 'hanging') {
    for (let i = 0; i < count; i++) {
      const against = oldState === 'taut' ? (overPath[i] as number) > TAUT_BELOW : (overPath[i] as number) < HANGS_FROM;
      if (against) logLikelihood[i] = (logLikelihood[i] as number) + LOG_UNLIKELY;
    }
  }
  return { pathMm, madeStretch };
}

/** The pulleys, measured or not. */
function drawPulleys(
  { priors, drive, motorDiameter, drivenDiameter }: Situation,
  on: Record<Coordinate, Float64Array>,
  wide: Float64Array,
  pathMm: Float64Array,
) {
  const halves = (of: Spread | Combined, z: Float64Array, times?: Float64Array) =>
    spreadOf(of, z, times).map((one) => one / 2);
  const motorRadiusMm = motorDiameter
    ? halves(motorDiameter, on.motorDiameter)
    : halves(priors.motorDiameterMm, on.motorDiameter, wide);
  const drivenRadiusMm = drivenDiameter
    ? halves(drivenDiameter, on.drivenDiameter)
    : halves(priors.drivenDiameterMm, on.drivenDiameter, wide);
  if (drive) return { motorRadiusMm, drivenRadiusMm };
  for (let i = 0; i < wide.length; i++) {
    const [motor, driven] = [motorRadiusMm[i] as number, drivenRadiusMm[i] as number];
    // Pulleys that such a path could not go round are drawn smaller, both alike.
    const fits = Math.min(1, (pathMm[i] as number) / ((2.04 + Math.PI) * (motor + driven)));
    motorRadiusMm[i] = motor * fits;
    drivenRadiusMm[i] = driven * fits;
  }
  return { motorRadiusMm, drivenRadiusMm };
}

/** What the belt has to move, what it had to while that was healthy, and what the motor has. */
function drawNeed(
  { priors, driven, stiff, trayPullN: pull, travelPerTurnMm: travel, stallPullN, stallPullAtLeastN = 0 }: Situation,
  on: Record<Coordinate, Float64Array>,
  wide: Float64Array,
  logLikelihood: Float64Array,
) {
  const count = wide.length;
  const { stiffnessLogStd, stallFactor } = priors;
  const found = stiff ? stiffnessLogStd : 0;
  const stiffness = each(count, (i) =>
    Math.exp(Math.abs(stiffnessLogStd * (wide[i] as number) * (on.stiffness[i] as number)) + found),
  );
  const none = () => new Float64Array(count);
  if (driven === 'spindle') {
    const healthyNmm = spreadOf(priors.spindleTorqueNmm, on.pull, wide);
    const factor = spreadOf(stallFactor, on.stall, wide);
    return {
      stiffness,
      healthyNmm,
      needNmm: each(count, (i) => (healthyNmm[i] as number) * (stiffness[i] as number)),
      stallNmm: each(count, (i) => (healthyNmm[i] as number) * (factor[i] as number)),
      heldThroughN: none(),
      trayPullN: none().fill(Number.NaN),
      travelPerTurnMm: none().fill(Number.NaN),
    };
  }
  const usual = pullPrior(driven, priors);
  const travelPerTurnMm = travel ? spreadOf(travel, on.travel) : spreadOf(priors.travelPerTurnMm, on.travel, wide);
  const efficiency = spreadOf(priors.efficiency, on.efficiency);
  /** Torque at the motor for each newton at the tray. */
  const perN = each(
    count,
    (i) => (travelPerTurnMm[i] as number) / (2 * Math.PI * Math.min(0.95, efficiency[i] as number)),
  );
  // A pull that was measured is that of the tray as it is; what is believed is that of a healthy one.
  const drawn = spreadOf(pull ?? usual, on.pull, wide);
  const trayPullN = pull ? drawn : each(count, (i) => (drawn[i] as number) * (stiffness[i] as number));
  const healthyNmm = each(count, (i) => ((trayPullN[i] as number) / (stiffness[i] as number)) * (perN[i] as number));
  const needNmm = each(count, (i) => (trayPullN[i] as number) * (perN[i] as number));
  const heldThroughN = none();
  let stallNmm: Float64Array;
  if (stallPullN) {
    const { heldThroughN: through } = priors;
    stallNmm = each(count, (i) => {
      heldThroughN[i] = Math.max(0, through.best + through.std * (on.heldThrough[i] as number));
      const heldN = Math.max(0, stallPullN.value + stallPullN.std * (on.stall[i] as number));
      return ((trayPullN[i] as number) + heldN) * (perN[i] as number);
    });
  } else {
    const factor = spreadOf(stallFactor, on.stall, wide);
    stallNmm = each(count, (i) => (factor[i] as number) * (healthyNmm[i] as number));
  }
  for (let i = 0; i < count; i++) {
    const times = wide[i] as number;
    let log = logLikelihood[i] as number;
    if (pull) log += logDensity((trayPullN[i] as number) / (stiffness[i] as number), usual, times);
    // The motor was made for a healthy tray; a stiff one does not make it stronger.
    if (stallPullN) log += logDensity((stallNmm[i] as number) / (healthyNmm[i] as number), stallFactor, times);
    else if (
      stallPullAtLeastN > 0 &&
      (stallNmm[i] as number) < ((trayPullN[i] as number) + stallPullAtLeastN) * (perN[i] as number)
    )
      log += LOG_UNLIKELY;
    logLikelihood[i] = log;
  }
  return { stiffness, healthyNmm, needNmm, stallNmm, heldThroughN, trayPullN, travelPerTurnMm };
}

/** Modulus of a stock by one coordinate, which stands for hardness and for its relation to stiffness. */
function modulus(hardness: Spread, relationStd: number, z: Float64Array, wide: Float64Array): Float64Array {
  const best = youngModulusMpa(hardness.best);
  const above = youngModulusMpa(Math.min(80, hardness.best + Math.max(hardness.std, 0.01)));
  if (!best.ok || !above.ok) return new Float64Array(z.length);
  const relative = Math.hypot(Math.log(above.value / best.value), relationStd);
  return spreadOf({ best: best.value, std: relative * best.value }, z, wide);
}

const FLAT = { form: 'flat' } as const;
const USUAL_STRETCH = 1.08;

/**
 * The belt that a drive was made with, of the section that lay in it, on clean pulleys: it carried a healthy need with
 * something to spare, and the motor turned it when it was new. By how well each sample explains that it is weighed.
 */
function explainDesign(
  { drive, oldSection, priors, demands }: Situation,
  samples: Samples,
  made: {
    readonly wide: Float64Array;
    readonly madeStretch: Float64Array;
    readonly healthyNmm: Float64Array;
    readonly modulusMpa: Float64Array;
    readonly logLikelihood: Float64Array;
  },
): void {
  if (!oldSection) return;
  const { count, pathMm, motorRadiusMm, drivenRadiusMm, relaxedShare, bushMm, stallNmm } = samples;
  const { motorFrictionClean, drivenFrictionClean } = samples;
  const seat = seatAt(drive, oldSection.thicknessMm / Math.sqrt(USUAL_STRETCH));
  if (!seat) return;
  const third = sectionAreaMm2(oldSection) / 3;
  const [motorGroove, drivenGroove] = [drive?.motorPulley.groove ?? FLAT, drive?.drivenPulley.groove ?? FLAT];
  const { motorMin } = demands.requirements;
  const { designMargin } = priors;
  for (let i = 0; i < count; i++) {
    const [motorMm, drivenMm] = [motorRadiusMm[i] as number, drivenRadiusMm[i] as number];
    const [motorWrap = Math.PI, drivenWrap = Math.PI] =
      seat.wrapsRad ?? wrapsOfPath({ pathMm: pathMm[i] as number, motorRadiusMm: motorMm, drivenRadiusMm: drivenMm });
    const share = Math.min(
      gripShare(grooveFriction(motorGroove, motorFrictionClean[i] as number), motorWrap),
      gripShare(grooveFriction(drivenGroove, drivenFrictionClean[i] as number), drivenWrap),
    );
    const pitchMm = motorMm + seat.motorMm;
    const ratio = 1 + (made.madeStretch[i] as number);
    const freshN = (made.modulusMpa[i] as number) * third * (ratio - 1 / (ratio * ratio));
    const healthyNmm = made.healthyNmm[i] as number;
    const margin = (freshN * (relaxedShare[i] as number) * 2 * share * pitchMm) / healthyNmm;
    let log = logDensity(margin, designMargin, made.wide[i] as number);
    const loads = shaftLoadN(1, motorWrap) + (shaftLoadN(1, drivenWrap) * pitchMm) / (drivenMm + seat.drivenMm);
    if ((stallNmm[i] as number) - (bushMm[i] as number) * loads * freshN < motorMin * healthyNmm) log += LOG_UNLIKELY;
    made.logLikelihood[i] = (made.logLikelihood[i] as number) + log;
  }
}
