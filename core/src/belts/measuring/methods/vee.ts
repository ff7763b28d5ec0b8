/**
 * By how much 1/sin(γ/2), the way out to something round that lies on a vee's flanks, shrinks with each degree of the
 * full angle γ: a vee known to ±2° is known no better than that.
 *
 * @example flanksPerDegree(60) // 0.0302
 */
export function flanksPerDegree(veeAngleDeg: number): number {
  const halfRad = (veeAngleDeg * Math.PI) / 360;
  return ((Math.cos(halfRad) / Math.sin(halfRad) ** 2) * Math.PI) / 360;
}
