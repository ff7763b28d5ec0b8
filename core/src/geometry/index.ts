export { beltPath, type BeltPath, type PathPulley, type Span } from './beltPath';
export { asPathPulleys, twoPulleyPath, type TwoPulleys } from './twoPulleys';
export { ovalPerimeterMm, sagMm } from './shapes';
