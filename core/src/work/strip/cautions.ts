import { forLoader, type Loader, loaderOf } from '../../base/loaders';
import type { Fate, StepKind } from './schema';

/** What a kind of step can hurt, short, said as it is typed. Common practice, no source; local rules come first. */
export const STEP_CAUTIONS: Readonly<Partial<Record<StepKind, string>>> = {
  screws: 'A driver that slips goes into the hand: push along, not towards it. Some screws hold something else.',
  tabs: 'Hidden latches break when forced: feel for the second one.',
  adhesive: 'Old felt and labels lie over screws: lift slowly, keep what it stuck to.',
  cover: 'Something may still be attached: lift it a finger’s breadth and look.',
  connector: 'By its body, never by the wires; slide the latch of a flat cable first. Static at the laser.',
  belt: 'With a blunt hook. Dissolved rubber stains: gloves.',
  wire: 'Count its turns before it comes off.',
  gear: 'Mark where it stands. Turn trains by hand as little as possible. Clips fly: eyes.',
  part: 'Note which way round. A tray must clear its switch.',
  springs: 'It flies: a hand or a bag round it, eyes away.',
  clips: 'It flies: a magnet or a bag round the hand, eyes away.',
  cable: 'It is still plugged: do not pull on it when the part lifts.',
};

/** What a way of doing it asks for. */
const FATE_CAUTIONS: Readonly<Partial<Record<Fate, string>>> = {
  turned: 'How many turns, which way, viewed from where, to which stop.',
  unsoldered: 'Hot iron and fumes: air, eyes. Note which wire sat where.',
  cut: 'Cut away from the wires and from the hand.',
};

/**
 * What to mind with a step, said once for each kind and way on a ticket: a second plug needs no telling.
 *
 * @param before the steps that there are already
 * @example cautionFor({ kind: 'cover', fate: 'off' }, [], 'tray') // 'Something may still be attached: lift it a finger’s breadth and look.'
 */
export function cautionFor(
  step: { readonly kind: StepKind; readonly fate: Fate },
  before: ReadonlyArray<{ readonly kind: StepKind; readonly fate: Fate }>,
  loader: Loader,
): string {
  const kind = before.some((one) => one.kind === step.kind) ? undefined : STEP_CAUTIONS[step.kind];
  const fate = before.some((one) => one.fate === step.fate) ? undefined : FATE_CAUTIONS[step.fate];
  const machine =
    step.kind === 'cover' && !before.some((one) => one.kind === 'cover') ? loaderOf(loader).underTheCover : '';
  return forLoader([kind, fate, machine].filter(Boolean).join(' '), loader);
}
