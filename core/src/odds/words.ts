import { WEAKNESS_NAMES } from '../sizing';
import type { Fail } from './odds';
import type { Measurable } from './value';

/** Odds as they are said. @example inHundred(0.934) // '93 in 100' */
export function inHundred(share: number): string {
  const whole = Math.round(100 * share);
  if (whole >= 100) return 'over 99 in 100';
  return whole < 1 ? 'under 1 in 100' : `${whole} in 100`;
}

/** What goes wrong, in words that finish “it would be by …”. */
export const FAIL_NAMES: Readonly<Record<Fail, string>> = { ...WEAKNESS_NAMES, speed: 'turning at the wrong speed' };

/** What may be measured next, as it is asked for. */
export const MEASURABLE_NAMES: Readonly<Record<Measurable, string>> = {
  path: 'the path, more closely',
  motorDiameter: 'both pulleys and their distance',
  trayPull: 'the pull of the tray on a scale',
  stallPull: 'the pull that holds the tray while the motor stands',
  trayTravel: 'the tray’s travel over ten turns',
};
