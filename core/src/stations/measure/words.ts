import type { Measurand } from '../../measuring';

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
