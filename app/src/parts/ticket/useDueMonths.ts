import { useMemo } from 'react';
import { dueMonthsOf, livesOf } from '@loose-pulley/core/shop/lifetimes';
import type { RemedyId } from '@loose-pulley/core/belts/probability';
import type { RemedyKind } from '@loose-pulley/core/record/ticket';
import { selectSummaries, useAppSelector } from '../../state/store/hooks';

/** What a remedy of Size is called in the log. */
const KIND_OF: Readonly<Record<RemedyId, RemedyKind>> = {
  keep: 'cleaned',
  warm: 'shrunk',
  stretch: 'stretched',
  band: 'band',
};

/** Months after which a remedy should be looked at again, by this bench's own log; undefined while it has too few. */
export function useDueMonths(): (remedy: RemedyId) => { readonly months: number; readonly seen: number } | undefined {
  const summaries = useAppSelector(selectSummaries);
  const lives = useMemo(() => livesOf(summaries, Date.now()), [summaries]);
  return (remedy) => dueMonthsOf(lives, KIND_OF[remedy]);
}
