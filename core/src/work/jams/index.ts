export * from './schema';
export { ladderOf, nextRung, RUNG_RESULT_NAMES, SIDE_NAMES, type RungKnown } from './ladder';
export { directionWords, handTurns, otherWay, turnsWords, type HandTurns, type HandTurnsOf } from './handTurns';
