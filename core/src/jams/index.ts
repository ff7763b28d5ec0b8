export {
  ladderOf,
  nextRung,
  RUNG_RESULT_NAMES,
  RUNG_RESULTS,
  RUNGS,
  SIDE_NAMES,
  SIDES,
  TURN_WAYS,
  type Rung,
  type RungKnown,
  type RungResult,
  type Side,
  type TurnWay,
} from './ladder';
export { directionWords, handTurns, otherWay, turnsWords, type HandTurns, type HandTurnsOf } from './handTurns';
