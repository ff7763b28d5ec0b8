import { loaderOf, type Loader } from '../../base/loaders';
import type { Timing } from './schema';

/** Tests worth timing, by what a machine does. Common practice, no source. */
export const timedTestsFor = (loader: Loader): readonly string[] => loaderOf(loader).timed;

/** One named test, before beside after. */
export interface TimedPair {
  readonly what: string;
  readonly before: readonly Timing[];
  readonly after: readonly Timing[];
}

/** The timed tests by name, in the order in which they were first taken. */
export function timedPairs(timings: readonly Timing[]): TimedPair[] {
  return [...new Set(timings.map(({ what }) => what))].map((what) => {
    const own = timings.filter((one) => one.what === what);
    return {
      what,
      before: own.filter(({ side }) => side === 'before'),
      after: own.filter(({ side }) => side === 'after'),
    };
  });
}

/** Times as said. @example timesWords(ticket.timings) // '9.2 s after 2 retries' */
export const timesWords = (timings: readonly Pick<Timing, 'seconds' | 'retries'>[]): string =>
  timings
    .map(({ seconds, retries }) => {
      const time = seconds === null ? 'never got there' : `${seconds.toFixed(1)} s`;
      return retries === 0 ? time : `${time} after ${retries} ${retries === 1 ? 'retry' : 'retries'}`;
    })
    .join(', ');
