export * from './types';
export { forbidding, isOpen } from './loops';
export { loopNamed, LOOPS } from './loopKinds';
export { driveWords, LIMIT_WORDS, readLine, stepWords, type ReadLine, type StepDraft } from './line';
export { countsOf, layersOf, leftOvers, roundOff, STILL_TO_COME, type Counts, type Layer } from './layers';
export { addOrder } from './order';
export { orderBack, rebuildOf, type RebuildItem } from './rebuild';
export { applyStrip, EMPTY_STRIP, goneBack, newStep, offAgain, type StripHappening } from './strip';
export { GUIDES, type GuideLine } from './guides';
