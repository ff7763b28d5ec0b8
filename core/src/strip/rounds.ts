import type { Round, Step } from './types';

/** The step's last time off, where it is off now. */
export function roundOff(step: Pick<Step, 'rounds'>): Round | undefined {
  const last = step.rounds[step.rounds.length - 1];
  return last?.back === null ? last : undefined;
}
