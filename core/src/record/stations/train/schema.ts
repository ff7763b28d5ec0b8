import { train, trainEvents } from '../../../physics/train';

/** The train belongs to no station alone: Measure counts it, Strip takes it off, Rebuild times it. */
export const trainState = { train };
export { trainEvents };
