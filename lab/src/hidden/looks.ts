import type { Dirt } from '@loose-pulley/core/work/compatibility';
import type { Depth } from '@loose-pulley/core/work/diagnosis';
import type { Cleaned } from './hands';
import type { OnBench } from './onBench';

/** What lies in the open once the lid is off: only what an eye sees without touching anything. */
const SEEN_AT_ONCE: Readonly<Record<string, string>> = {
  beltBroken: 'no belt is on its pulleys; a piece of one lies on the floor',
  beltDissolved: 'where the belt was there is black tar, and crumbs under it',
  beltOff: 'the belt lies beside its pulley',
  loosePart: 'something small lies in the way',
  discJammed: 'the edge of a disc stands out of its path',
  offTrack: 'one side is ahead of the other',
  rollerLink: 'a small link lies loose',
  switchTorn: 'a lever hangs',
};
const DEEP: Readonly<Record<string, string>> = {
  toothOut: 'two marks do not face each other',
  gearCracked: 'a fine line runs through a wheel',
  gearStripped: 'a wheel has a gap in its teeth',
};

const sentence = (parts: readonly string[], none: string): string => {
  const said = parts.length > 0 ? parts.join('; ') : none;
  return `${said[0]?.toUpperCase() ?? ''}${said.slice(1)}.`;
};

/** What lies under what was taken off. */
export function uncovered({ left, machine, belt }: OnBench, to: Depth): string {
  const shows = to === 'deep' ? DEEP : SEEN_AT_ONCE;
  const seen = left.flatMap((cause) => (belt === null || !cause.startsWith('belt') ? (shows[cause] ?? []) : []));
  const earlier = to === 'lidOff' && machine.earlier ? [machine.earlier] : [];
  return sentence([...earlier, ...seen], to === 'deep' ? 'the train lies open' : 'belt and pulleys lie open, in place');
}

type Found = readonly [cause: string, words: string, dirt: Dirt];
const ON_SWAB: Readonly<Record<Cleaned, readonly Found[]>> = {
  pulleys: [
    ['beltOily', 'brown and oily', 'oily'],
    ['beltDissolved', 'black, and it strings', 'sludge'],
    ['beltGlazed', 'grey, with a shine left on the pulley', 'glazed'],
  ],
  guides: [['guidesDry', 'dry and brown: old grease', 'hardenedGrease']],
  switch: [['switchDirty', 'grey, with a green trace', 'corroded']],
  rollers: [['rollersDirty', 'grey, and the rollers squeak', 'fluff']],
  lens: [['lensDirty', 'a grey film', 'residue']],
};

/** How a swab comes away from a place, and what was found by it; null where that is no more than dust. */
export function swabbed(
  { left, clean, machine }: OnBench,
  place: Cleaned,
): { readonly words: string; readonly dirt: Dirt | null } {
  if (clean.includes(place)) return { words: 'The swab comes away clean.', dirt: null };
  // What was on the belt stays on the pulleys until they are wiped.
  const dirt = ON_SWAB[place].find(([cause]) => left.includes(cause) || machine.causes.includes(cause));
  if (!dirt) return { words: 'The swab comes away with a little grey dust.', dirt: null };
  return { words: `The swab comes away ${dirt[1]}.`, dirt: dirt[2] };
}
