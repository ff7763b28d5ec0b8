import { grooveFriction, gripShare, shaftLoadN } from '../../physics/drive';
import { seatAt, wrapsOfPath } from '../../physics/evaluation';
import { sectionAreaMm2 } from '../../physics/rubber';
import type { Situation } from '../sizing';
import { LOG_UNLIKELY, logDensity } from './columns';
import type { Samples } from './samples';

const FLAT = { form: 'flat' } as const;
const USUAL_STRETCH = 1.08;

/**
 * The belt that a drive was made with, of the section that lay in it, on clean pulleys: it carried a healthy need with
 * something to spare, and the motor turned it when it was new. By how well each sample explains that it is weighed.
 */
export function explainDesign(
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
