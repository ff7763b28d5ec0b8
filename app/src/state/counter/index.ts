import { homeBench } from '../boot';
import { demoCounter } from './demoCounter';
import type { PartsCounter } from './port';

/** The parts counter that this bench can ask; none outside the demo, whose practice asks it too. */
export const counter: PartsCounter | null = homeBench === 'demo' ? demoCounter : null;
export { MAY_BE_ORDERED } from './port';
export type { Asked, Bag, Offered, PartsCounter } from './port';
