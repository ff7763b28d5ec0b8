import { lazy, Suspense } from 'react';
import { counted } from '@loose-pulley/core/base/units';
import { Link } from 'react-router';
import { isOpen, TEMPORARY_CHANGE } from '@loose-pulley/core/work/strip';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { useAppSelector } from '../../state/store/hooks';

const HeldQuestion = lazy(() => import('../clean/HeldQuestion'));
const ChangeQuestion = lazy(() => import('../strip/ChangeQuestion'));

const BEFORE = { power: 'before power', lid: 'before the lid', handBack: 'before handing back' } as const;

/** The temporary changes of the ticket, on every page of it; and, when power or lid is said, the question that one asks. */
export function ChangeStrip({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  const asked = useAppSelector(({ openTicket }) => openTicket.asked);
  const heldFit = useAppSelector(({ openTicket }) => openTicket.heldFit);
  const open = ticket.strip.temporaryChanges.filter(isOpen);
  return (
    <>
      {asked && (
        <Suspense fallback={null}>
          <ChangeQuestion ticket={ticket} canWrite={canWrite} asked={asked} />
        </Suspense>
      )}
      {heldFit && (
        <Suspense fallback={null}>
          <HeldQuestion ticket={ticket} canWrite={canWrite} fit={heldFit} />
        </Suspense>
      )}
      {open.length > 0 && (
        <Link
          to={`/t/${ticket.id}/rebuild`}
          className="inline-flex min-h-11 items-center gap-1.5 font-semibold sm:hidden"
        >
          <span aria-hidden className="text-live">
            ↺
          </span>
          {counted(open.length, TEMPORARY_CHANGE)} to reverse
        </Link>
      )}
      {open.length > 0 && (
        <ul aria-label="To reverse" className="flex flex-wrap items-center gap-x-4 max-sm:hidden">
          {open.slice(0, 3).map((change) => (
            <li key={change.id}>
              <Link
                to={`/t/${ticket.id}/rebuild`}
                className="inline-flex min-h-11 items-center gap-1.5 decoration-hair underline-offset-4 hover:underline"
              >
                <span aria-hidden className="text-live">
                  ↺
                </span>
                <strong>{change.words}</strong> <span className="text-soft">{BEFORE[change.before]}</span>
              </Link>
            </li>
          ))}
          {open.length > 3 && <li className="text-soft">{open.length - 3} more</li>}
        </ul>
      )}
    </>
  );
}
