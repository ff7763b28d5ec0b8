import { ok, refuse, type Result } from '../../base/units';
import type { Rollers } from './schema';

/* The two sizes of disc (ECMA-130, ECMA-267; the small one from memory), mm. */
export const DISCS_MM = [120, 80] as const;

/** The mean diameter of a roller along its length; undefined until it is measured. */
export const meanMm = (diametersMm: readonly number[]): number | undefined =>
  diametersMm.length === 0 ? undefined : diametersMm.reduce((sum, one) => sum + one, 0) / diametersMm.length;

/** How much thicker one end of a roller is than the other: it draws the disc to that side. @example taperMm([8, 8.1, 8.2]) // 0.2 */
export const taperMm = (diametersMm: readonly number[]): number =>
  diametersMm.length < 2 ? 0 : (diametersMm[diametersMm.length - 1] ?? 0) - (diametersMm[0] ?? 0);

export interface Drift {
  /** By how much the disc turns over the travel. */
  readonly turnRad: number;
  /** By how much it is carried sideways. */
  readonly asideMm: number;
}

/**
 * What two contacts of different diameter do to a disc over its travel: it turns by travel·(ΔD/D)/spacing, and is carried
 * aside by travel²·(ΔD/D)/(2·spacing).
 *
 * @param of the travel, both diameters, and the spacing between the two places where it is driven
 * @example drift({ travelMm: 100, spacingMm: 60, firstMm: 8, secondMm: 8.2 }).turnRad // 0.0412
 */
export function drift(of: {
  readonly travelMm: number;
  readonly spacingMm: number;
  readonly firstMm: number;
  readonly secondMm: number;
}): Drift {
  const { travelMm, spacingMm, firstMm, secondMm } = of;
  const share = (secondMm - firstMm) / ((firstMm + secondMm) / 2);
  return { turnRad: (travelMm * share) / spacingMm, asideMm: (travelMm ** 2 * share) / (2 * spacingMm) };
}

/** What lips and springs ask of the rollers, N. From memory, no source. */
export const LIPS_N = [1.5, 3] as const;

/** Whether the traction is enough: what a disc pulled back on a scale shows, against what lips and springs ask. */
export function tractionWords(pullBackN: number): string {
  const [least, sure] = LIPS_N;
  if (pullBackN < least)
    return `Too little: lips and springs ask ${least} to ${sure} N. Clean the rollers; hard or glazed ones grip about a third as much.`;
  if (pullBackN < sure) return `Enough for a free path, not for a stiff one: ${least} to ${sure} N are asked.`;
  return 'Enough.';
}

/**
 * The diameter that a sleeve or a renewed roller needs to be like its partner.
 *
 * @returns the diameter, or why it is not told
 */
export function sleeveMm({ list }: Pick<Rollers, 'list'>): Result<number> {
  const means = list.map(({ diametersMm }) => meanMm(diametersMm));
  const known = means.filter((one): one is number => one !== undefined);
  if (known.length < 2) return refuse('Measure both rollers, each at its two ends and its middle.');
  return ok(Math.max(...known));
}

/** Whether the link is off, by looking or by the rattle; null where neither was tried. */
export const linkOff = ({ link, rattles }: Pick<Rollers, 'link' | 'rattles'>): boolean | null =>
  link === 'off' || (link === 'unknown' && rattles === 'rattles')
    ? true
    : link === 'engaged' || link === 'none'
      ? false
      : null;
