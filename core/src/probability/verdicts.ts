import { FAILURE_BITS } from '../evaluation';

/** What the bench said of a belt once it was on. */
export type BeltVerdict = 'right' | 'tooLoose' | 'tooTight' | 'twisted';

/**
 * Chance of each verdict, by what is really so. A belt that works is now and then called wrong, and one that fails is
 * sometimes not found out at once. Our judgement, no source.
 */
const SAID: Readonly<Record<BeltVerdict, { readonly works: number; readonly own: number; readonly other: number }>> = {
  right: { works: 0.95, own: 0.06, other: 0.06 },
  tooLoose: { works: 0.02, own: 0.8, other: 0.05 },
  tooTight: { works: 0.02, own: 0.7, other: 0.05 },
  twisted: { works: 0.02, own: 0.5, other: 0.1 },
};
const OWN: Readonly<Record<BeltVerdict, number>> = {
  right: 0,
  tooLoose: FAILURE_BITS.grip | FAILURE_BITS.slack,
  tooTight: FAILURE_BITS.motor | FAILURE_BITS.stretch,
  twisted: FAILURE_BITS.groove,
};

/**
 * Counts a verdict in: samples in which the belt would have done as it was said to weigh more.
 *
 * @param outcomes of the tried belt in the samples
 * @param logLikelihood of each sample, to which it is added
 */
export function addVerdict(outcomes: Uint8Array, verdict: BeltVerdict, logLikelihood: Float64Array): void {
  const { works, own, other } = SAID[verdict];
  const logs = [Math.log(works), Math.log(own), Math.log(other)] as const;
  const mine = OWN[verdict];
  for (let i = 0; i < outcomes.length; i++) {
    const outcome = outcomes[i] as number;
    logLikelihood[i] = (logLikelihood[i] as number) + (outcome === 0 ? logs[0] : outcome & mine ? logs[1] : logs[2]);
  }
}
