import { useMemo } from 'react';
import { sameSection, type CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { candidateOf, oldSectionOnSale, stockOf, type DriveView } from '@loose-pulley/core/views/drive';
import {
  rulesOfThumb,
  zones,
  type Candidate,
  type RuleOfThumb,
  type RulerZone,
  type Situation,
} from '@loose-pulley/core/belts/sizing';
import type { LengthUnit } from '@loose-pulley/core/base/units';
import { rulerSpan, type RulerRow } from '../../parts/draw/rulerLayout';
import { useRecommendation, type RecommendationView } from '../../parts/ticket/useRecommendation';
import { rulerRows } from './rulerRows';

/** Everything the Size station shows, derived from the view of the drive and the belt that is looked at. */
export interface Sizing {
  readonly recommendation: RecommendationView;
  /** The belt that is looked at: the one asked for, else the recommended one; undefined while neither is known. */
  readonly picked: Candidate | undefined;
  /** All belts of the ruler's section: its ticks. */
  readonly stock: readonly CatalogueBelt[];
  readonly zones: readonly RulerZone[];
  readonly rulesOfThumb: readonly RuleOfThumb[];
  readonly rows: readonly RulerRow[];
}

/** @param pickedId the belt looked at; the recommended one where none is */
export function useSizing(view: DriveView, situation: Situation, unit: LengthUnit, pickedId: string | null): Sizing {
  const { facts } = view;
  const recommendation = useRecommendation(view);
  const picked = candidateOf(recommendation, pickedId) ?? recommendation.best;
  // Until a belt is known the ruler shows the old one's section: nothing is recommended by that.
  const section = picked?.catalogueBelt ?? situation.oldSection ?? recommendation.ranking.candidates[0]?.catalogueBelt;
  const shape = section?.shape;
  const thicknessMm = section?.thicknessMm;
  const widthMm = section?.widthMm ?? undefined;
  const stock = useMemo(
    () =>
      shape && thicknessMm ? stockOf(view).filter((one) => sameSection(one, { shape, thicknessMm, widthMm })) : [],
    [view, shape, thicknessMm, widthMm],
  );
  const { oldSection } = situation;
  // A rule of thumb keeps the old belt's section, whatever is looked at.
  const oldStock = useMemo(() => (oldSection ? oldSectionOnSale(oldSection) : stock), [oldSection, stock]);
  const found = useMemo(() => rulesOfThumb(facts, situation, oldStock), [facts, situation, oldStock]);
  const rows = useMemo(() => rulerRows(facts, found, unit), [facts, found, unit]);
  const zoneList = useMemo(() => {
    if (!shape || !thicknessMm) return [];
    const path = situation.path.value;
    // A generous ruler first, to see where the belts stop being too tight; then the one that will be shown.
    const across = { shape, thicknessMm, widthMm };
    const wide = zones(situation, across, path * 0.6, path * 1.3);
    const [from, to] = rulerSpan(
      path,
      rows.map(({ valueMm }) => valueMm),
      wide,
    );
    return zones(situation, across, Math.min(from, path * 0.75), Math.max(to, path * 1.1));
  }, [situation, shape, thicknessMm, widthMm, rows]);
  return { recommendation, picked, stock, zones: zoneList, rulesOfThumb: found, rows };
}
