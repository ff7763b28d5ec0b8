export * from './schema';
export { TEMPORARY_CHANGE } from './words';
export { forbidding, isOpen, openChanges } from './temporaryChanges';
export { changeNamed, TEMPORARY_CHANGES } from './temporaryChangeKinds';
export { blankStep, driveWords, LIMIT_WORDS, readLine, stepWords, type ReadLine, type StepDraft } from './line';
export {
  countsOf,
  layerCounts,
  layersOf,
  leftOvers,
  STILL_TO_COME,
  type Counts,
  type Layer,
  type LayerCount,
} from './layers';
export { addOrder } from './order';
export { orderBack, rebuildOf, type RebuildItem } from './rebuild';
export { openRemoval } from './removals';
export { applyStrip } from './strip';
export { EMPTY_STRIP } from './empty';
export { bookedIn, goneBack, mirrored, newStep, offAgain } from './steps';
export { GUIDES, type GuideLine } from './guides';
export { factsOf, FACT_NAMES, FACTS_OF, KIND_NAMES, pinOneSide, type Facts } from './facts';
export { STEP_CAUTIONS } from './cautions';
