export * from './schema';
export { dayReducers, daySays } from './reduce';
export { durationKey, durationsOf, type Duration, type Durations } from './durations';
export { jobOf, STEP_KINDS, type DayJob, type DayStep, type DayWait, type StepKind } from './steps';
export {
  closingOf,
  midnight,
  openFrom,
  planOf,
  problemOf,
  type DayBlock,
  type DayPlan,
  type DayQuestion,
} from './plan';
export { riskOf, riskOfBench, type Risk, type RiskOfBench } from './risk';
export { hoursOf } from './hours';
export { waitingOf } from './waiting';
