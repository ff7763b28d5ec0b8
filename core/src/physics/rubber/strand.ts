import { shapeOf, type SectionShape } from '../../base/shapes';

/** A belt cut across, relaxed. `thicknessMm` is measured across the bend; `widthMm` is that of a flat belt. */
export interface BeltSection {
  readonly shape: SectionShape;
  readonly thicknessMm: number;
  /** Only a flat belt has one of its own; others are as wide as thick. */
  readonly widthMm?: number | undefined;
}

/** Unstretched area in mm². @example sectionAreaMm2({ shape: 'square', thicknessMm: 1.2 }) // 1.44 */
export const sectionAreaMm2 = ({ shape, thicknessMm, widthMm = thicknessMm }: BeltSection): number =>
  shapeOf(shape).areaMm2(thicknessMm, widthMm);

/**
 * Pull of one stretched strand of incompressible rubber: T = (E/3)·A·(λ − λ⁻²), neo-Hookean.
 *
 * Source: L. R. G. Treloar, The Physics of Rubber Elasticity. Good to some tens of per cent below λ = 1.5, which is
 * all a belt sees. A strand shorter than its relaxed length hangs and pulls nothing.
 *
 * @param stretchRatio λ, stretched over relaxed length
 * @returns N; 0 for λ ≤ 1
 * @example strandPullN(3.605, 1.44, 1.08) // 0.385…
 */
export function strandPullN(modulusMpa: number, areaMm2: number, stretchRatio: number): number {
  if (stretchRatio <= 1) return 0;
  return (modulusMpa / 3) * areaMm2 * (stretchRatio - stretchRatio ** -2);
}

/** Thickness of a strand stretched by λ, its volume kept. @example thinnedMm(1.2, 1.08) // 1.1547 */
export function thinnedMm(thicknessMm: number, stretchRatio: number): number {
  return thicknessMm / Math.sqrt(Math.max(stretchRatio, 1e-9));
}
