export {
  CYCLE_ACTIONS,
  CYCLE_RESULTS,
  isFailure,
  tally,
  type Cycle,
  type CycleAction,
  type CycleResult,
  type CycleRow,
  type Tally,
} from './cycles';
export { cycleTable } from './table';
export { cleanWanted, TOO_MANY_CYCLES, type CleanWanted } from './wanted';
export { mayBeginProof, proofState, type Proof, type ProofState, type Treatment } from './proof';
export { ACTION_NAMES, chanceWords, proofWords, RESULT_NAMES, tallyWords, unprovableWords, wantedWords } from './words';
export { CHECK_KINDS, CHECK_STATES, CHECKS, checksFor, type Check, type CheckKind, type CheckState } from './checks';
