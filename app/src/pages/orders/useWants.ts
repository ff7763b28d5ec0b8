import { useMemo } from 'react';
import type { WantOf } from '@loose-pulley/core/shop/orders';
import { selectSummaries, useAppSelector } from '../../state/store/hooks';

/** What every open ticket wants. */
export function useWants(): readonly WantOf[] {
  const summaries = useAppSelector(selectSummaries);
  return useMemo(
    () =>
      summaries
        .filter(({ closedAt, wants }) => closedAt === null && wants.length > 0)
        .flatMap(({ id, number, wants }) =>
          wants.map(({ id: wantId, count, belt: { chance, ...belt }, alternates }) => ({
            ticketId: id,
            ticketNumber: number,
            want: {
              id: wantId,
              belt,
              count,
              chance,
              alternates: alternates.map(({ chance: works, ...size }) => ({ belt: size, chance: works })),
            },
          })),
        ),
    [summaries],
  );
}
