import { isTurned } from '../../base/loaders';
import { pullPrior, type Situation } from '../sizing';
import { each, LOG_UNLIKELY, logDensity, spreadOf, type Coordinates } from './columns';

/** What the belt has to move, what it had to while that was healthy, and what the motor has. */
export function drawNeed(
  { priors, driven, stiff, trayPullN: pull, travelPerTurnMm: travel, stallPullN, stallPullAtLeastN = 0 }: Situation,
  on: Coordinates,
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
  if (isTurned(driven)) {
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
