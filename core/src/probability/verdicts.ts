import { FAILURE_BITS } from '../evaluation';

/** What the bench said of a belt once it was on. */
export type BeltVerdict = 'right' | 'tooLoose' | 'tooTight' | 'twisted';

/**
 * Chance of each verdict, by what is really so. A belt that works is now and then called wrong, and one that fails is
 * sometimes not found out at once. Our judgement, no source.
 */
const SAID: Readonly<Record<BeltVerdict, { readonly works: number; readonly own: number; readonly other: number }>> = {
  right: { works: 0.9, own: 0.15, other: 0.15 },
  tooLoose: { works: 0.03, own: 0.75, other: 0.05 },
  tooTight: { works: 0.04, own: 0.6, other: 0.05 },
  twisted: { works: 0.03, own: 0.5, other: 0.1 },
};
const OWN: Readonly<Record<BeltVerdict, number>> = {
  right: 0,
  tooLoose: FAILURE_BITS.grip | FAILURE_BITS.slack,
  tooTight: FAILURE_BITS.motor | FAILURE_BITS.stretch,
  twisted: FAILURE_BITS.groove,
};

/**
 * What verdicts on tried belts make of the samples: those in which the belt would have done as it did weigh more.
 *
 * @param tried outcomes of each tried belt in the samples, and what was said of it
 * @returns weights adding up to 1
 */
export function weighed(
  count: number,
  tried: ReadonlyArray<{ readonly outcomes: Uint8Array; readonly verdict: BeltVerdict }>,
): Float64Array {
  const weights = new Float64Array(count).fill(1);
  for (const { outcomes, verdict } of tried) {
    const { works, own, other } = SAID[verdict];
    for (let i = 0; i < count; i++) {
      const outcome = outcomes[i] as number;
      const chance = outcome === 0 ? works : outcome & OWN[verdict] ? own : other;
      weights[i] = (weights[i] as number) * chance;
    }
  }
  const sum = weights.reduce((total, weight) => total + weight, 0);
  return weights.map((weight) => weight / sum);
}
