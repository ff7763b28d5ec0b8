export { youngModulusMpa } from './modulus';
export { sectionAreaMm2, strandPullN, thinnedMm, type BeltSection } from './strand';
