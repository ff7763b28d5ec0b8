export { beltHeld, cleanView, powerHeld, type CleanView, type PlaceView } from './view';
export { COOL_MINUTES, happen, WARM_MINUTES, type Blocked, type Happening, type HappenBy } from './happen';
