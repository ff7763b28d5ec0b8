import { motorTorqueNmm, trayForceN, type TrayGearing } from '../../physics/drive';
import { isTurned, type Drawn } from '../../base/loaders';
import { formatForce, formatNewton } from '../../base/units';
import type { Priors, Spread } from './priors';
import type { Situation } from './situation';

/** How many times a tray's need it takes to move each thing. */
const timesTray = (driven: Drawn, priors: Priors): number =>
  ({ tray: 1, drawer: 1, lift: priors.liftTimes, disc: priors.rollerTimes })[driven];

/**
 * The pull at the tray, N, until it is measured, for what the belt moves.
 *
 * @example pullPrior('lift', DEFAULT_PRIORS).best // 2.8
 */
export function pullPrior(driven: Drawn, priors: Priors): Spread {
  const times = timesTray(driven, priors);
  return { best: priors.trayPullN.best * times, std: priors.trayPullN.std * times };
}

/** What lies between motor and tray at the best estimate; undefined for a spindle, which has no travel. */
export const gearingOf = ({ driven, travelPerTurnMm, priors }: Situation): TrayGearing | undefined =>
  isTurned(driven)
    ? undefined
    : {
        travelPerTurnMm: travelPerTurnMm?.value ?? priors.travelPerTurnMm.best,
        efficiency: priors.efficiency.best,
      };

/** The need at the motor shaft, N·mm, at the best estimate. */
export function needNmm(situation: Situation): number {
  const { driven, priors, trayPullN } = situation;
  const gearing = gearingOf(situation);
  if (isTurned(driven) || !gearing) return priors.spindleTorqueNmm.best;
  return motorTorqueNmm(trayPullN?.value ?? pullPrior(driven, priors).best, gearing);
}

/**
 * A torque at the motor in the words of what the belt moves: newtons at a tray, newton millimetres at the motor of a
 * spindle.
 *
 * @param long as a scale shows it too
 * @example torqueWords(0.817, gearingOf(situation, DEFAULT_PRIORS)) // '1.4 N'; torqueWords(0.55, undefined) // '0.55 N·mm'
 */
export function torqueWords(torqueNmm: number, gearing: TrayGearing | undefined, long = false): string {
  if (!gearing) return Number.isFinite(torqueNmm) ? `${torqueNmm.toFixed(2)} N·mm` : '–';
  const forceN = trayForceN(torqueNmm, gearing);
  return long ? formatForce(forceN) : formatNewton(forceN);
}
