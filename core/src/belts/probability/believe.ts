import type { Situation } from '../sizing';
import { coordinatesOf, draw } from './draw';
import { playOutcomes, type JudgedBelt } from './kernel';
import type { Samples } from './samples';
import { addSisters } from './sisters';
import { temper, type Believed } from './temper';
import { addVerdict, type BeltVerdict } from './verdicts';

/** A belt that was tried here, and what was said of it. */
export interface TriedBelt {
  readonly belt: JudgedBelt;
  readonly verdict: BeltVerdict;
}

/** No answer rests on fewer effective samples than this, nor on less than this share of those drawn. */
const EFFECTIVE_MIN = 500;
const EFFECTIVE_SHARE = 0.25;

/**
 * The drives that could be the one on the bench, once everything known is counted in: readings, the belt the drive was
 * made with, the old belt as it is now, what was tried here, and what was tried on sister machines.
 *
 * Cost: about a microsecond a sample, and some ten times that where little of what was believed explains what was seen.
 *
 * @param count of samples
 * @param seed the same seed gives the same samples
 * @example believe(situation, [], 4000, 1).value.pathMm.length // 4000
 */
export function believe(
  situation: Situation,
  tries: readonly TriedBelt[],
  count: number,
  seed: number,
): Believed<Samples> {
  const belts = tries.map(({ belt }) => belt);
  return temper(
    count,
    coordinatesOf(situation),
    seed,
    (z, valueOnly) => {
      const drawn = draw(situation, z);
      const { samples, logLikelihood } = drawn;
      if (valueOnly) return { value: samples, logLikelihood };
      addSisters(situation, drawn, logLikelihood);
      if (tries.length > 0) {
        const outcomes = playOutcomes(samples, situation, belts);
        const many = samples.count;
        tries.forEach(({ verdict }, index) =>
          addVerdict(outcomes.subarray(index * many, (index + 1) * many), verdict, logLikelihood),
        );
      }
      return { value: samples, logLikelihood };
    },
    Math.max(EFFECTIVE_MIN, EFFECTIVE_SHARE * count),
  );
}
