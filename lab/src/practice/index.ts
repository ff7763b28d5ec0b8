export { handName } from './handName';
export { alwaysAtHand, chosenAt, handsAt, type Stands } from './offered';
export { afterHands, dealHard, HARDNESS, theMachine, type Hardness, type Which } from './machine';
export { JUDGEMENTS, judgementOf } from './judgements';
export { ending, type Ending, type Step, type Way } from './ending';
