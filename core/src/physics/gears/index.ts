export { inv, invInverse, PRESSURE_ANGLE_RAD } from './involute';
export {
  centreDistanceMm,
  diameters,
  leastShift,
  meshing,
  spanMm,
  spanTeeth,
  workingAngleRad,
  type Gear,
  type Meshing,
  type Pair,
} from './gear';
export { gearOutline, toothProfile, type Making, type Point, type ToothProfile } from './outline';
export { meshCheck, type MeshCheck } from './mesh';
export {
  identify,
  SIZES,
  type GearCandidate,
  type GearReadings,
  type Identified,
  type Measured,
  type Parting,
  type Size,
} from './identify';
