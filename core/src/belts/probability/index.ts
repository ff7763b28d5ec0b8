export { samplesOf, valuesOf, type Samples } from './samples';
export { believe, type TriedBelt } from './believe';
export { effectiveCount, temper, type Believed } from './temper';
export { playOutcomes, type JudgedBelt } from './kernel';
export { evenly, probabilitiesOf, type SuccessProbability } from './successProbability';
export { type BeltVerdict } from './verdicts';
export { valueOfMeasuring, type Measurable, type MeasurementValue } from './value';
export { chosenAfter, type AfterTries } from './afterTries';
export {
  answerProbability,
  isOldSection,
  rankByProbability,
  type Choosing,
  type ProbabilityAnswer,
  type ProbabilityQuestion,
  type Surprise,
  type Wanted,
} from './answer';
export { willDo, type WillDo } from './willDo';
export { REMEDIES, REMEDY_IDS, warmedRange, type RemedyId, type RemedyKnown, type WarmedRange } from './remedies';
export { explainedWords, inHundred, measurableName, wouldTell } from './words';
export { type Explained, type Explanation } from './explain';
export { inRoom } from './room';
