import { useEffect, useMemo, useState } from 'react';
import type { Ticket } from '@loose-pulley/core/ticket';
import { loadTicket } from '../../state/persistence/tickets';
import { selectSummaries, useAppSelector } from '../../state/store/hooks';
import { useTicket } from './useTicket';

const SHOWN = 3;

/** Past tickets of the same machine or mechanism, newest first, as far as they can be read. */
export function usePastTickets(): readonly Ticket[] {
  const { ticket } = useTicket();
  const summaries = useAppSelector(selectSummaries);
  const machine = ticket.machine.trim().toLowerCase();
  const mechanisms = ticket.drives.map(({ mechanism }) => mechanism).join('\n');
  const ids = useMemo(() => {
    const wanted = new Set(mechanisms.split('\n').filter((name) => name !== ''));
    return summaries
      .filter(
        (one) =>
          one.id !== ticket.id &&
          ((machine !== '' && one.machine.trim().toLowerCase() === machine) ||
            one.mechanisms.some((name) => wanted.has(name))),
      )
      .sort((a, b) => b.openedAt.localeCompare(a.openedAt))
      .map(({ id }) => id)
      .slice(0, SHOWN)
      .join(' ');
  }, [summaries, machine, mechanisms, ticket.id]);
  const [past, setPast] = useState<readonly Ticket[]>([]);
  useEffect(() => {
    let current = true;
    const read = ids === '' ? [] : ids.split(' ').map((id) => loadTicket(id).catch(() => null));
    void Promise.all(read).then((records) => {
      if (current) setPast(records.flatMap((read) => (read ? [read.record.ticket] : [])));
    });
    return () => {
      current = false;
    };
  }, [ids]);
  return past;
}
