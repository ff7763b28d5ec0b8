export { coldOf } from './cold';
export { cycleFigures, cycleKnown, watchedTimes, type Basis, type CycleFigure } from './known';
export { againstWatch, eventWords, headlineOf, inHundredOf, isTrouble, OUTCOME_NAMES, whyApart } from './words';
export { clicksHeard, clicksIn, type Click } from './onTheWay';
export { toCsv } from './csv';
