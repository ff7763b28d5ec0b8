import {
  bushShare,
  fitBelt,
  grooveFriction,
  innerPath,
  motorTorqueNmm,
  idlersGripShare,
  shaftLoadN,
  slipGrip,
  trayForceN,
  type Belt,
  type Drive,
  type Grip,
  type Surface,
} from '../drive';
import { sectionAreaMm2, strandPullN, thinnedMm, youngModulusMpa, type BeltSection } from '../rubber';
import { rootSumSquares, type Combined } from '../statistics';
import { healthyPullN, type Limits } from './limits';
import type { Driven } from '../loaders';

/** What a belt is judged against: as much of the drive as is known. */
export interface Situation {
  /** Inner path; the one thing that must be known. */
  readonly path: Combined;
  /** The pulleys, where they were measured. */
  readonly drive?: Drive | undefined;
  /** Diameters that are known although the drive as a whole is not, or with their uncertainty where it is. */
  readonly motorDiameter?: Combined | undefined;
  readonly drivenDiameter?: Combined | undefined;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  /** Section of the old belt, which lay in the groove. */
  readonly oldSection?: BeltSection | undefined;
  readonly trayPullN?: Combined | undefined;
  /** What holds the tray while the motor stands; or what the motor has at least. */
  readonly stallPullN?: Combined | undefined;
  readonly stallPullAtLeastN?: number | undefined;
  /** Surfaces of the idlers in their order; null or absent is as the driven pulley's. */
  readonly idlerSurfaces?: ReadonlyArray<Surface | null> | undefined;
  readonly travelPerTurnMm?: Combined | undefined;
  /** Where speed matters: what is wanted of the driven pulley. */
  readonly speed?: SpeedWanted | undefined;
  /** What the belt moves; a tray where nothing is said. */
  readonly driven?: Driven | undefined;
  readonly limits: Limits;
}

/** A speed that matters: the motor's own, what is wanted, and how far off it may be, relative. */
export interface SpeedWanted {
  readonly motorRpm: number;
  readonly targetRpm: number;
  readonly tolerance: number;
}

/** The stretches of the ruler, from too long to too short. */
export type Zone = 'slips' | 'easy' | 'snug' | 'firm' | 'tooTight';

/** What may go wrong with a belt. */
export type Weakness = 'grip' | 'stretch' | 'motor' | 'groove' | 'slack';

/** What the pulleys make of a belt; absent while only the path is known. */
export interface Running {
  readonly freshPullN: number;
  readonly relaxedPullN: number;
  /** Grip of the relaxed belt: what can be counted on in a month. */
  readonly grip: Grip;
  readonly needTorqueNmm: number;
  /** Slip torque over need. */
  readonly gripRatio: number;
  /** Pull at the tray at which the relaxed belt lets go, while the motor drives. */
  readonly trayPullN: number;
  readonly needN: number;
  /** True while the tray's travel per turn is the bench's assumption. */
  readonly travelAssumed: boolean;
  readonly needAssumed: boolean;
  /** Load of the fresh belt on each shaft. */
  readonly motorLoadN: number;
  readonly drivenLoadN: number;
  /** What the fresh belt's bush drag leaves of the motor, over the need. */
  readonly motorLeftRatio: number;
  /** Smallest pulley over the section. */
  readonly bendRatio: number;
}

/** One belt, judged. */
export interface Judgement {
  readonly belt: Belt;
  readonly strain: number;
  readonly strainStd: number;
  readonly thicknessMm: number;
  readonly zone: Zone;
  readonly running?: Running;
  /** Distance from each limit, in standard uncertainties; negative is beyond it. */
  readonly margins: Readonly<Partial<Record<Weakness, number>>>;
  readonly weakest: Weakness;
  /** The least of the margins: what the ranking goes by. */
  readonly margin: number;
}

/** How far beside the limit a ratio lies, in standard uncertainties of its logarithm. */
const logMargin = (ratio: number, relativeStd: number): number =>
  ratio <= 0 ? -9 : Math.max(-9, Math.log(ratio) / relativeStd);

const relative = (value: Combined | { best: number; std: number }): number =>
  value.std / ('best' in value ? value.best : value.value);

/** Strain of a belt on a path whose pulleys are unknown: an open path grown by its own half thickness, π·t′. */
function strainOnPath(pathMm: number, belt: Belt): { strain: number; thicknessMm: number } {
  const relaxedMm = belt.innerLengthMm + Math.PI * belt.thicknessMm;
  let thicknessMm = belt.thicknessMm;
  let strain = 0;
  for (let turn = 0; turn < 8; turn++) {
    strain = (pathMm + Math.PI * thicknessMm) / relaxedMm - 1;
    thicknessMm = thinnedMm(belt.thicknessMm, Math.max(1 + strain, 1));
  }
  return { strain, thicknessMm };
}

