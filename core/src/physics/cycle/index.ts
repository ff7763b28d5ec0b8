export { cycle, SLIPS_FROM_MM, STEP_S, type RunOptions } from './cycle';
export { onKnifeEdge } from './knifeEdge';
export { checkCycle } from './check';
export { greaseAt, needTimes, type GuideShares } from './resistance';
export {
  CYCLE_OUTCOMES,
  ON_THE_BENCH,
  type Cycle,
  type CycleBelt,
  type CycleConditions,
  type CycleController,
  type CycleEvent,
  type CycleMachine,
  type CycleMotor,
  type CycleOutcome,
  type CycleSpin,
  type CycleSwitch,
  type CycleTrace,
  type CycleTravel,
  type EnergyBalance,
  type Place,
} from './types';
