export {
  DEPTHS,
  knowledgeFields,
  LEADS,
  type BenchTest,
  type Cause,
  type Depth,
  type Knowledge,
  type Lead,
  type Outcome,
} from './schema';
export { SILENT_OUTCOMES, type Case, type Observation } from './types';
export { KNOWLEDGE } from './knowledge';
export { checkKnowledge } from './check';
export { LEAST, outcomeChances } from './likelihood';
export { machineOf, type Machine } from './machine';
export {
  believe,
  BLURS,
  causeChances,
  NO_BLUR,
  rankCauses,
  seenCause,
  spoken,
  weigh,
  type Bearing,
  type Blur,
  type RankedCause,
} from './belief';
export {
  deeper,
  expectedBits,
  minutesNow,
  OPENING_MINUTES,
  POLICIES,
  suggest,
  type Policy,
  type Suggestion,
} from './nextTest';
export { evidenceOn, fitOf, wouldLead, type Evidence, type Fit, type WouldLead } from './why';
export { causeName, inWords, chanceWords, testName } from './words';
export { nextStep, type NextStep } from './nextStep';
