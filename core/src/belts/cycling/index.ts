export { bestBeliefs, CYCLE_PRIORS, drawBeliefs, type CycleBeliefs } from './beliefs';
export type { SeriesBelt } from './beltsInRow';
export { machineOf, usualTravelMm, type CycleKnown, type KnownPlace } from './machine';
export { bestMachine, CyclePlay, goesWell, type CycleShares, type Played } from './play';
export { changesFor, type SingleChange } from './changes';
