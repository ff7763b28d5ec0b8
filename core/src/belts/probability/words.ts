import type { Explained, Explanation } from './explain';
import type { Measurable } from './value';
import { type Driven, DRIVEN } from '../../base/loaders';

/** A probability as it is said. @example inHundred(0.934) // '93 in 100' */
export function inHundred(share: number): string {
  const whole = Math.round(100 * share);
  if (whole >= 100) return 'over 99 in 100';
  return whole < 1 ? 'under 1 in 100' : `${whole} in 100`;
}

/**
 * What may be measured next, as it is asked for.
 *
 * @param inferred the path was not measured at all
 * @example measurableName('trayPull', 'drawer') // 'the pull of the drawer on a scale'
 */
export function measurableName(what: Measurable, driven: Driven, inferred = false): string {
  const moved = DRIVEN[driven].word;
  switch (what) {
    case 'path':
      return inferred ? 'the path: a string, or both pulleys and their distance' : 'the path, more closely';
    case 'motorDiameter':
      return 'both pulleys and their distance';
    case 'trayPull':
      return `the pull of the ${moved} on a scale`;
    case 'stallPull':
      return `the pull that holds the ${moved} while the motor stands`;
    case 'trayTravel':
      return `the ${moved}’s travel over ten turns`;
  }
}

/** What would explain a verdict, as it is said. @example explainedWords({ what: 'motor', change: -0.3, sigmas: -1 }, 'tray') // 'a weaker motor than assumed' */
export function explainedWords({ what, change }: Explanation, driven: Driven): string {
  const more = change > 0;
  switch (what) {
    case 'need':
      return `a ${DRIVEN[driven].word} that goes ${more ? 'more stiffly' : 'more easily'} than assumed`;
    case 'motor':
      return `a ${more ? 'stronger' : 'weaker'} motor than assumed`;
    case 'rubber':
      return `${more ? 'harder' : 'softer'} rubber than assumed`;
    case 'friction':
      return more
        ? 'pulleys that grip better than assumed'
        : 'a pulley that is oily or shiny where it was called better';
    case 'path':
      return `a ${more ? 'longer' : 'shorter'} path than was read`;
  }
}

/** What to measure to know whether that is it; undefined where nothing on the bench would tell. */
export const wouldTell: Readonly<Record<Explained, Measurable | undefined>> = {
  need: 'trayPull',
  motor: 'stallPull',
  rubber: undefined,
  friction: undefined,
  path: 'path',
};
