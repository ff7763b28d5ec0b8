import type { OldState } from '../../../physics/drive';
import { findMethod, type Measurand, type Reading } from '../../../belts/measuring';

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

/**
 * What was measured and how, nothing said twice.
 *
 * @example readingName({ measurand: 'section', method: 'sectionAsUsual' }) // 'belt section, as usual'
 */
export function readingName({ measurand, method }: Pick<Reading, 'measurand' | 'method'>): string {
  const name = MEASURAND_NAMES[measurand];
  const ways = (findMethod(method)?.label ?? method).split(', ').filter((way) => way !== '' && !name.endsWith(way));
  return [name, ...ways].join(', ');
}

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
