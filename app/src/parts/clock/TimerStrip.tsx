import { lazy, Suspense, useMemo } from 'react';
import { selectSummaries, useAppSelector } from '../../state/store/hooks';
import type { Waiting } from './waiting';

const Ticking = lazy(() => import('./Ticking'));

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
        timers.filter(({ endedAt }) => endedAt === null).map((timer): Waiting => ({ ticketId: id, number, timer })),
      )
      .sort(
        (a, b) =>
          Number(b.ticketId === open?.id) - Number(a.ticketId === open?.id) ||
          a.timer.endsAt.localeCompare(b.timer.endsAt),
      );
  }, [summaries, open]);
}

/** The next timers to end, on every page. It rings when one ends while a page is open, and says how late it is after. */
export function TimerStrip() {
  const waiting = useWaiting();
  return waiting.length === 0 ? null : (
    <Suspense fallback={null}>
      <Ticking waiting={waiting} />
    </Suspense>
  );
}
