export { drawWorlds, type Worlds } from './worlds';
export { FAILS, playBelts, type OddsBelt } from './kernel';
export { evenly, oddsOf, type Fail, type Odds } from './odds';
export { weighed, type BeltVerdict } from './verdicts';
export { valueOfMeasuring, type Measurable, type MeasurementValue } from './value';
export { ALIKE, answerOdds, rankByOdds, type OddsAnswer, type OddsQuestion } from './answer';
export { willDo, type WillDo } from './willDo';
export { REMEDIES, REMEDY_IDS, type RemedyId, type RemedyKnown } from './remedies';
export { FAIL_NAMES, inHundred, measurableName } from './words';
