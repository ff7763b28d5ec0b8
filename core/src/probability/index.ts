export { drawSamples, samplesOf, valuesOf, type Samples } from './samples';
export { playOutcomes, type JudgedBelt } from './kernel';
export { evenly, probabilitiesOf, type SuccessProbability } from './successProbability';
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
export { inHundred, measurableName } from './words';
