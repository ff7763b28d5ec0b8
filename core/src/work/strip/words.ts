import type { Fate, Step, StepKind } from './schema';

/** What the bench calls something altered for the work that must be reversed: the one place to change the word. */
export const TEMPORARY_CHANGE = 'temporary change';

/** What was done with a thing, in words, and what brings it back; null where nothing has to come back. */
export const FATES_KNOWN: Readonly<Record<Fate, { readonly name: string; readonly back: string | null }>> = {
  off: { name: 'off', back: 'Back' },
  loosened: { name: 'loosened', back: 'Tightened' },
  movedAside: { name: 'moved aside', back: 'In its place' },
  foldedBack: { name: 'folded back', back: 'Folded home' },
  turned: { name: 'turned', back: 'Turned back' },
  pulled: { name: 'pulled', back: 'Plugged in' },
  unhooked: { name: 'unhooked', back: 'Hooked in' },
  unsoldered: { name: 'unsoldered', back: 'Soldered' },
  cut: { name: 'cut', back: 'Joined or renewed' },
  marked: { name: 'marked', back: null },
  leftAlone: { name: 'left alone', back: null },
  noted: { name: 'noted', back: null },
};

/** Whether a thing of this fate has to come back. @example goesBack('marked') // false */
export const goesBack = (fate: Fate): boolean => FATES_KNOWN[fate].back !== null;
/** Whether it lies on the bench now, rather than still being somewhere on the machine. */
export const isAway = (fate: Fate): boolean => fate === 'off' || fate === 'pulled';

/** The kinds that are counted in a step: “2 screws”. Others say how many only where they are several. */
export const COUNTED: ReadonlySet<StepKind> = new Set(['screws', 'nuts', 'clips', 'springs', 'tabs']);

/** A drive in words. @example driveWords('T8 pinned') // 'hexalobular 8, pinned' */
export function driveWords(drive: string): string {
  const [size = '', ...rest] = drive.split(' ');
  if (drive.startsWith('hex socket')) return drive;
  const name = size.startsWith('PH')
    ? `cross-head ${size.slice(2)}`
    : size.startsWith('PZ')
      ? `cross recess type Z ${size.slice(2)}`
      : size.startsWith('T')
        ? `hexalobular ${size.slice(1)}`
        : size;
  return [name.trim(), ...rest].join(', ');
}

/** Several of what is named in the singular. @example severalOf('latch') // 'latches' */
export const severalOf = (what: string): string =>
  /s$/.test(what) && !/ss$/.test(what) ? what : /(?:ch|sh|x)$/.test(what) ? `${what}es` : `${what}s`;
const oneOf = (what: string): string => what.replace(/(?<=ch|sh|x)es$|(?<!s)s$/, '');

/**
 * A step in words, as the echo says it: how many, what, its driver, length, place and fate.
 *
 * @example stepWords({ ...steps[0], what: 'screw', where: 'underside' }) // '4 screws, cross-head 1, from underside'
 */
export function stepWords(
  step: Pick<
    Step,
    'kind' | 'fate' | 'what' | 'count' | 'missing' | 'driverType' | 'lengthMm' | 'where' | 'orientation' | 'leaveAlone'
  >,
): string {
  const present = step.count - step.missing;
  const counted = COUNTED.has(step.kind) || present > 1;
  const what = present === 1 ? oneOf(step.what) : severalOf(step.what);
  const onIt = step.fate === 'leftAlone' || step.fate === 'loosened' || step.fate === 'marked' || step.fate === 'noted';
  return [
    step.count === 0 ? severalOf(step.what) : counted ? `${present} ${what}` : step.what,
    step.fate !== 'off' && step.fate !== 'leftAlone' && step.fate !== 'noted' && FATES_KNOWN[step.fate].name,
    step.driverType && driveWords(step.driverType),
    step.lengthMm !== null && `${step.lengthMm} mm`,
    step.where &&
      (/^(?:from|under|underneath|behind|in|on|at|near|beside|between|above|below|over|inside|outside|by|along|round|around|to|towards|against|through|holding|for|next|left|right)\b/.test(
        step.where,
      )
        ? step.where
        : `${onIt ? 'at' : 'from'} ${step.where}`),
    step.orientation,
    step.missing > 0 && `${step.missing} missing on arrival`,
    step.leaveAlone || (step.fate === 'leftAlone' && 'left alone'),
    step.fate === 'noted' && step.kind !== 'note' && 'only noted',
  ]
    .filter((part): part is string => typeof part === 'string' && part !== '')
    .join(', ');
}
