import { THRESHOLDS } from '../../base/thresholds';
import { sameSection, type CatalogueBelt } from '../catalogue';
import { type ProbabilityAnswer } from './answer';

const OTHER_SECTIONS = 4;

/** What to take at a shop that may not have the best one. */
export interface WillDo {
  /** Sizes of the best one's section that will do, by length; the best among them. */
  readonly sameSection: readonly CatalogueBelt[];
  /** Other sections that will do as well, likeliest first; a few. */
  readonly otherSections: readonly CatalogueBelt[];
}

/**
 * The belts that will do in place of the best: not much less likely to work, and likelier to work than not.
 *
 * @param belts all that might be had
 * For instance willDo(best, chances, CATALOGUE).sameSection.map(({ innerLengthMm }) => innerLengthMm): [112, 116]
 */
export function willDo(
  best: CatalogueBelt,
  chances: ProbabilityAnswer['belts'],
  belts: readonly CatalogueBelt[],
): WillDo {
  const worksIn = ({ id }: CatalogueBelt): number => chances[id]?.works ?? 0;
  const least = Math.max(THRESHOLDS.recommend, worksIn(best) - THRESHOLDS.onTheSlip);
  const good = belts.filter((one) => one.id === best.id || worksIn(one) >= least);
  return {
    sameSection: good.filter((one) => sameSection(one, best)).sort((a, b) => a.innerLengthMm - b.innerLengthMm),
    otherSections: good
      .filter((one) => !sameSection(one, best))
      .sort((a, b) => worksIn(b) - worksIn(a))
      .slice(0, OTHER_SECTIONS),
  };
}
