import { forLoaders, LOADERS, loaderOf } from '../../../base/loaders';
import type { Cause, Lead } from '../schema';

/**
 * One cause: how often it is the one in a plain tray, beside the others. Where a kind of loader differs, its record says by
 * how much, and what the cause is called there.
 */
const cause = (id: string, name: string, leads: Lead, usual: number, remedy: string): Cause => {
  const called = LOADERS.flatMap((loader) => {
    const own = loaderOf(loader).causeNames[id];
    return own === undefined ? [] : [[loader, own] as const];
  });
  return {
    id,
    name,
    leads,
    priors: forLoaders((loader) => loaderOf(loader).causeWeights[id] ?? usual),
    remedy,
    ...(called.length > 0 && { names: Object.fromEntries(called) }),
  };
};

/**
 * Causes and how often each is the one, beside the others. Our judgement of common practice, no source: the bench may
 * change every number.
 */
export const CAUSES: readonly Cause[] = [
  cause(
    'latched',
    'Electronics that need a power reset',
    'none',
    5,
    'Leave it unplugged for some minutes, then count cycles before believing it.',
  ),
  cause('beltSlack', 'Belt slack', 'measure', 24, 'Measure the path and renew the belt; clean both pulleys first.'),
  cause(
    'beltOily',
    'Belt or pulley oily',
    'clean',
    4,
    'Clean both pulleys and wash the belt before buying a new one; find where the oil came from.',
  ),
  cause('beltGlazed', 'Belt glazed', 'measure', 8, 'Clean it first; where it still slips, measure and renew it.'),
  cause('beltBroken', 'Belt broken or missing', 'measure', 5, 'Find every piece, measure the path, fit a new one.'),
  cause(
    'beltDissolved',
    'Belt dissolved',
    'clean',
    4,
    'Clean the residue off both pulleys, with gloves; then measure the path.',
  ),
  cause(
    'beltWrong',
    'Wrong substitute belt',
    'measure',
    3,
    'Measure the path and the pulleys and fit what they ask for.',
  ),
  cause(
    'beltOff',
    'Belt off its pulley',
    'measure',
    3,
    'Put it back untwisted, in both grooves, and ask why it came off: measure it.',
  ),
  cause('otherBelt', 'Another of its belts', 'measure', 0, 'Test and measure every belt of the machine the same way.'),
  cause(
    'guidesDry',
    'Guides or pivots dry',
    'clean',
    7,
    'Old grease off first; then grease guides, or a single drop of fine oil in a bushing, nowhere near a belt.',
  ),
  cause('offTrack', 'Tray off its track', 'train', 4, 'Remove it and put it into its track square; never force it.'),
  cause('pastLock', 'Tray pushed past its lock', 'train', 2, 'Bring it back over its lock by the catch, not by force.'),
  cause('notClicked', 'Tray not clicked home', 'train', 2, 'Press it home until both catches are heard.'),
  cause(
    'transportLock',
    'Transport lock or stop pin left on',
    'rebuild',
    2,
    'Take it off, and note it among what must go back on for carriage.',
  ),
  cause('switchDirty', 'Limit switch dirty', 'clean', 8, 'Contact cleaner, worked in; then test it again.'),
  cause('switchTorn', 'Limit switch torn or bent', 'strip', 1.5, 'Straighten or renew it; see what tore it.'),
  cause(
    'toothOut',
    'A gear a tooth out',
    'train',
    3,
    'Set the train at one end of its travel, pin and first tooth at their marks.',
  ),
  cause('gearCracked', 'A gear cracked', 'train', 2.5, 'Renew it, or take one from a sister.'),
  cause('gearStripped', 'A gear stripped', 'train', 1.5, 'Renew it, and find what jammed it.'),
  cause('modeGear', 'Mode gear in the wrong state', 'train', 1, 'Unplugged, turn it home by hand to “no disc”.'),
  cause('rollerLink', 'Roller link off', 'train', 0, 'Put the link back on both rollers.'),
  cause('rollersWorn', 'Rollers worn or nicked', 'train', 0, 'Renew them, or note them as provisional.'),
  cause('rollersDirty', 'Rollers dirty', 'clean', 0, 'Isopropyl alcohol until they feel tacky.'),
  cause('discJammed', 'Disc jammed in the path', 'clean', 3, 'The gentlest way out first; then see what it caught on.'),
  cause(
    'loosePart',
    'An object or a loose part in the path',
    'clean',
    2,
    'Remove it, and find where it belongs: nothing left over.',
  ),
  cause('clampMagnet', 'Clamp or its magnet', 'strip', 3, 'Seat it, or renew what holds it.'),
  cause('motorWeak', 'Motor weak', 'strip', 3, 'Try it alone, belt off; renew it.'),
  cause('connector', 'Cable or connector', 'strip', 3, 'Seat every plug, by its body and never by the wires.'),
  cause(
    'lensDirty',
    'Lens dirty',
    'complaints',
    6,
    'Moist and never dripping, lightly, in circles; some never touch a lens.',
  ),
  cause('laserWeak', 'Pickup or laser weak', 'complaints', 3, 'Another trade: say so among the complaints.'),
  cause('benchLight', 'Bench light on a sensor', 'none', 0.5, 'Shade it; nothing is wrong with the machine.'),
  cause(
    'earlierWork',
    'An earlier repairer’s work',
    'strip',
    3,
    'Look for wrong screws, pinched cables and parts the wrong way round.',
  ),
  cause('operator', 'Nothing wrong: how it is used', 'complaints', 3, 'Show how, and write it into the letter.'),
];
