import { useEffect, useState } from 'react';
import type { Practice } from '@loose-pulley/core/record/stations';
import type { TicketSummary } from '@loose-pulley/core/record/ticket';
import { loadTicket } from '../../state/persistence/tickets';
import { selectSummaries, useAppSelector } from '../../state/store/hooks';

/** A practice with the ticket that it is kept on. */
export interface Kept {
  readonly summary: TicketSummary;
  readonly practice: Practice;
}

/** Every practice of this bench, newest first; undefined while they are being read. */
export function usePractices(): readonly Kept[] | undefined {
  const summaries = useAppSelector(selectSummaries);
  const [kept, setKept] = useState<readonly Kept[]>();
  useEffect(() => {
    let current = true;
    const read = summaries.map(async (summary): Promise<Kept[]> => {
      const practice = (await loadTicket(summary.id).catch(() => null))?.record.ticket.practice;
      return practice ? [{ summary, practice }] : [];
    });
    void Promise.all(read).then((all) => current && setKept(all.flat()));
    return () => {
      current = false;
    };
  }, [summaries]);
  return kept;
}
