export { evaluateBelt } from './evaluate';
export { oldSeat, ratioWanted, seatAt, sectionLogRatio, wrapsOfPath, type Seat } from './lay';
export {
  FAILURE_BITS,
  FAILURES,
  type Demands,
  type DriveValues,
  type EvaluatedBelt,
  type Evaluation,
  type Failure,
  type Requirements,
  type SpeedWanted,
} from './types';
