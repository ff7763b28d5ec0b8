import { isTurned } from '../../base/loaders';
import { motorTorqueNmm } from '../../physics/drive';
import type { DriveValues } from '../../physics/evaluation';
import { youngModulusMpa } from '../../physics/rubber';
import type { Combined } from '../../base/statistics';
import type { SectionShape } from '../../base/shapes';
import { gearingOf, needNmm, pullPrior } from './need';
import { hardnessOf, healthyPullN, type Spread } from './priors';
import { idlerSurface, type Situation } from './situation';

/** How far a section may differ from the old one, in logarithm of the ratio. Common practice, no source: 1.6 times. */
export const GROOVE_LOG_RATIO: Spread = { best: Math.log(1.6), std: 0.15 };

/** Best estimate of what is measured or believed. */
export const bestOf = (one: Spread | Combined): number => ('best' in one ? one.best : one.value);
/** Its relative standard uncertainty. */
export const relativeOf = (one: Spread | Combined): number => one.std / bestOf(one);

/**
 * What the standing motor has, as torque at its shaft: what held the tray and what moves it besides. Not measured, it is
 * some multiple of what a healthy tray needs, for a motor is made for a healthy one.
 */
export function stallNmm(situation: Situation): Combined {
  const { driven, priors, stallPullN, stallPullAtLeastN = 0, trayPullN } = situation;
  const gearing = gearingOf(situation);
  if (isTurned(driven) || !gearing) {
    const value = priors.stallFactor.best * priors.spindleTorqueNmm.best;
    return { value, std: value * relativeOf(priors.stallFactor) };
  }
  const prior = pullPrior(driven, priors);
  const pull = trayPullN ?? prior;
  const needN = bestOf(pull);
  const at = (forceN: number, stdN: number): Combined => ({
    value: motorTorqueNmm(forceN, gearing),
    std: motorTorqueNmm(stdN, gearing),
  });
  if (stallPullN) return at(needN + stallPullN.value, Math.hypot(stallPullN.std, pull.std));
  const healthyN = healthyPullN(needN, { ...priors, trayPullN: prior });
  const forceN = Math.max(priors.stallFactor.best * healthyN, needN + stallPullAtLeastN);
  return at(forceN, forceN * relativeOf(priors.stallFactor));
}

/**
 * A situation with the best estimate of everything: what was measured, and what is believed of the rest.
 *
 * @param shape of the belt that is to be judged: each stock has its own hardness
 *
 * @example evaluateBelt(situation.drive, belt, bestValues(situation, 'square'), situation.demands)?.gripRatio // 2.39
 */
export function bestValues(situation: Situation, shape: SectionShape): DriveValues {
  const { priors, path, drive } = situation;
  const modulus = youngModulusMpa(hardnessOf(shape, priors).best);
  const friction = (surface: Situation['motorSurface']): number => priors.friction[surface].best;
  const { requirements } = situation.demands;
  return {
    pathMm: path.value,
    motorRadiusMm:
      (drive?.motorPulley.bottomDiameterMm ?? bestOf(situation.motorDiameter ?? priors.motorDiameterMm)) / 2,
    drivenRadiusMm:
      (drive?.drivenPulley.bottomDiameterMm ?? bestOf(situation.drivenDiameter ?? priors.drivenDiameterMm)) / 2,
    motorFriction: friction(situation.motorSurface),
    drivenFriction: friction(situation.drivenSurface),
    idlerFrictions: (drive?.idlers ?? []).map((_, index) => friction(idlerSurface(situation, index))),
    modulusMpa: modulus.ok ? modulus.value : 0,
    relaxedShare: priors.relaxedShare.best,
    strainMax: requirements.strainMax,
    grooveLogRatio: GROOVE_LOG_RATIO.best,
    bushMm: priors.bushFriction * priors.shaftRadiusMm,
    needNmm: needNmm(situation),
    stallNmm: stallNmm(situation).value,
    heldThroughN: situation.stallPullN ? priors.heldThroughN.best : 0,
  };
}
