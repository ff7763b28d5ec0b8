import { isDemo } from '../boot';
import { demoCounter } from './demoCounter';
import type { PartsCounter } from './port';

/** The parts counter that this bench can ask; none outside the demo. */
export const counter: PartsCounter | null = isDemo ? demoCounter : null;
export { MAY_BE_ORDERED } from './port';
export type { Asked, Bag, Offered, PartsCounter } from './port';
