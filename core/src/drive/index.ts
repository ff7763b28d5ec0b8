export { GROOVE_FORMS, grooveFriction, seatedRadiusMm, type Groove, type Pulley } from './seat';
export { fitBelt, innerPath, pulleysInOrder, type Belt, type Drive, type FittedBelt, type Idler } from './fitted';
export { bushShare, gripShare, idlersGripShare, shaftLoadN, slipGrip, type Grip } from './grip';
export { motorTorqueNmm, strokeTimeS, trayForceN, type TrayGearing } from './tray';
export { SURFACES, type Surface } from './surface';
