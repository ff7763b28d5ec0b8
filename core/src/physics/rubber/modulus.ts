import { ok, refuse, type Result } from '../../base/units';

/**
 * Young's modulus of a rubber from its hardness.
 *
 * Source: A. N. Gent, "On the relation between indentation hardness and Young's modulus", 1958. Refused outside
 * Shore A 20–80, where the relation was not shown to hold.
 *
 * @returns MPa (N/mm²), or a sentence.
 * @example youngModulusMpa(60).value // 3.605
 */
export function youngModulusMpa(shoreA: number): Result<number> {
  if (!(shoreA >= 20 && shoreA <= 80)) {
    return refuse(`Read a hardness of ${shoreA}. The relation holds from Shore A 20 to 80; a belt is about 60.`);
  }
  return ok((0.0981 * (56 + 7.62336 * shoreA)) / (0.137505 * (254 - 2.54 * shoreA)));
}
