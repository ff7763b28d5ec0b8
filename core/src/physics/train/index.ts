export * from './schema';
export { FAULT_NAMES, MEMBER_NAMES, memberWords } from './words';
export {
  againstCounted,
  clicksFrom,
  drivingTeeth,
  driversOf,
  trainFigures,
  type BeltRatios,
  type ClickFrom,
  type MemberTurn,
  type TrainFigures,
  type TrainProblem,
} from './compute';
export { clickEveryMm, clicksOnWay, type ClicksOnWay } from './onWay';
export { looksRight, nextTrial, placeOf, PLAY_MM, playAtEndMm, timed, toothMm, type ToothOut } from './timing';
export { DISCS_MM, drift, linkOff, LIPS_N, meanMm, sleeveMm, taperMm, tractionWords, type Drift } from './rollers';
export { disagreement, homeByHand, squareWords, tiltRad } from './mode';
export { guessedMember, membersOf, ofSister, type MemberDraft } from './members';
export { readTrain } from './readTrain';
export { applyTrain, EMPTY_TRAIN } from './reduce';
