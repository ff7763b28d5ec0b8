export * from './schema';
export {
  ACTION_DOING,
  ACTION_NAMES,
  countedBefore,
  isFailure,
  isTrial,
  RESULT_NAMES,
  TEST_DISC_NAMES,
  tally,
  type CycleRow,
  type Tally,
} from './cycles';
export { cycleTable } from './table';
export { cleanWanted, TOO_MANY_CYCLES, type CleanWanted } from './wanted';
export { mayBeginCleanRun, cleanRunState, type CleanRunState } from './cleanRun';
export { chanceWords, cleanRunWords, tallyWords, unprovableWords, wantedWords } from './words';
export { CHECKS, checksFor, figureWords, newCheck, type CheckFigure } from './checks';
export { circumstanceWords, failedUnder, ownersDiscTooEarly, type FailedUnder } from './conditions';
export { RECHECK_NAMES } from './recheck';
export { timedPairs, timedTestsFor, timesWords, type TimedPair } from './timing';

export { besideCount, failedKinds, FEW_CYCLES, isOfKind, kindWords, leastClean, type FailedKind } from './proof';
