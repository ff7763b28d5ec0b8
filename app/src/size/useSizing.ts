import { useMemo } from 'react';
import { CATALOGUE, sameSection, type CatalogueBelt } from '@loose-pulley/core/catalogue';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import {
  judge,
  rank,
  rulesOfThumb,
  zones,
  type Candidate,
  type Judgement,
  type Ranking,
  type RulerZone,
  type RuleOfThumb,
  type Situation,
} from '@loose-pulley/core/sizing';
import { rankByProbability } from '@loose-pulley/core/probability';
import type { LengthUnit } from '@loose-pulley/core/units';
import { rulerSpan, type RulerRow } from '../draw/rulerLayout';
import { rulerRows } from './rulerRows';
import { useProbability, type ProbabilityView } from './useProbability';
import type { Try } from '@loose-pulley/core/stations';

/** Everything the Size station shows, derived from the readings and the belt that is looked at. */
export interface Sizing {
  readonly odds: ProbabilityView;
  readonly ranking: Ranking;
  readonly picked: Candidate | undefined;
  /** All belts of the picked one's section: the ruler's ticks. */
  readonly stock: readonly CatalogueBelt[];
  readonly zones: readonly RulerZone[];
  readonly rulesOfThumb: readonly RuleOfThumb[];
  readonly rows: readonly RulerRow[];
  /** The old belt, judged as the belt it is. */
  readonly old: Judgement | undefined;
}

/**
 * @param pickedId the belt looked at; the recommended one where none is
 * @param sectionKey a section to look at instead of the recommended one's, as `shape-thickness`
 */
export function useSizing(
  facts: DriveFacts,
  situation: Situation,
  tries: readonly Try[],
  unit: LengthUnit,
  pickedId: string | null,
): Sizing {
  const odds = useProbability(situation, facts, tries);
  const linear = useMemo(() => rank(situation, CATALOGUE), [situation]);
  // By the margins at once; by the odds as soon as they are there.
  const ranking = useMemo(
    () => (odds.answer ? rankByProbability(linear, odds.answer.belts) : linear),
    [linear, odds.answer],
  );
  const picked = ranking.candidates.find(({ catalogueBelt }) => catalogueBelt.id === pickedId) ?? ranking.best;
  const belt = picked?.catalogueBelt;
  const section = useMemo(() => (belt ? { shape: belt.shape, thicknessMm: belt.thicknessMm } : undefined), [belt]);
  const stock = useMemo(() => (section ? CATALOGUE.filter((one) => sameSection(one, section)) : []), [section]);
  const found = useMemo(() => rulesOfThumb(facts, situation, stock), [facts, situation, stock]);
  const rows = useMemo(() => rulerRows(facts, found, unit), [facts, found, unit]);
  const zoneList = useMemo(() => {
    if (!section) return [];
    const path = situation.path.value;
    // A generous ruler first, to see where the belts stop being too tight; then the one that will be shown.
    const wide = zones(situation, section, path * 0.6, path * 1.3);
    const [from, to] = rulerSpan(
      path,
      rows.map(({ valueMm }) => valueMm),
      wide,
    );
    return zones(situation, section, Math.min(from, path * 0.75), Math.max(to, path * 1.1));
  }, [situation, section, rows]);
  const old = useMemo(
    () =>
      facts.oldBelt && situation.oldSection
        ? judge(situation, { ...situation.oldSection, innerLengthMm: facts.oldBelt.value })
        : undefined,
    [facts, situation],
  );
  return { odds, ranking, picked, stock, zones: zoneList, rulesOfThumb: found, rows, old };
}
