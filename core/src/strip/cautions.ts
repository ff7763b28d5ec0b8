import type { StepKind } from './schema';

/** What a kind of step can hurt, short, said as it is typed. Common practice, no source; local rules come first. */
export const STEP_CAUTIONS: Readonly<Partial<Record<StepKind, string>>> = {
  fasteners: 'A driver that slips goes into the hand: push along, not towards it. Some screws hold something else.',
  tabs: 'Hidden latches break when forced: feel for the second one.',
  adhesive: 'Old felt and labels lie over screws: lift slowly, keep what it stuck to.',
  cover: 'Something may still be attached: lift it a finger’s breadth and look.',
  connector: 'By its body, never by the wires; slide the latch of a flat cable first. Static at the laser.',
  belt: 'With a blunt hook. Dissolved rubber stains: gloves.',
  wire: 'Count its turns before it comes off.',
  gear: 'Mark where it stands. Turn trains by hand as little as possible. Clips fly: eyes.',
  part: 'Note which way round. A tray must clear its switch.',
  moved: 'How many turns, which way, viewed from where.',
};
