import type { Removal, Step } from './schema';

/** The step's last time off, whether it is back or not. */
export const lastRemoval = (step: Pick<Step, 'removals'>): Removal | undefined =>
  step.removals[step.removals.length - 1];

/** The step's last time off, where it is off now. */
export function openRemoval(step: Pick<Step, 'removals'>): Removal | undefined {
  const last = lastRemoval(step);
  return last?.back === null ? last : undefined;
}

/** When it last came off; the step's own time where an older ticket did not say. */
export const offSince = (step: Pick<Step, 'removals' | 'at'>): string => lastRemoval(step)?.offAt ?? step.at;
