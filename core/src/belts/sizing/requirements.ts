import type { Requirements } from '../../physics/evaluation';
import { within, type PriorField } from './priors';

/**
 * What is demanded of a belt, each with its name and bounds. Stretch, relaxation and bend after makers' handbooks and
 * common practice; the others are our judgement, no source.
 */
export const REQUIREMENT_FIELDS: Readonly<Record<keyof Requirements, PriorField & { readonly first: number }>> = {
  strainComfortable: { name: 'Comfortable stretch', unit: 'ratio, no unit', min: 0.02, max: 0.5, first: 0.15 },
  strainMax: { name: 'Maximum stretch', unit: 'ratio, no unit', min: 0.03, max: 0.6, first: 0.2 },
  gripWanted: { name: 'Grip wanted', unit: 'times the need', min: 1, max: 5, first: 1.5 },
  gripMin: { name: 'Least grip that works', unit: 'times the need', min: 1, max: 3, first: 1.1 },
  motorWanted: { name: 'Motor torque left, wanted', unit: 'times the need', min: 1, max: 5, first: 1.25 },
  motorMin: { name: 'Motor torque left, least that works', unit: 'times the need', min: 1, max: 3, first: 1.1 },
  bendMin: { name: 'Smallest pulley', unit: 'sections', min: 1, max: 20, first: 6 },
};
const objectOf = (value: unknown): Record<string, unknown> =>
  typeof value === 'object' && value !== null ? (value as Record<string, unknown>) : {};

const KEYS = Object.keys(REQUIREMENT_FIELDS) as Array<keyof Requirements>;

/** The app's own. */
export const DEFAULT_REQUIREMENTS = Object.fromEntries(
  KEYS.map((key) => [key, REQUIREMENT_FIELDS[key].first]),
) as Record<keyof Requirements, number> as Requirements;

/**
 * A bench's own requirements as kept, made whole: what is missing, of an older version, or out of bounds is the app's
 * own. The most that rubber is trusted with is never below what is comfortable.
 *
 * @example checkRequirements({ gripMin: 1.3 }).motorMin // 1.1
 */
export function checkRequirements(kept: unknown): Requirements {
  const given = objectOf(kept);
  const checked = Object.fromEntries(
    KEYS.map((key) => [key, within(given[key], REQUIREMENT_FIELDS[key], REQUIREMENT_FIELDS[key].first)]),
  ) as Record<keyof Requirements, number>;
  return { ...checked, strainMax: Math.max(checked.strainMax, checked.strainComfortable) };
}

/** What is demanded, from the one list of limits that older versions kept. */
export function requirementsOfLimits(limits: unknown): unknown {
  const given = objectOf(limits);
  return {
    ...given,
    strainComfortable: given.stretchComfortable,
    strainMax: given.stretchMost,
    gripMin: given.gripLeast,
    motorMin: given.motorLeast,
    bendMin: given.bendLeast,
  };
}

/** What is believed, from the same list. */
export function priorsOfLimits(limits: unknown): unknown {
  const given = objectOf(limits);
  return { ...given, drivenDiameterMm: given.driveDiameterMm ?? given.drivenDiameterMm };
}
