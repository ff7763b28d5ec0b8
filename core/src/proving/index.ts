export {
  ACTION_NAMES,
  CYCLE_ACTIONS,
  CYCLE_RESULTS,
  isFailure,
  RESULT_NAMES,
  TEST_DISC_NAMES,
  TEST_DISCS,
  tally,
  type Cycle,
  type CycleAction,
  type CycleResult,
  type CycleRow,
  type Tally,
  type TestDisc,
} from './cycles';
export { cycleTable } from './table';
export { cleanWanted, TOO_MANY_CYCLES, type CleanWanted } from './wanted';
export { mayBeginCleanRun, cleanRunState, type CleanRun, type CleanRunState, type Treatment } from './cleanRun';
export { chanceWords, cleanRunWords, tallyWords, unprovableWords, wantedWords } from './words';
export {
  CHECK_KINDS,
  CHECK_STATES,
  CHECKS,
  checksFor,
  figureWords,
  newCheck,
  type Check,
  type CheckFigure,
  type CheckKind,
  type CheckState,
} from './checks';
export { circumstanceWords, failedUnder, ownersDiscTooEarly, type FailedUnder } from './conditions';
export { RECHECK_NAMES, RECHECK_RESULTS, type Recheck } from './recheck';
export { TIMING_SIDES, timedPairs, timedTestsFor, timesWords, type TimedPair, type Timing } from './timing';
