export * from './schema';
export { dayReducers, daySays } from './reduce';
export { durationKey, durationsOf, type Duration, type Durations } from './durations';
export { jobOf, partsChance, STEP_KINDS, type DayJob, type DayStep, type DayWait, type StepKind } from './steps';
export {
  closingOf,
  hoursOf,
  midnight,
  openFrom,
  PLAN_DAYS,
  planOf,
  problemOf,
  USUAL_HOURS,
  type DayBlock,
  type DayPlan,
  type DayQuestion,
} from './plan';
export { waitingOf } from './waiting';
