export { drawSamples, type Samples } from './samples';
export { FAILS, playOutcomes, type JudgedBelt } from './kernel';
export { evenly, probabilitiesOf, type Fail, type SuccessProbability } from './successProbability';
export { weighed, type BeltVerdict } from './verdicts';
export { valueOfMeasuring, type Measurable, type MeasurementValue } from './value';
export {
  ALIKE,
  answerProbability,
  rankByProbability,
  type ProbabilityAnswer,
  type ProbabilityQuestion,
} from './answer';
export { willDo, type WillDo } from './willDo';
export { REMEDIES, REMEDY_IDS, type RemedyId, type RemedyKnown } from './remedies';
export { FAIL_NAMES, inHundred, measurableName } from './words';
