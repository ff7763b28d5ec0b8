import type { DriveFacts } from '../measuring';

/**
 * What the old belt's length says beside the path: a finding, never an average.
 *
 * @returns undefined while either is unmeasured
 * @example oldBeltFinding(facts) // { slack: true, excessMm: 1, sure: false }
 */
export function oldBeltFinding(
  facts: DriveFacts,
): { readonly slack: boolean; readonly excessMm: number; readonly sure: boolean } | undefined {
  const { oldBelt, path } = facts;
  if (!oldBelt || !path) return undefined;
  const excessMm = oldBelt.value - path.value;
  const std = Math.hypot(oldBelt.std, path.std);
  return { slack: excessMm > -0.01 * path.value, excessMm, sure: Math.abs(excessMm) > 2 * std };
}
