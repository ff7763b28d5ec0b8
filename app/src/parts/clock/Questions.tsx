import { lazy, Suspense } from 'react';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { useAppSelector } from '../../state/store/hooks';

const HeldQuestion = lazy(() => import('../clean/HeldQuestion'));
const ChangeQuestion = lazy(() => import('../strip/ChangeQuestion'));

/** What is asked about a ticket before something said is kept: power or lid that a change forbids, a belt on wet pulleys. */
export function Questions({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  const asked = useAppSelector(({ openTicket }) => openTicket.asked);
  const heldFit = useAppSelector(({ openTicket }) => openTicket.heldFit);
  return (
    <Suspense fallback={null}>
      {asked && (
        <div className="px-5 py-2">
          <ChangeQuestion ticket={ticket} canWrite={canWrite} asked={asked} />
        </div>
      )}
      {heldFit && (
        <div className="px-5 py-2">
          <HeldQuestion ticket={ticket} canWrite={canWrite} fit={heldFit} />
        </div>
      )}
    </Suspense>
  );
}
