import { nextInSeries, sameSection, type CatalogueBelt } from '../catalogue';
import { judge, type Judgement } from './judge';
import type { Situation } from './situation';

/** A belt of the catalogue with its judgement. */
export interface Candidate {
  readonly catalogueBelt: CatalogueBelt;
  readonly judgement: Judgement;
}

/** The choice and what stands beside it. */
export interface Ranking {
  /** Best first: by the least margin, in standard uncertainties. */
  readonly candidates: readonly Candidate[];
  readonly best?: Candidate;
  /** The next shorter and longer belt of the best one's section. */
  readonly down?: Candidate;
  readonly up?: Candidate;
  /** Set where even the best lies beyond a limit: nothing in the list can be recommended. */
  readonly nothingFits: boolean;
}

/**
 * Ranks belts by their least margin. The makers' limits are taken as the bounds of a rectangular spread, limit/√3
 * (JCGM 100:2008, 4.3.7). Belts that would hang or tear are judged all the same, so that the ruler can show why.
 *
 * Cost: linear in the belts, some microseconds each.
 *
 * @example rank(situation, stockFor('square')).best?.catalogueBelt.id // 'square-2.0-120'
 */
export function rank(situation: Situation, belts: readonly CatalogueBelt[]): Ranking {
  const candidates = belts
    .flatMap((catalogueBelt): Candidate[] => {
      const judgement = judge(situation, catalogueBelt, catalogueBelt.innerLengthToleranceMm / Math.sqrt(3));
      return judgement ? [{ catalogueBelt, judgement }] : [];
    })
    .sort((a, b) => b.judgement.margin - a.judgement.margin);
  const [best] = candidates;
  if (!best) return { candidates, nothingFits: true };
  const siblings = belts.filter((belt) => sameSection(belt, best.catalogueBelt));
  const beside = nextInSeries(siblings, best.catalogueBelt.innerLengthMm);
  const find = (belt: CatalogueBelt | undefined) =>
    candidates.find(({ catalogueBelt }) => catalogueBelt.id === belt?.id);
  const down = find(beside.down);
  const up = find(beside.up);
  const nothingFits = best.judgement.margin < 0;
  return { candidates, best, nothingFits, ...(down && { down }), ...(up && { up }) };
}
