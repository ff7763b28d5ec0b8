export const GROOVE_FORMS = ['flat', 'round', 'vee'] as const;

/** How a pulley carries the belt. A vee's full angle is between its flanks; its diameter is given at the bottom. */
export type Groove =
  { readonly form: 'flat' } | { readonly form: 'round' } | { readonly form: 'vee'; readonly angleRad: number };

/** A pulley: the diameter at the bottom of its groove, and the groove. */
export interface Pulley {
  readonly bottomDiameterMm: number;
  readonly groove: Groove;
}

/**
 * Radius of the belt's centre line on a pulley. In a flat or round groove the belt lies on the bottom. A round
 * section in a vee rides on the flanks at (d/2)/sin(γ/2) from the apex, unless the bottom holds it further out.
 * The bottom of a vee is taken as its apex.
 *
 * @param thicknessMm the section as it is now, thinned by stretch
 * @example seatedRadiusMm({ bottomDiameterMm: 6, groove: { form: 'flat' } }, 1.2) // 3.6
 */
export function seatedRadiusMm(pulley: Pulley, thicknessMm: number): number {
  const onBottomMm = pulley.bottomDiameterMm / 2 + thicknessMm / 2;
  if (pulley.groove.form !== 'vee') return onBottomMm;
  const onFlanksMm = pulley.bottomDiameterMm / 2 + thicknessMm / 2 / Math.sin(pulley.groove.angleRad / 2);
  return Math.max(onFlanksMm, onBottomMm);
}

/** What the groove does to friction: a vee's flanks wedge the belt, μ′ = μ/sin(γ/2). Flat and round: μ itself. */
export function grooveFriction(groove: Groove, friction: number): number {
  return groove.form === 'vee' ? friction / Math.sin(groove.angleRad / 2) : friction;
}
