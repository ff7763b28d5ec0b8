import type { OldState } from '../../../physics/drive';
import type { Measurand } from '../../../belts/measuring';

export const MEASURAND_NAMES: Readonly<Record<Measurand, string>> = {
  section: 'belt section',
  width: 'belt width',
  grooveWidth: 'groove width',
  grooveDepth: 'groove depth',
  oldBelt: 'old belt',
  stringPath: 'path, by string',
  motorDiameter: 'motor pulley',
  drivenDiameter: 'driven pulley',
  centreDistance: 'centre distance',
  trayTravel: 'tray travel per turn',
  trayPull: 'tray pull',
  stallPull: 'tray held back',
};

/** How the old belt was found. */
export const OLD_STATE_NAMES: Readonly<Record<OldState, string>> = {
  unknown: 'unknown',
  taut: 'taut',
  hanging: 'hanging',
  broken: 'broken',
  crumbs: 'in crumbs',
  swollen: 'swollen',
  stopgap: 'a stopgap',
};
