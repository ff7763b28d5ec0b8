import { isAway } from '../../work/strip';
import type { MachineView } from './view';

/** Whether a cycle can be counted as the machine stands now. */
export type Counting =
  | { readonly may: 'yes' }
  /** Nothing can have run. */
  | { readonly may: 'no'; readonly because: string }
  /** It may have run, and shows nothing of the machine as it will go back. */
  | { readonly may: 'trial'; readonly because: string };

/** Kinds without which a cycle shows nothing: covers and screws may be off while one tries. */
const NEEDED: ReadonlySet<string> = new Set(['connector', 'belt', 'gear', 'part', 'springs', 'clips', 'wire', 'nuts']);

/**
 * Whether cycles count now: none while it is unplugged, and with parts out only as a trial.
 *
 * @example countingNow(machine) // { may: 'no', because: 'it is unplugged, so nothing can have run' }
 */
export function countingNow({ mains, off, drives }: Pick<MachineView, 'mains' | 'off' | 'drives'>): Counting {
  if (mains?.state === 'unplugged') return { may: 'no', because: 'it is unplugged, so nothing can have run' };
  const beltOff = (id: string): boolean => drives.some(({ belt }) => belt.kind === 'none' && belt.stepId === id);
  const missing = off.find(
    ({ id, kind, fate }) =>
      (isAway(fate) || fate === 'unsoldered' || fate === 'cut' || fate === 'unhooked') &&
      NEEDED.has(kind) &&
      (kind !== 'belt' || beltOff(id)),
  );
  if (missing) return { may: 'trial', because: `number ${missing.number}, ${missing.what}, is out` };
  const bare = drives.find(({ belt }) => belt.kind === 'none');
  return bare ? { may: 'trial', because: `drive ${bare.name} has no belt` } : { may: 'yes' };
}
