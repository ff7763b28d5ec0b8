import { cleaning, cleanEvents } from '../../cleaning';

export const cleanState = { cleaning };
export { cleanEvents };
