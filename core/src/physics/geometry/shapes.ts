/**
 * Perimeter of an oval from two diameters at right angles (Ramanujan's second approximation, 1914; error below
 * 1 in 10⁵ for any belt that still looks round).
 *
 * @param longMm, shortMm full diameters, not half axes; both > 0
 * @example ovalPerimeterMm(40, 40) // 125.66…
 */
export function ovalPerimeterMm(longMm: number, shortMm: number): number {
  const a = longMm / 2;
  const b = shortMm / 2;
  const h = ((a - b) / (a + b)) ** 2;
  return Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
}

/**
 * Depth of the shallow arc that takes up `excessMm` over a run of `spanMm`. A picture of a slack belt, not a
 * prediction. Parabola to first order: excess = 8·sag²/(3·span).
 *
 * @returns 0 where there is no excess.
 * @example sagMm(38, 1) // 3.77…
 */
export function sagMm(spanMm: number, excessMm: number): number {
  return excessMm > 0 ? Math.sqrt((3 * spanMm * excessMm) / 8) : 0;
}
