import type { Dirt, Material } from '../compatibility';
import type { PlaceKind } from './schema';

/** What is put on a place to let it run. */
export interface LubricationPoint {
  /** A lubricant that all schools agree on; null where they differ: the bench is asked once. */
  readonly agreed: 'oil' | 'grease' | null;
  readonly amount: string;
  readonly workedIn: string;
}

export interface KindKnown {
  readonly name: string;
  /** What it usually is of, the likeliest first. */
  readonly materials: readonly Material[];
  /** How it is usually found. */
  readonly dirts: readonly Dirt[];
  /** Nothing that lubricates may reach it. */
  readonly keepFreeOfOil: boolean;
  /** What must be dry before the belt goes on, or before power. */
  readonly driesBefore: 'belt' | 'power' | null;
  /** How it is gone about, and what goes wrong. */
  readonly manner: string;
  readonly lubrication: LubricationPoint | null;
  /** The belt is usually within reach of what is put here. */
  readonly nearBelt: boolean;
  /** What may be found on it that cleaning does not mend. */
  readonly worn: readonly string[];
}

const plain = {
  keepFreeOfOil: false,
  driesBefore: null,
  lubrication: null,
  nearBelt: false,
  worn: [],
} as const;
const runs = { keepFreeOfOil: true, driesBefore: 'belt', nearBelt: true } as const;

