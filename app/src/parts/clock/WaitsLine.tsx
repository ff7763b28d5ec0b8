import { lazy, Suspense, useMemo } from 'react';
import { isOpen } from '@loose-pulley/core/work/strip';
import { selectSummaries, useAppSelector } from '../../state/store/hooks';
import type { Waiting } from './waiting';

const Waits = lazy(() => import('./Waits'));

/** Every timer on the bench that nobody has seen to, those of the open ticket first, then the first to end. */
function useWaiting(): readonly Waiting[] {
  const summaries = useAppSelector(selectSummaries);
  const open = useAppSelector(({ openTicket }) =>
    openTicket.ticket.status === 'open' ? openTicket.ticket.record.ticket : null,
  );
  return useMemo(() => {
    const others = summaries.filter(({ id }) => id !== open?.id);
    const all = [...others, ...(open ? [open] : [])];
    return all
      .flatMap(({ id, number, timers }) =>
        timers
          .filter(({ endedAt }) => endedAt === null)
          .map((timer): Waiting => ({ ticketId: id, number, timer, own: id === open?.id })),
      )
      .sort((a, b) => Number(b.own) - Number(a.own) || a.timer.endsAt.localeCompare(b.timer.endsAt));
  }, [summaries, open]);
}

/** What waits, on every page, in one counted word: what is to be reversed here, and timers. Fetched once something does. */
export function WaitsLine({ onTicket }: { readonly onTicket: boolean }) {
  const waiting = useWaiting();
  const ticket = useAppSelector(({ openTicket }) =>
    openTicket.ticket.status === 'open' ? openTicket.ticket.record.ticket : null,
  );
  const toReverse = onTicket && ticket ? ticket.strip.temporaryChanges.filter(isOpen) : [];
  return waiting.length === 0 && toReverse.length === 0 ? null : (
    <Suspense fallback={null}>
      <Waits waiting={waiting} toReverse={toReverse} ticketId={ticket?.id ?? ''} />
    </Suspense>
  );
}
