import { ok, refuse, type Result } from '../../base/units';
import { beltPath, type BeltPath, type PathPulley } from './beltPath';

/** Two pulleys on fixed centres; radii to wherever the belt's line of interest runs. */
export interface TwoPulleys {
  readonly motorRadiusMm: number;
  readonly drivenRadiusMm: number;
  readonly centreDistanceMm: number;
  readonly crossed: boolean;
}

/**
 * The two pulleys as a path: motor at the origin, driven pulley to its right. A crossed belt meets the driven pulley
 * with its back, which turns it the other way.
 */
export function asPathPulleys(drive: TwoPulleys): readonly [PathPulley, PathPulley] {
  return [
    { name: 'motor pulley', xMm: 0, yMm: 0, radiusMm: drive.motorRadiusMm, side: 1 },
    {
      name: 'driven pulley',
      xMm: drive.centreDistanceMm,
      yMm: 0,
      radiusMm: drive.drivenRadiusMm,
      side: drive.crossed ? -1 : 1,
    },
  ];
}

/**
 * Refuses pulleys that no mechanism can hold: sizes that are not positive, or rims that overlap.
 *
 * @param drive radii of the pulleys themselves, not of the belt's line: a belt lies on the far sides, and its line may
 * well be wider than the gap between the rims
 * @example checkPulleys({ motorRadiusMm: 10, drivenRadiusMm: 12, centreDistanceMm: 15, crossed: false }).ok // false
 */
export function checkPulleys(drive: TwoPulleys): Result<true> {
  const { motorRadiusMm, drivenRadiusMm, centreDistanceMm } = drive;
  if (!(motorRadiusMm > 0)) return refuse('The motor pulley must be larger than 0.');
  if (!(drivenRadiusMm > 0)) return refuse('The driven pulley must be larger than 0.');
  if (!(centreDistanceMm > 0)) return refuse('The distance between the shafts must be larger than 0.');
  if (centreDistanceMm >= motorRadiusMm + drivenRadiusMm) return ok(true);
  const least = (motorRadiusMm + drivenRadiusMm).toFixed(1);
  return refuse(
    `The pulleys overlap: shafts ${centreDistanceMm.toFixed(1)} mm apart, but the two radii need ${least} mm. ` +
      'Check for a radius typed as a diameter, or a gap typed as a centre distance.',
  );
}

/**
 * Length, spans and wraps of a line round two pulleys, at whatever radii it runs.
 *
 * Source: common tangents of two circles; e.g. Shigley's Mechanical Engineering Design, flat belt geometry.
 *
 * @returns the path, or a sentence where the two cannot be joined: one inside the other, or no room to cross
 * @example twoPulleyPath({ motorRadiusMm: 3, drivenRadiusMm: 12.5, centreDistanceMm: 40, crossed: true }).value.lengthMm // 134.780
 * // lengthMm 130.962
 */
export const twoPulleyPath = (drive: TwoPulleys): Result<BeltPath> => beltPath(asPathPulleys(drive));
