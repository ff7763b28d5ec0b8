export { LINE_MAX, readLine } from './readLine';
export type { Deed, ReadLine, Way } from './types';
