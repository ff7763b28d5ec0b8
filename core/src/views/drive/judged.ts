import { judge, type Judgement } from '../../belts/sizing';
import type { DriveView } from './view';

const kept = new WeakMap<DriveView, Judgement | undefined>();

/**
 * How the belt that is in a drive does here, at the best estimate, with the bench's own assumptions and requirements.
 *
 * @returns undefined where no belt was fitted, or too little was measured; the same view gives the same judgement
 * @example judgedFitted(view)?.running?.grip.slipTorqueNmm
 */
export function judgedFitted(view: DriveView): Judgement | undefined {
  if (kept.has(view)) return kept.get(view);
  const { fitted, situation } = view;
  const judgement =
    fitted && situation.ok ? judge(situation.value, { ...fitted, widthMm: fitted.widthMm ?? undefined }) : undefined;
  kept.set(view, judgement);
  return judgement;
}
