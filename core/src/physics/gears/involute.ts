/** Pressure angle of nearly every moulded gear: 20°. */
export const PRESSURE_ANGLE_RAD = (20 * Math.PI) / 180;

/** The involute function, inv α = tan α − α (ISO 21771). @example inv(0.3490658504) // 0.0149044 */
export const inv = (angleRad: number): number => Math.tan(angleRad) - angleRad;

/**
 * The angle whose involute function is given: the inverse, by Newton from a start good to a few per cent.
 *
 * @param value 0 or more
 * @example invInverse(0.014904383867) // 0.3490658504
 */
export function invInverse(value: number): number {
  if (value <= 0) return 0;
  // inv α ≈ α³/3 for small angles; never beyond where tan runs away.
  let angle = Math.min(1.5, Math.cbrt(3 * value) / (1 + 0.4 * Math.cbrt(value) ** 2));
  for (let i = 0; i < 40; i++) {
    const step = (inv(angle) - value) / Math.tan(angle) ** 2;
    angle = Math.min(1.57, Math.max(1e-9, angle - step));
    if (Math.abs(step) < 1e-14) break;
  }
  return angle;
}
