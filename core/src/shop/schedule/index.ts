export type { Day, Job, Plan, Planned, Shift, Step } from './types';
export { placeInOrder } from './place';
export { byDispatch, firstCome, planDay, type Effort } from './search';