/** The kinds of place: how each is cleaned, dried and let run. Common practice, no source. */
export const PLACE_KNOWN: Readonly<Record<PlaceKind, KindKnown>> = {
  motorPulley: {
    ...plain,
    ...runs,
    name: 'motor pulley',
    materials: ['copperAlloy', 'acetal', 'steel', 'abs'],
    dirts: ['residue', 'sludge', 'oily', 'glazed'],
    manner:
      'A flattened swab down into the groove, turned round with the pulley; hardened rubber is picked out with wood, not with metal.',
    worn: ['groove worn', 'loose on its shaft'],
  },
  drivenPulley: {
    ...plain,
    ...runs,
    name: 'drive pulley',
    materials: ['acetal', 'abs', 'nylon', 'polystyrene', 'copperAlloy'],
    dirts: ['residue', 'sludge', 'oily', 'glazed'],
    manner: 'A flattened swab down into the groove, turned by hand a whole turn and once more with a fresh one.',
    worn: ['groove worn', 'cracked', 'wobbles'],
  },
  idler: {
    ...plain,
    ...runs,
    name: 'idler',
    materials: ['acetal', 'nylon', 'copperAlloy', 'abs'],
    dirts: ['residue', 'oily', 'glazed'],
    manner:
      'As the other pulleys: the groove first, then its flanks. Its pin gets a drop only if it is dry, and the excess is wiped.',
    worn: ['groove worn'],
  },
  belt: {
    ...plain,
    ...runs,
    name: 'belt',
    materials: ['chloroprene', 'ethylenePropylene', 'nitrile', 'polyurethane', 'naturalRubber', 'siliconeRubber'],
    dirts: ['oily', 'glazed', 'fluff', 'sticky'],
    manner:
      'Washed between the fingers in warm soapy water, rinsed, laid on a clean cloth until dry. A new one as well. Never soaked in a solvent.',
    worn: ['cracked', 'glazed through', 'stretched'],
  },
  bushing: {
    ...plain,
    name: 'motor bushing',
    materials: ['copperAlloy', 'steel'],
    dirts: ['dry', 'hardenedGrease'],
    manner:
      'Wipe the shaft first, then one drop where shaft and bushing meet; turn it some twenty times; wipe what comes out.',
    lubrication: { agreed: 'oil', amount: 'one drop, 0.03 ml', workedIn: 'turned some twenty times by hand' },
    nearBelt: true,
    worn: ['play in it'],
  },
  shaft: {
    ...plain,
    name: 'shaft',
    materials: ['steel'],
    dirts: ['residue', 'hardenedGrease', 'fluff', 'dry'],
    manner: 'Look behind the pulley: crumbs and threads wind themselves on here. Off with tweezers, then wipe.',
    lubrication: { agreed: 'oil', amount: 'one drop at its bearing', workedIn: 'turned by hand' },
    nearBelt: true,
    worn: ['bent'],
  },
  rod: {
    ...plain,
    name: 'rods',
    materials: ['steel'],
    dirts: ['hardenedGrease', 'dry', 'fluff'],
    manner:
      'Old grease off the whole length, both rods alike, until a swab comes away clean; then the new film, run end to end three times.',
    lubrication: { agreed: null, amount: 'a film', workedIn: 'run from end to end three times' },
    worn: ['scored', 'bent'],
  },
  guide: {
    ...plain,
    name: 'guides',
    materials: ['abs', 'acetal', 'polystyrene', 'steel'],
    dirts: ['hardenedGrease', 'dry', 'fluff'],
    manner: 'Old grease out of the corners with a pick, both sides alike; then a film on the running faces alone.',
    lubrication: { agreed: null, amount: 'a film', workedIn: 'run from end to end three times' },
    worn: ['scored', 'lip broken'],
  },
  rack: {
    ...plain,
    name: 'rack',
    materials: ['acetal', 'abs', 'nylon'],
    dirts: ['hardenedGrease', 'fluff', 'dry'],
    manner:
      'A stiff brush across the teeth, to their roots; then a film, not a bead: what is too much is thrown onto the belt.',
    lubrication: { agreed: 'grease', amount: 'a film on the teeth', workedIn: 'run from end to end' },
    worn: ['tooth broken', 'tooth worn'],
  },
  gear: {
    ...plain,
    name: 'gears',
    materials: ['acetal', 'nylon', 'abs'],
    dirts: ['hardenedGrease', 'fluff', 'dry'],
    manner: 'A brush round the teeth, turning them as little as possible while the tray is out: timing hangs on them.',
    lubrication: { agreed: 'grease', amount: 'a film on the teeth', workedIn: 'turned a whole turn' },
    nearBelt: true,
    worn: ['tooth broken', 'cracked on its shaft'],
  },
  roller: {
    ...plain,
    name: 'rollers',
    materials: ['chloroprene', 'nitrile', 'siliconeRubber', 'polyurethane'],
    dirts: ['glazed', 'fluff', 'sticky', 'oily'],
    keepFreeOfOil: true,
    driesBefore: 'power',
    manner:
      'Hold the swab still and turn the roller against it, end to end, until it comes away clean and the rubber feels faintly tacky.',
    worn: ['nicked', 'worn in the middle', 'hard'],
  },
  clamp: {
    ...plain,
    name: 'clamp',
    materials: ['abs', 'acetal', 'polycarbonate'],
    dirts: ['fluff', 'sticky'],
    keepFreeOfOil: true,
    manner:
      'The pad that holds the disc: a dry swab, then alcohol where it is sticky. Nothing on it that lets a disc slip.',
    worn: ['pad loose'],
  },
  switch: {
    ...plain,
    name: 'limit switch',
    materials: ['unknown'],
    dirts: ['corroded', 'fluff', 'oily'],
    keepFreeOfOil: true,
    driesBefore: 'power',
    manner:
      'Levers out, cleaner on the contacts, worked twenty times, levers in again. Out, they stand under what must be reversed.',
    worn: ['lever bent', 'lever torn off'],
  },
  lens: {
    ...plain,
    name: 'lens',
    materials: ['coatedLens', 'glass', 'acrylic'],
    dirts: ['fluff', 'sticky', 'oily'],
    keepFreeOfOil: true,
    driesBefore: 'power',
    manner:
      'Swab moist, never dripping; the lightest pressure, in circles from the middle out; a fresh side each time. Left alone where it reads: say why.',
    worn: ['scratched', 'hazed'],
  },
  head: {
    ...plain,
    name: 'heads',
    materials: ['unknown', 'glass'],
    dirts: ['fluff', 'sticky', 'oily'],
    keepFreeOfOil: true,
    driesBefore: 'power',
    manner:
      'Alcohol on a lint-free swab along the track, never across; both faces; never lift the upper head further than it goes by itself.',
    worn: ['worn', 'chipped'],
  },
  pot: {
    ...plain,
    name: 'pots',
    materials: ['unknown'],
    dirts: ['corroded', 'fluff'],
    keepFreeOfOil: true,
    driesBefore: 'power',
    manner: 'A short burst at the opening, then end to end twenty times; do the same once more.',
    worn: ['track worn through'],
  },
  key: {
    ...plain,
    name: 'keys',
    materials: ['abs', 'polystyrene', 'siliconeRubber', 'painted'],
    dirts: ['sticky', 'fluff'],
    keepFreeOfOil: true,
    driesBefore: 'power',
    manner:
      'Off the board, soaked in lukewarm soapy water, rinsed, a whole day to dry. The board itself is never soaked.',
    worn: ['print gone', 'contact pad gone'],
  },
  contact: {
    ...plain,
    name: 'contacts',
    materials: ['copperAlloy'],
    dirts: ['corroded', 'fluff'],
    keepFreeOfOil: true,
    driesBefore: 'power',
    manner:
      'Cleaner on a swab, then plugged and unplugged ten times. Green or white growth: eraser along the contact, never across.',
    worn: ['plating gone'],
  },
  spindle: {
    ...plain,
    name: 'spindle',
    materials: ['copperAlloy', 'steel'],
    dirts: ['dry', 'hardenedGrease'],
    manner:
      'One drop where it turns, no more: what is thrown off lands on the disc. Wipe, and let it run before a disc goes in.',
    lubrication: { agreed: 'oil', amount: 'one drop, 0.03 ml', workedIn: 'turned some twenty times by hand' },
    nearBelt: true,
    worn: ['play in it'],
  },
  floor: {
    ...plain,
    name: 'floor',
    materials: ['steel', 'abs', 'polystyrene'],
    dirts: ['fluff', 'residue', 'sludge'],
    manner: 'A brush and a lamp, then tip it over a white cloth: every crumb of a belt is counted.',
  },
  part: {
    ...plain,
    name: 'part',
    materials: ['unknown'],
    dirts: ['fluff', 'sticky'],
    manner: 'Gentlest first, and tried where it does not show.',
  },
};
