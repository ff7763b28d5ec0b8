export { beltPath, type BeltPath, type PathPulley, type Span } from './beltPath';
export { asPathPulleys, checkPulleys, twoPulleyPath, type TwoPulleys } from './twoPulleys';
export { ovalPerimeterMm, sagMm } from './shapes';
