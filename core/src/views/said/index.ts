export { eventsSaid, stripSaid } from './happens';
export { readSaid } from './readSaid';
export type { Said, SaidAt, SaidWay } from './types';
