export { bestBeliefs, CYCLE_PRIORS, drawBeliefs, type CycleBeliefs } from './beliefs';
export { machineOf, usualTravelMm, type CycleKnown } from './machine';
export { bestMachine, CyclePlay, goesWell, type CycleShares, type Played } from './play';
export { changesFor, type SingleChange } from './changes';
