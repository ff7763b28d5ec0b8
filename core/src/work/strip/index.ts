export * from './schema';
export { COUNTED, driveWords, FATES_KNOWN, goesBack, isAway, severalOf, stepWords, TEMPORARY_CHANGE } from './words';
export { cannotEnd, coveringStep, forbidding, isOpen, LIMIT_WORDS, newChange, openChanges } from './temporaryChanges';
export { changeNamed, TEMPORARY_CHANGES } from './temporaryChangeKinds';
export { blankStep, type StepDraft } from './blank';
export { lidNow, lidStep } from './lid';
export {
  countsOf,
  layerCounts,
  layersOf,
  leftOverList,
  leftOverOf,
  leftOvers,
  STILL_TO_COME,
  type Counts,
  type Layer,
  type LayerCount,
  type LeftOver,
} from './layers';
export { addOrder } from './order';
export { orderBack, rebuildOf, type RebuildItem } from './rebuild';
export { lastRemoval, offSince, openRemoval } from './removals';
export { applyStrip } from './strip';
export { EMPTY_STRIP } from './empty';
export { bookedIn, goneBack, mirrored, newStep, offAgain, placedLate, withFate } from './steps';
export { GUIDES, type GuideLine } from './guides';
export { stepFacts, FACT_NAMES, FACTS_OF, KIND_NAMES, pinOneSide, type Facts } from './facts';
export { cautionFor, STEP_CAUTIONS } from './cautions';
