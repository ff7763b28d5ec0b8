import type { Surface } from '../../physics/drive';
import { youngModulusMpa } from '../../physics/rubber';
import { GROOVE_LOG_RATIO, hardnessOf, idlerSurface, type Situation, type Spread } from '../sizing';
import type { Combined } from '../../base/statistics';
import { forShapes } from '../../base/shapes';
import { below, COORDINATES, each, LOG_UNLIKELY, quantile, spreadOf, type Coordinates } from './columns';
import { explainDesign } from './design';
import { drawNeed } from './drawNeed';
import type { Samples } from './samples';

/*
 * What is believed of a drive, as a function of standard normal coordinates: each quantity has a coordinate of its own.
 * What was measured spreads by its own uncertainty; what was not, by the bench's priors. How well that explains the belt
 * the drive was made with, and the old belt as it is now, is the logarithm of a likelihood beside it.
 */

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
/** How far a belt's thickness lies from its name, of ± 0.05 mm; and from a reading of which nothing is said. No source. */
const MADE_THICK_STD_MM = 0.029;
const READ_THICK_STD_MM = 0.05;
/** How closely the arithmetic of set and stretch gives an old belt's length, relative. No source. */
const OLD_RELATIVE = 0.006;
/** How far an oily belt has swollen, as the spread of the logarithm. From memory of the trade, no source. */
const SWOLLEN = 0.03;
/** A band that was put on for a while, over its path. From memory of the trade, no source. */
const STOPGAP = { best: 0.97, std: 0.05 };
/** A taut belt is shorter than its path by more than this, a hanging one by less. */
const TAUT_BELOW = 0.996;
const HANGS_FROM = 0.992;

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
  const on = Object.fromEntries(COORDINATES.map((name, index) => [name, z[index]])) as Coordinates;
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
    modulusMpa: forShapes((shape) => rubber(hardnessOf(shape, priors), on[shape])),
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
    thickerMm: on.thicker.map((one) => MADE_THICK_STD_MM * one),
    oldThickerMm: on.oldThicker.map((one) => (situation.oldSectionStdMm ?? READ_THICK_STD_MM) * one),
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
  {
    priors,
    path,
    pathModes,
    pathFromOldBelt,
    oldAtLeastMm = 0,
    oldBelt,
    oldState = 'unknown',
    oldSection,
    motorSurface,
    drivenSurface,
  }: Situation,
  on: Coordinates,
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
  const either = !pathFromOldBelt && pathModes ? pathModes : [{ ...read, weight: 1 }];
  const measured = each(count, (i) => {
    const { value, std } = eitherOf(either, below(on.pathMode[i] as number));
    return Math.max(oldAtLeastMm, value + std * (wide[i] as number) * (on.path[i] as number));
  });
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

/** The one of several that a chance falls upon, by their weights. */
function eitherOf<T extends { readonly weight: number }>(several: readonly T[], chance: number): T {
  const sum = several.reduce((all, { weight }) => all + weight, 0);
  let left = chance * sum;
  const found = several.find(({ weight }) => (left -= weight) <= 0) ?? several.at(-1);
  if (!found) throw new Error('a path is one of none');
  return found;
}

/** The pulleys, measured or not. */
function drawPulleys(
  { priors, drive, motorDiameter, drivenDiameter }: Situation,
  on: Coordinates,
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

/** Modulus of a stock by one coordinate, which stands for hardness and for its relation to stiffness. */
function modulus(hardness: Spread, relationStd: number, z: Float64Array, wide: Float64Array): Float64Array {
  const best = youngModulusMpa(hardness.best);
  const above = youngModulusMpa(Math.min(80, hardness.best + Math.max(hardness.std, 0.01)));
  if (!best.ok || !above.ok) return new Float64Array(z.length);
  const relative = Math.hypot(Math.log(above.value / best.value), relationStd);
  return spreadOf({ best: best.value, std: relative * best.value }, z, wide);
}