/** The surface of a idler: its own, or as the driven pulley's. */
export const idlerSurface = (situation: Situation, index: number): Surface =>
  situation.idlerSurfaces?.[index] ?? situation.drivenSurface;

/**
 * What the standing motor gives at the tray, guide friction included: what held it, and what moves the tray besides. Not
 * measured, it is some multiple of what a healthy tray needs, for a motor is made for a healthy one. What
 * the bushes took of it meanwhile is added back apart, for that is a torque.
 */
function stallForce(situation: Situation, needN: number): Combined {
  const { limits, stallPullN, stallPullAtLeastN, trayPullN } = situation;
  if (stallPullN) {
    return { value: needN + stallPullN.value, std: Math.hypot(stallPullN.std, (trayPullN ?? limits.trayPullN).std) };
  }
  const usual = limits.stallFactor.best * healthyPullN(needN, limits);
  const value = Math.max(usual, needN + (stallPullAtLeastN ?? 0));
  return { value, std: value * relative(limits.stallFactor) };
}

/** Everything the pulleys add to the stretch. */
function run(
  situation: Situation,
  drive: Drive,
  belt: Belt,
): { running: Running; strain: number; thicknessMm: number } | undefined {
  const { limits } = situation;
  const modulus = youngModulusMpa(limits.hardnessShoreA.best);
  const fitted = fitBelt(drive, belt);
  if (!modulus.ok || !fitted.ok) return undefined;
  const { motorRadiusMm, drivenRadiusMm, thicknessMm, centreLine } = fitted.value;
  // A string that disagrees with the pulleys moves the path that the belt is judged on, not the pulleys themselves.
  const inner = innerPath(drive);
  const shiftMm = inner.ok ? situation.path.value - inner.value.lengthMm : 0;
  const strain = (centreLine.lengthMm + shiftMm) / (belt.innerLengthMm + Math.PI * belt.thicknessMm) - 1;
  const others = drive.idlers ?? [];
  const [motorWrap = Math.PI, drivenWrap = Math.PI, ...idlerWraps] = centreLine.wrapsRad;
  const freshPullN = strandPullN(modulus.value, sectionAreaMm2(belt), 1 + strain);
  const relaxedPullN = freshPullN * limits.relaxedShare.best;
  const grip = slipGrip({
    strandPullN: relaxedPullN,
    motorRadiusMm,
    motorFriction: grooveFriction(drive.motorPulley.groove, limits.friction[situation.motorSurface].best),
    drivenFriction: grooveFriction(drive.drivenPulley.groove, limits.friction[situation.drivenSurface].best),
    motorWrapRad: motorWrap,
    drivenWrapRad: drivenWrap,
    idlersShare: idlersGripShare(
      others,
      idlerWraps,
      others.map((_, index) => limits.friction[idlerSurface(situation, index)].best),
    ),
  });
  const travelPerTurnMm = situation.travelPerTurnMm?.value ?? limits.travelPerTurnMm.best;
  const gearing = { travelPerTurnMm, efficiency: limits.efficiency.best };
  const needN = situation.trayPullN?.value ?? limits.trayPullN.best;
  const needTorqueNmm = motorTorqueNmm(needN, gearing);
  const motorLoadN = shaftLoadN(freshPullN, motorWrap);
  const drivenLoadN = shaftLoadN(freshPullN, drivenWrap);
  const radiiMm = [motorRadiusMm, drivenRadiusMm, ...others.map((one) => one.bottomDiameterMm / 2 + thicknessMm / 2)];
  const dragMm = limits.bushFriction * limits.shaftRadiusMm * bushShare(radiiMm, centreLine.wrapsRad);
  const heldNmm = situation.stallPullN ? dragMm * limits.heldThroughN.best : 0;
  const stallNmm = motorTorqueNmm(stallForce(situation, needN).value, gearing) + heldNmm;
  return {
    strain,
    thicknessMm,
    running: {
      freshPullN,
      relaxedPullN,
      grip,
      needTorqueNmm,
      gripRatio: grip.slipTorqueNmm / needTorqueNmm,
      trayPullN: trayForceN(grip.slipTorqueNmm, gearing),
      needN,
      travelAssumed: situation.travelPerTurnMm === undefined,
      needAssumed: situation.trayPullN === undefined,
      motorLoadN,
      drivenLoadN,
      motorLeftRatio: (stallNmm - dragMm * freshPullN) / needTorqueNmm,
      bendRatio: Math.min(drive.motorPulley.bottomDiameterMm, drive.drivenPulley.bottomDiameterMm) / belt.thicknessMm,
    },
  };
}

