import { fitBelt, type Belt, type Drive } from '../drive';
import { sectionAreaMm2, youngModulusMpa } from '../rubber';
import { ok, refuse, type Result } from '../../base/units';

/** How fast a belt turns the driven pulley. */
export interface DrivenSpeed {
  readonly rpm: number;
  /** Share of the speed lost to creep: the belt is longer on its tight side than on its slack side. */
  readonly creep: number;
  /** Ratio of the pitch diameters, motor to drive. */
  readonly ratio: number;
}

/**
 * Speed of the driven pulley: motor speed by the ratio of the seated diameters with the stretched thickness added, less
 * creep (tight − slack)/(λ·dT/dλ).
 *
 * Source: belt creep as in Shigley's Mechanical Engineering Design, flat belts; dT/dλ of the neo-Hookean strand.
 *
 * @param rubber its hardness, and the torque that the driven shaft takes
 * @returns the speed, or a sentence where the belt hangs or cannot be laid
 * For instance drivenSpeed(drive 6/24.8/38.2, belt, 2400, { hardnessShoreA: 60, loadTorqueNmm: 0.5 })
 */
export function drivenSpeed(
  drive: Drive,
  belt: Belt,
  motorRpm: number,
  rubber: { readonly hardnessShoreA: number; readonly loadTorqueNmm: number },
): Result<DrivenSpeed> {
  const fitted = fitBelt(drive, belt);
  if (!fitted.ok) return fitted;
  const { strain, motorRadiusMm, drivenRadiusMm } = fitted.value;
  if (strain <= 0) return refuse('The belt hangs: it turns nothing at a speed that can be told.');
  const modulus = youngModulusMpa(rubber.hardnessShoreA);
  if (!modulus.ok) return modulus;
  const stretch = 1 + strain;
  const stiffnessN = (modulus.value / 3) * sectionAreaMm2(belt) * (1 + 2 * stretch ** -3);
  const creep = rubber.loadTorqueNmm / drivenRadiusMm / (stretch * stiffnessN);
  const ratio = motorRadiusMm / drivenRadiusMm;
  return ok({ rpm: motorRpm * ratio * (1 - creep), creep, ratio });
}
