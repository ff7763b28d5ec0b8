export { arrives, between, BY_PHYSICS, FAULTS, look, ROOM, run } from './seen';
export { deal, dealWith, NUMBERS, type HiddenMachine } from './deal';
export { PREPARED, PREPARED_VERSION, prepared, type Judgement, type Prepared } from './prepared';
export { broughtIn, verdictNow, MISHAPS, type Mishap, type OnBench } from './onBench';
export { answer, complaintOf, eject, measure, type Ejected } from './asked';
export { CLEANED, DOINGS, MEASURED_BY, type Cleaned, type Doing, type Hand } from './hands';
export { ASKS_BELT, lay, mayLay, type Laid } from './lay';
export { withinYear, type Year } from './year';
