export {
  COLD_ROOM_C,
  complaintConditions,
  cycleFigures,
  cycleKnown,
  failsInTheCold,
  USUAL_CONDITIONS,
  watchedTimes,
  type Basis,
  type CycleFigure,
} from './known';
export { againstWatch, eventWords, headlineOf, inHundredOf, OUTCOME_NAMES } from './words';
export { toCsv } from './csv';
