export * from './schema';
export { drawerReducers, newItem, received, sameSize } from './reduce';
export { drawerSays } from './describe';
export type { Says } from './says';
export {
  benchStock,
  inDrawer,
  isAged,
  itemFor,
  labelLies,
  labelWords,
  lengthOf,
  measureFrom,
  railsOf,
  runsLow,
  type InDrawer,
  type Rail,
} from './look';
export { ownedBelts } from './owned';
export { readPutIn, type PutIn } from './putIn';
export { heldTries, movedBy, outOf, unagreed, type Move, type Unagreed } from './takes';
