import type { Removal, Step } from './schema';

/** The step's last time off, where it is off now. */
export function openRemoval(step: Pick<Step, 'removals'>): Removal | undefined {
  const last = step.removals[step.removals.length - 1];
  return last?.back === null ? last : undefined;
}
