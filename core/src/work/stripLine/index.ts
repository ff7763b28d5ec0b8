export { accountOf } from './account';
export { LINE_MAX } from './deeds';
export { readLine } from './readLine';
export type { Deed, ReadLine, Way } from './types';
