import {
  bushShare,
  DRIVEN_PULLEY,
  grooveFriction,
  idlerName,
  MOTOR_PULLEY,
  shaftLoadN,
  slipGrip,
  type Drive,
  type GrippingPulley,
} from '../drive';
import { sectionAreaMm2, strandPullN, type BeltSection } from '../rubber';
import { layBelt, ratioWanted, sectionLogRatio } from './lay';
import {
  FAILURE_BITS,
  FAILURES,
  type Demands,
  type DriveValues,
  type EvaluatedBelt,
  type Evaluation,
  type Failure,
} from './types';

const FLAT = { form: 'flat' } as const;

/** The pulleys that take or give power, with what grips on each. */
function gripping(drive: Drive | undefined, values: DriveValues, wrapsRad: readonly number[]): GrippingPulley[] {
  const [motorWrap = Math.PI, drivenWrap = Math.PI, ...idlerWraps] = wrapsRad;
  return [
    {
      name: MOTOR_PULLEY,
      friction: grooveFriction(drive?.motorPulley.groove ?? FLAT, values.motorFriction),
      wrapRad: motorWrap,
    },
    {
      name: DRIVEN_PULLEY,
      friction: grooveFriction(drive?.drivenPulley.groove ?? FLAT, values.drivenFriction),
      wrapRad: drivenWrap,
    },
    ...(drive?.idlers ?? []).flatMap((one, index) =>
      one.driven
        ? [
            {
              name: idlerName(one),
              friction: grooveFriction(one.groove, values.idlerFrictions[index] ?? values.drivenFriction),
              wrapRad: idlerWraps[index] ?? 0,
            },
          ]
        : [],
    ),
  ];
}

/**
 * Whether a belt works in a drive, and what goes wrong where it does not: the one criterion of the product. It is called
 * at the best estimate, at each sample, and at a known truth; the samples' fast form is held to it by a test.
 *
 * A belt works where it is stretched at all, the relaxed one grips `gripMin` times the need, the fresh one leaves the
 * motor `motorMin` times the need, its strain is within what its rubber bears, it lies in the groove, and the speed is
 * in tolerance where one is wanted.
 *
 * Sources: grip by Euler–Eytelwein, pull of the neo-Hookean strand (Treloar); what is demanded is the bench's.
 *
 * @param drive the pulleys where they are known; undefined for an open drive of which the path is known
 * @param oldSection the section that lay in the groove; undefined lets any section lie there
 * @returns undefined where no belt can run there (the drive's own refusal says why)
 * For instance evaluateBelt(drive 6/24.8/38.2, square 1.2 × 116, values, demands).fails: 0
 */
export function evaluateBelt(
  drive: Drive | undefined,
  belt: EvaluatedBelt,
  values: DriveValues,
  { requirements, speed }: Demands,
  oldSection?: BeltSection,
): Evaluation | undefined {
  const laid = layBelt(drive, belt, values);
  if (!laid) return undefined;
  const { stretch, thicknessMm, motorRadiusMm, drivenRadiusMm, idlerRadiiMm, wrapsRad } = laid;
  const strain = stretch - 1;
  const freshPullN = strandPullN(values.modulusMpa, sectionAreaMm2(belt), stretch);
  const relaxedPullN = belt.settled ? freshPullN : freshPullN * values.relaxedShare;
  const grip = slipGrip({ strandPullN: relaxedPullN, motorRadiusMm, pulleys: gripping(drive, values, wrapsRad) });
  const dragMm = values.bushMm * bushShare([motorRadiusMm, drivenRadiusMm, ...idlerRadiiMm], wrapsRad);
  const gripRatio = grip.slipTorqueNmm / values.needNmm;
  // What was read of the motor was read through a belt, whose bushes took their part.
  const motorLeftRatio = (values.stallNmm + dragMm * (values.heldThroughN - freshPullN)) / values.needNmm;
  const groove = values.grooveLogRatio - (oldSection ? sectionLogRatio(belt, oldSection) : 0);
  const { thickerMm = 0, oldThickerMm = 0 } = values;
  const made = oldSection && { ...oldSection, thicknessMm: oldSection.thicknessMm + oldThickerMm };
  const wanted = speed && ratioWanted(drive, speed, values, made);
  /** A pitch radius by how thick the belt really is. */
  const truly = (pitchMm: number, bottomMm: number): number =>
    pitchMm + ((pitchMm - bottomMm) / thicknessMm) * thickerMm;
  const ratio = truly(motorRadiusMm, values.motorRadiusMm) / truly(drivenRadiusMm, values.drivenRadiusMm);
  const speedOff = wanted === undefined ? undefined : ratio / wanted - 1;
  const off = speedOff === undefined ? undefined : Math.abs(speedOff);
  const safety: Record<Failure, number> = {
    slack: stretch > 1 ? stretch : 0,
    // A hanging belt fails by hanging; that it does not grip either says nothing more.
    grip: stretch > 1 ? gripRatio / requirements.gripMin : Infinity,
    motor: motorLeftRatio / requirements.motorMin,
    stretch: stretch > 1 ? values.strainMax / strain : Infinity,
    groove: Math.exp(groove),
    speed: off === undefined || !speed || stretch <= 1 ? Infinity : off === 0 ? Infinity : speed.tolerance / off,
  };
  const first = FAILURES.reduce((least, one) => (safety[one] < safety[least] ? one : least));
  return {
    strain,
    thicknessMm,
    motorRadiusMm,
    drivenRadiusMm,
    freshPullN,
    relaxedPullN,
    grip,
    needNmm: values.needNmm,
    gripRatio,
    motorLeftRatio,
    motorLoadN: shaftLoadN(freshPullN, wrapsRad[0] ?? Math.PI),
    drivenLoadN: shaftLoadN(freshPullN, wrapsRad[1] ?? Math.PI),
    bendRatio: (2 * Math.min(values.motorRadiusMm, values.drivenRadiusMm)) / belt.thicknessMm,
    ...(speedOff !== undefined && { speedOff }),
    safety,
    fails: FAILURES.reduce((bits, one) => (safety[one] < 1 ? bits | FAILURE_BITS[one] : bits), 0),
    first,
  };
}
