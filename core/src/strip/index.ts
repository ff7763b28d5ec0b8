export * from './types';
export { forbidding, isOpen } from './loops';
export { loopNamed, LOOPS } from './loopKinds';
export { driveWords, LIMIT_WORDS, readLine, stepWords, type ReadLine, type StepDraft } from './line';
export {
  countsOf,
  layerCounts,
  layersOf,
  leftOvers,
  roundOff,
  STILL_TO_COME,
  type Counts,
  type Layer,
  type LayerCount,
} from './layers';
export { addOrder } from './order';
export { orderBack, rebuildOf, type RebuildItem } from './rebuild';
export { applyStrip, bookedIn, EMPTY_STRIP, goneBack, mirrored, newStep, offAgain, type StripHappening } from './strip';
export { GUIDES, type GuideLine } from './guides';
export { STEP_MINDS } from './minds';
