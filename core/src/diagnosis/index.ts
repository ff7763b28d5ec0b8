export {
  DEPTHS,
  DIAGNOSED_LOADERS,
  LEADS,
  SILENT_OUTCOMES,
  type BenchTest,
  type Case,
  type Cause,
  type Depth,
  type DiagnosedLoader,
  type Knowledge,
  type Lead,
  type Observation,
  type Outcome,
} from './types';
export { KNOWLEDGE } from './knowledge';
export { checkKnowledge } from './check';
export { LEAST, outcomeChances } from './likelihood';
export { machineOf, type Machine } from './machine';
export { believe, causeChances, rankCauses, spoken, type RankedCause } from './belief';
export { deeper, expectedBits, minutesNow, OPENING_MINUTES, suggest, type Suggestion } from './nextTest';
export { evidenceOn, fitOf, wouldLead, type Evidence, type Fit, type WouldLead } from './why';
export { causeName, inWords, oddsWords, testName } from './words';
export { simulate, type Played, type Simulation } from './simulate';
