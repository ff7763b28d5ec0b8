import { useEffect, useMemo, useState } from 'react';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { loadTicket } from '../../state/persistence/tickets';
import { selectSummaries, useAppSelector } from '../../state/store/hooks';
import { useTicket } from './useTicket';

/** So many are read: what more of them would say of a mechanism is little. */
const READ = 6;
const NONE: readonly Ticket[] = [];

/** Reads past tickets of the same machine or mechanism, newest first, as far as they can be read. */
export function useReadPast(ticket: Ticket | undefined): readonly Ticket[] {
  const summaries = useAppSelector(selectSummaries);
  const own = ticket?.id ?? '';
  const machine = ticket?.machine.trim().toLowerCase() ?? '';
  const mechanisms = ticket?.drives.map(({ mechanism }) => mechanism).join('\n') ?? '';
  const ids = useMemo(() => {
    const wanted = new Set(mechanisms.split('\n').filter((name) => name !== ''));
    return summaries
      .filter(
        (one) =>
          own !== '' &&
          one.id !== own &&
          ((machine !== '' && one.machine.trim().toLowerCase() === machine) ||
            one.mechanisms.some((name) => wanted.has(name))),
      )
      .sort((a, b) => b.openedAt.localeCompare(a.openedAt))
      .map(({ id }) => id)
      .slice(0, READ)
      .join(' ');
  }, [summaries, machine, mechanisms, own]);
  const [past, setPast] = useState(NONE);
  useEffect(() => {
    let current = true;
    const read = ids === '' ? [] : ids.split(' ').map((id) => loadTicket(id).catch(() => null));
    void Promise.all(read).then((records) => {
      const found = records.flatMap((one) => (one ? [one.record.ticket] : []));
      // Nothing found again is nothing new: what hangs on it is not worked out anew.
      if (current) setPast((before) => (before.length === 0 && found.length === 0 ? before : found));
    });
    return () => {
      current = false;
    };
  }, [ids]);
  return past;
}

/** Past tickets of the open ticket's machine or mechanism, newest first. */
export const usePastTickets = (): readonly Ticket[] => useTicket().past;
