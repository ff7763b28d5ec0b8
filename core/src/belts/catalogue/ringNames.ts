import type { CatalogueBelt } from './types';

/** A metric ring of this step may be the same ring. */
const STEP_MM = 0.5;

/**
 * What a ring is called: its dash number of SAE AS568, the same in millimetres (ISO 3601-1 takes the sizes over), and
 * the round metric size that is the same within the ring's own limit, where there is one.
 *
 * For instance ringNames(AS568 -022): 'AS568 -022 · 25.12 × 1.78 mm ± 0.25 · within that the same as 25 × 1.8 mm'
 */
export function ringNames({ name, thicknessMm, innerLengthMm, innerLengthToleranceMm }: CatalogueBelt): string {
  const innerMm = innerLengthMm / Math.PI;
  const limitMm = innerLengthToleranceMm / Math.PI;
  const metricMm = Math.round(innerMm / STEP_MM) * STEP_MM;
  const same = Math.abs(metricMm - innerMm) <= limitMm;
  return [
    name,
    `${innerMm.toFixed(2)} × ${thicknessMm.toFixed(2)} mm ± ${limitMm.toFixed(2)}`,
    ...(same ? [`within that the same as ${metricMm} × ${thicknessMm.toFixed(1)} mm`] : []),
  ].join(' · ');
}
