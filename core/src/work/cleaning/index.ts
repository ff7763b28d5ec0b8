export * from './schema';
export { PLACE_KNOWN, type KindKnown, type LubricationPoint } from './kinds';
export { STARTING_MAP } from './startingMap';
export { newPlace, nextPlaceNumber, numbered, placesOf, type MapOf, type MapPlace } from './places';
export { surfaceAt, type MappedDrive } from './surfaceAt';
export { kindNamed, PLACE_WORDS } from './placeWords';
export { DIRT_WORDS } from './dirtWords';
export { CLEAN_SWABS, placeState, stillDirty, SURFACE_OF, surfaceOf, type DirtyPlace, type PlaceState } from './state';
export { agentsFor, mayTreat, type Leave } from './mayTreat';
export {
  beltInReach,
  dryMinutesOf,
  handsDirty,
  heldBelt,
  heldPower,
  takesTime,
  type Held,
  type HeldBy,
} from './drying';
export { feelChange, lastOf, pullChange, pullChangeWords, slipChange, type Change } from './compare';
export { crumbsFinding, crumbsWords, type CrumbsFinding } from './crumbs';
export {
  DROP_DIAMETER_MM,
  dropMl,
  dropsFor,
  FILM_MM,
  filmOnRodMl,
  lubricantFor,
  nextLubrication,
  LUBRICANT_RULE_WORDS,
  type LubricationStep,
} from './lubrication';
export {
  DEED_NAMES,
  FEEL_NAMES,
  isCure,
  OUTCOME_NAMES,
  SLIP_NAMES,
  SWAB_NAMES,
  treatmentSaid,
  treatmentWords,
} from './words';
export { pullRound } from './round';
export { applyCleaning, EMPTY_CLEANING } from './reduce';
