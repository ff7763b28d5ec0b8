export { beltHeld, cleanView, powerHeld, type CleanView, type PlaceView } from './view';
export { COOL_MINUTES, cleanEventsOf, WARM_MINUTES, type Blocked, type CleanOutcome, type CleanBy } from './events';
