import { cycle, type RunOptions } from './cycle';
import type { CycleConditions, CycleMachine, CycleOutcome } from './types';

/** What is changed to see whether an outcome hangs on a hair. */
const HAIR = 0.01;

/** A machine with its belt's limit, its motor, or what it moves a hair off, either way. */
function byAHair(machine: CycleMachine): readonly CycleMachine[] {
  const { belts, motor, load } = machine;
  return [1 - HAIR, 1 + HAIR].flatMap((times): CycleMachine[] => [
    { ...machine, belts: belts.map((one) => ({ ...one, limitN: one.limitN * times })) },
    { ...machine, motor: { ...motor, stallNmm: motor.stallNmm * times } },
    {
      ...machine,
      load:
        load.kind === 'spin' ? { ...load, dragNmm: load.dragNmm * times } : { ...load, guideN: load.guideN * times },
    },
  ]);
}

/**
 * Whether an outcome stands on a knife edge: one in a hundred of grip, motor or pull would make it another.
 *
 * @param outcome of the machine as it is
 * For instance onKnifeEdge(machine, ROOM, 'opens'): false
 */
export function onKnifeEdge(
  machine: CycleMachine,
  on: CycleConditions,
  outcome: CycleOutcome,
  options: RunOptions = {},
): boolean {
  return byAHair(machine).some((one) => {
    const made = cycle(one, on, { traced: false, ...options });
    return made.ok && made.value.outcome !== outcome;
  });
}