function gripMargin(situation: Situation, running: Running, strain: number, strainStd: number): number {
  const { limits } = situation;
  // d ln T/dε of the neo-Hookean strand: how much a little path error matters, most where the belt is nearly slack.
  const stretch = 1 + strain;
  const pullRelative = strain > 0 ? (strainStd * (1 + 2 * stretch ** -3)) / (stretch - stretch ** -2) : 9;
  const surface = running.grip.weaker === 'motor' ? situation.motorSurface : situation.drivenSurface;
  const share = Math.min(running.grip.motorShare, running.grip.drivenShare);
  // d ln tanh(x/2)/d ln x = x/sinh x, with x = μ′θ got back from the share.
  const x = 2 * Math.atanh(Math.min(share, 1 - 1e-9));
  const frictionRelative = relative(limits.friction[surface]) * (x / Math.sinh(x));
  return logMargin(
    running.gripRatio,
    rootSumSquares([
      pullRelative,
      limits.modulusRelativeStd,
      relative(limits.relaxedShare),
      frictionRelative,
      relative(limits.efficiency),
      relative(situation.trayPullN ?? limits.trayPullN),
      relative(situation.travelPerTurnMm ?? limits.travelPerTurnMm),
    ]),
  );
}

/** How well the section suits the groove the old one lay in. Common practice, no source: 1.6 times either way at most. */
function grooveMargin(oldThicknessMm: number, thicknessMm: number): number {
  return (Math.log(1.6) - Math.abs(Math.log(thicknessMm / oldThicknessMm))) / 0.15;
}

function zoneOf(strain: number, running: Running | undefined, limits: Limits): Zone {
  if (strain > limits.stretchMost || (running && running.motorLeftRatio < 1)) return 'tooTight';
  if (running ? running.gripRatio < 1 : strain < limits.stretchLeast.best) return 'slips';
  if (strain > limits.stretchComfortable || (running && running.motorLeftRatio < 1.25)) return 'firm';
  if (running ? running.gripRatio < limits.gripWanted : strain < 2 * limits.stretchLeast.best) return 'easy';
  return 'snug';
}

/**
 * Judges one belt in one situation: stretch, pull, grip, loads, and how far each lies from its limit. Best estimate
 * and linearised margins; no odds. Cost: some microseconds.
 *
 * @param lengthStdMm standard uncertainty of the belt's own length, from the maker's limits
 * @returns undefined where the drive cannot be (its own refusal is on the facts)
 * @example judge(situation of 6/24.8/38.2, { shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 }).zone // 'snug'
 */
export function judge(situation: Situation, belt: Belt, lengthStdMm = 0): Judgement | undefined {
  const { limits, path, drive } = situation;
  const ran = drive ? run(situation, drive, belt) : undefined;
  if (drive && !ran) return undefined;
  const { strain, thicknessMm } = ran ?? strainOnPath(path.value, belt);
  const running = ran?.running;
  const relaxedMm = belt.innerLengthMm + Math.PI * belt.thicknessMm;
  const strainStd = rootSumSquares([path.std / relaxedMm, (lengthStdMm * (1 + strain)) / relaxedMm]);
  const stretchLimit = (limits.stretchComfortable + limits.stretchMost) / 2;
  const stretchLimitStd = (limits.stretchMost - limits.stretchComfortable) / 2;
  const margins: Partial<Record<Weakness, number>> = {
    stretch: (stretchLimit - strain) / Math.hypot(strainStd, stretchLimitStd),
    ...(running
      ? {
          grip: gripMargin(situation, running, strain, strainStd),
          motor: logMargin(running.motorLeftRatio, relative(stallForce(situation, running.needN))),
        }
      : { slack: (strain - limits.stretchLeast.best) / Math.hypot(strainStd, limits.stretchLeast.std) }),
    ...(situation.oldSection && { groove: grooveMargin(situation.oldSection.thicknessMm, belt.thicknessMm) }),
  };
  const [weakest, margin] = (Object.entries(margins) as Array<[Weakness, number]>).reduce((least, entry) =>
    entry[1] < least[1] ? entry : least,
  );
  const zone = zoneOf(strain, running, limits);
  return { belt, strain, strainStd, thicknessMm, zone, margins, weakest, margin, ...(running && { running }) };
}
