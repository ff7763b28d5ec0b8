export { GROOVE_FORMS, grooveFriction, seatedRadiusMm, type Groove, type Pulley } from './seat';
export { SURFACES, type Surface } from './surface';
export {
  beltOrder,
  centreLineAt,
  DRIVEN_PULLEY,
  fitBelt,
  idlerName,
  innerPath,
  MOTOR_PULLEY,
  pulleysInOrder,
  touchedSide,
  type Belt,
  type Drive,
  type FittedBelt,
  type Idler,
} from './fitted';
export { bushShare, gripShare, shaftLoadN, slipGrip, type Grip, type GrippingPulley } from './grip';
export { motorTorqueNmm, strokeTimeS, trayForceN, type TrayGearing } from './tray';
export { isGone, OLD_STATES, type OldState } from './oldState';
