import { cleaning, cleanEvents } from '../../../work/cleaning';

export const cleanState = { cleaning };
export { cleanEvents };
