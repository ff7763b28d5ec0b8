import { isTurned } from '../../base/loaders';
import { idlerName, MOTOR_PULLEY, type Belt, type TrayGearing } from '../../physics/drive';
import { evaluateBelt, FAILURE_BITS, type Evaluation, type Failure } from '../../physics/evaluation';
import { rootSumSquares } from '../../base/statistics';
import { bestValues, GROOVE_LOG_RATIO, relativeOf, stallNmm } from './bestValues';
import { gearingOf, pullPrior } from './need';
import { roomTimes } from './room';
import { idlerSurface, type Situation } from './situation';

/** The stretches of the ruler, from too long to too short. */
export type Zone = 'slips' | 'easy' | 'snug' | 'firm' | 'tooTight';

/** What the pulleys make of a belt; absent while only the path is known. */
export interface Running extends Evaluation {
  /** What lies between motor and tray; undefined for a spindle. */
  readonly gearing: TrayGearing | undefined;
  /** True while the tray's travel per turn is the bench's assumption. */
  readonly travelAssumed: boolean;
  readonly needAssumed: boolean;
}

/** One belt, judged at the best estimate. */
export interface Judgement {
  readonly belt: Belt;
  readonly strain: number;
  readonly strainStd: number;
  readonly thicknessMm: number;
  readonly zone: Zone;
  readonly running?: Running;
  /** Distance from each requirement, in standard uncertainties; negative is beyond it. */
  readonly margins: Readonly<Partial<Record<Failure, number>>>;
  readonly weakest: Failure;
  /** The least of the margins. */
  readonly margin: number;
}

/** How far beside its requirement a ratio lies, in standard uncertainties of its logarithm. */
const logMargin = (safety: number, relativeStd: number): number =>
  safety <= 0 ? -9 : Math.max(-9, Math.log(safety) / relativeStd);

/** Relative uncertainty of the grip over the need: pull, rubber, friction at the pulley that slips first, need. */
function gripStd(situation: Situation, evaluation: Evaluation, strainStd: number): number {
  const { priors, driven, drive } = situation;
  const { strain, grip } = evaluation;
  // d ln T/dε of the neo-Hookean strand: how much a little path error matters, most where the belt is nearly slack.
  const stretch = 1 + strain;
  const pullRelative = strain > 0 ? (strainStd * (1 + 2 * stretch ** -3)) / (stretch - stretch ** -2) : 9;
  const idler = (drive?.idlers ?? []).findIndex((one) => one.driven && grip.weaker === idlerName(one));
  const surface =
    grip.weaker === MOTOR_PULLEY
      ? situation.motorSurface
      : idler >= 0
        ? idlerSurface(situation, idler)
        : situation.drivenSurface;
  // d ln tanh(x/2)/d ln x = x/sinh x, with x = μ′θ got back from the share.
  const x = 2 * Math.atanh(Math.min(grip.share, 1 - 1e-9));
  const frictionRelative = relativeOf(priors.friction[surface]) * (x === 0 ? 1 : x / Math.sinh(x));
  const need = isTurned(driven)
    ? [relativeOf(priors.spindleTorqueNmm)]
    : [
        relativeOf(priors.efficiency),
        relativeOf(situation.trayPullN ?? pullPrior(driven, priors)),
        relativeOf(situation.travelPerTurnMm ?? priors.travelPerTurnMm),
      ];
  return rootSumSquares([
    pullRelative,
    priors.modulusRelativeStd,
    relativeOf(priors.relaxedShare),
    frictionRelative,
    ...need,
  ]);
}

function zoneOf(situation: Situation, { fails, strain, gripRatio, motorLeftRatio }: Evaluation): Zone {
  const { requirements } = situation.demands;
  if (fails & (FAILURE_BITS.stretch | FAILURE_BITS.motor)) return 'tooTight';
  if (fails & (FAILURE_BITS.slack | FAILURE_BITS.grip)) return 'slips';
  if (strain > requirements.strainComfortable || motorLeftRatio < requirements.motorWanted) return 'firm';
  return gripRatio < requirements.gripWanted ? 'easy' : 'snug';
}

function marginsOf(situation: Situation, evaluation: Evaluation, strainStd: number): Partial<Record<Failure, number>> {
  const { requirements } = situation.demands;
  const { strain, safety } = evaluation;
  // Rubber is trusted up to somewhere between what is comfortable and the most.
  const limit = (requirements.strainComfortable + requirements.strainMax) / 2;
  const limitStd = (requirements.strainMax - requirements.strainComfortable) / 2;
  const stall = stallNmm(situation);
  return {
    stretch: (limit - strain) / Math.hypot(strainStd, limitStd),
    motor: logMargin(safety.motor, stall.std / stall.value),
    ...(strain > 0
      ? { grip: logMargin(safety.grip, gripStd(situation, evaluation, strainStd)) }
      : { slack: Math.min(-1, strain / Math.max(strainStd, 1e-6)) }),
    ...(situation.oldSection && { groove: Math.log(safety.groove) / GROOVE_LOG_RATIO.std }),
    ...(Number.isFinite(safety.speed) && { speed: 3 * Math.log(safety.speed) }),
  };
}

/**
 * Judges one belt in one situation: the evaluation at the best estimate, and how far it lies from each requirement in
 * standard uncertainties, linearised. No probability is claimed. Cost: some microseconds.
 *
 * @param lengthStdMm standard uncertainty of the belt's own length, from the maker's limits
 * @returns undefined where the drive cannot be (its own refusal is on the facts)
 * @example judge(situation, { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 }).zone // 'snug'
 */
export function judge(situation: Situation, belt: Belt, lengthStdMm = 0): Judgement | undefined {
  const { drive, path, demands, oldSection } = situation;
  const bench = bestValues(situation, belt.shape);
  const values = { ...bench, needNmm: bench.needNmm * roomTimes(situation.room) };
  const evaluation = evaluateBelt(drive, belt, values, demands, oldSection);
  if (!evaluation) return undefined;
  const { strain, thicknessMm } = evaluation;
  const relaxedMm = belt.innerLengthMm + Math.PI * belt.thicknessMm;
  const strainStd = rootSumSquares([path.std / relaxedMm, (lengthStdMm * (1 + strain)) / relaxedMm]);
  const margins = marginsOf(situation, evaluation, strainStd);
  const [weakest, margin] = (Object.entries(margins) as Array<[Failure, number]>).reduce((least, entry) =>
    entry[1] < least[1] ? entry : least,
  );
  return {
    belt,
    strain,
    strainStd,
    thicknessMm,
    zone: zoneOf(situation, evaluation),
    margins,
    weakest,
    margin,
    ...(drive && {
      // Not by spread, which alone takes as long as all of the judging: hundreds of belts are judged at a keystroke.
      running: Object.assign({}, evaluation, {
        gearing: gearingOf(situation),
        travelAssumed: !isTurned(situation.driven) && situation.travelPerTurnMm === undefined,
        needAssumed: situation.trayPullN === undefined,
      }),
    }),
  };
}
