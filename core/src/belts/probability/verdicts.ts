import { FAILURE_BITS } from '../../physics/evaluation';

/** What the bench said of a belt once it was on. */
export type BeltVerdict = 'right' | 'tooLoose' | 'tooTight' | 'twisted';

/**
 * Chance of each verdict, by what is really so. A belt that works is hardly ever called wrong (a slip seen is
 * a slip), and one that fails is sometimes not found out at once. Our judgement, no source.
 */
const SAID: Readonly<Record<BeltVerdict, { readonly works: number; readonly own: number; readonly other: number }>> = {
  right: { works: 0.97, own: 0.04, other: 0.04 },
  tooLoose: { works: 0.006, own: 0.85, other: 0.03 },
  tooTight: { works: 0.006, own: 0.8, other: 0.03 },
  twisted: { works: 0.01, own: 0.6, other: 0.05 },
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

/**
 * The chance of a verdict as it was believed before it was said.
 *
 * @param weights of the samples, adding up to 1
 */
export function expectedOf(outcomes: Uint8Array, weights: Float64Array, verdict: BeltVerdict): number {
  const mine = OWN[verdict];
  let chance = 0;
  for (let i = 0; i < outcomes.length; i++) {
    const outcome = outcomes[i] as number;
    const so = verdict === 'right' ? outcome === 0 : (outcome & mine) !== 0;
    if (so) chance += weights[i] as number;
  }
  return chance;
}
