import type { Loader } from '../../base/loaders';
import type { Depth } from './schema';

/** Answers that say nothing: tried without a clear result, or passed over for now. */
export const SILENT_OUTCOMES = ['unclear', 'notTried'] as const;

/** One answer to one test. */
export interface Observation {
  readonly testId: string;
  /** An outcome's id, or a silent one. */
  readonly outcome: string;
  /** How many causes had been cured when it was made: what it saw, they may have caused. */
  readonly cured: number;
  /** The cause that was seen with it, by eye or by hand: no table stands against that. */
  readonly seen?: string;
}

/** A machine as the adviser sees it. */
export interface Case {
  readonly loader: Loader;
  readonly observations: readonly Observation[];
  /** Causes found and cured, in their order. */
  readonly cured: readonly string[];
  /** Causes that the technician has ruled out. */
  readonly ruledOut: readonly string[];
  /** Whether the lid is off already, so that opening costs nothing more. */
  readonly opened: Depth;
  /** Whether it is known that it still fails after the last cure. */
  readonly stillFails: boolean;
  /** Tests that the state of the machine makes impossible: nobody presses a belt that is broken. */
  readonly impossible?: readonly string[];
  /** Tests that watch the very thing that fails, asked before all others; and those that watch what does not, after them. */
  readonly sooner?: readonly string[];
  readonly later?: readonly string[];
}
