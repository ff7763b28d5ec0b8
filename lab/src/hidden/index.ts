export { arrives, between, FAULTS, ROOM, run, seenFrom } from './seen';
export { deal, NUMBERS, type HiddenMachine } from './deal';
export { answer, complaintOf, eject, fit, measure, type Ejected } from './asked';
