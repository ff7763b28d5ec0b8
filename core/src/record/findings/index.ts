export { conflictsOf, settlementOf, type Conflict } from './conflicts';
export { asFound, dirtyAsFound, mapAsFound } from './asFound';
export { answerDropped, findingsOf, isEnded, knownOf, type Finding, type Found } from './ledger';
export {
  FINDING_KINDS,
  rowOf,
  type FindingKind,
  type FindingNature,
  type FindingRow,
  type TestAnswer,
  type ThingKind,
} from './rows';
export { findingsTold, type Told } from './telling';
