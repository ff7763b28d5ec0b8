import { lazy, Suspense } from 'react';
import { Link, useLocation } from 'react-router';
import { counted } from '@loose-pulley/core/base/units';
import { redoTarget, undoTarget } from '@loose-pulley/core/record/ticket';
import { ofBook } from '../state/persistence/book';
import { redo, undo } from '../state/persistence/recording';
import { useAppDispatch, useAppSelector, useUnit } from '../state/store/hooks';
import { Button } from '../parts/ui/Button';
import { PageBroken } from './PageBroken';
import { useDescribe } from './useDescribe';

const BookFoot = lazy(() => import('./BookFoot'));
const WaitsLine = lazy(async () => ({ default: (await import('../parts/clock/WaitsLine')).WaitsLine }));
const Questions = lazy(async () => ({ default: (await import('../parts/clock/Questions')).Questions }));
const UndoAsked = lazy(() => import('./UndoAsked'));
const TicketFoot = lazy(() => import('./TicketFoot'));

const SAVING = { kept: 'Saved', saving: 'Saving…', enter: 'Not entered yet', failed: 'Not saved' } as const;

/** The strip along the bottom of every page: whether all is kept, undo, and what was last said. */
export function Foot() {
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const { ticket, said, unsaved, drafts, undoAsked } = useAppSelector(({ openTicket }) => openTicket);
  const count = useAppSelector(({ bench }) => bench.summaries.length);
  const onBook = ofBook(useLocation().pathname);
  const open = ticket.status === 'open' && !onBook ? ticket : undefined;
  // Typed letters come first: the ticket without them may well be saved.
  const saving =
    open?.saving === 'kept' && unsaved.itself > 0
      ? 'saving'
      : open?.saving === 'kept' && (unsaved.enter > 0 || Object.keys(drafts).length > 0)
        ? 'enter'
        : open?.saving;
  const describe = useDescribe();
  const target = open && undoTarget(open.record);
  const back = open && redoTarget(open.record);
  return (
    <footer className="relative border-t border-ink bg-paper text-[15px] print:hidden">
      <div aria-live="polite" className="pointer-events-none absolute right-0 bottom-full max-w-full">
        {said && (
          <p className="pointer-events-auto max-w-prose bg-ink px-4 py-2 text-paper">
            {said.to ? (
              <Link className="underline decoration-2 underline-offset-4" to={said.to}>
                {said.text}
              </Link>
            ) : (
              said.text
            )}
          </p>
        )}
      </div>
      <PageBroken at={open?.id ?? ''}>
        <Suspense fallback={null}>
          {open && <Questions ticket={open.record.ticket} canWrite={open.access === 'writer'} />}
          {undoAsked && (
            <div className="px-5 py-2">
              <UndoAsked />
            </div>
          )}
        </Suspense>
      </PageBroken>
      <div className="flex h-12 items-center gap-x-5 overflow-hidden px-5 whitespace-nowrap max-sm:gap-x-3 max-sm:px-3">
        {onBook && (
          <Suspense fallback={null}>
            <BookFoot />
          </Suspense>
        )}
        {!open && !onBook && count > 0 && <span>{counted(count, 'ticket')} saved on this computer</span>}
        {open && (
          <>
            <span role="status" className={open.saving === 'failed' ? 'font-semibold text-live' : 'font-semibold'}>
              {open.newer
                ? 'Read only: written by a newer Loose Pulley'
                : open.access === 'writer'
                  ? SAVING[saving ?? 'kept']
                  : 'Read only'}
              {open.access === 'writer' && saving === 'kept' && (
                <span className="max-lg:sr-only"> on this computer</span>
              )}
            </span>
            <Button
              look="quiet"
              className="min-w-0 shrink"
              disabled={!target || open.access !== 'writer'}
              onClick={() => void dispatch(undo())}
            >
              <span className="block max-w-72 truncate">
                Undo
                {target && describe && (
                  <span className="max-sm:sr-only">: {describe(target, open.record.ticket, unit)}</span>
                )}
              </span>
            </Button>
            {back && open.access === 'writer' && (
              <Button look="quiet" onClick={() => void dispatch(redo())}>
                Redo
              </Button>
            )}
          </>
        )}
        <PageBroken at={open?.id ?? ''}>
          <Suspense fallback={null}>
            {open && <TicketFoot ticket={open.record.ticket} canWrite={open.access === 'writer'} />}
            <WaitsLine onTicket={open !== undefined} />
          </Suspense>
        </PageBroken>
      </div>
    </footer>
  );
}
