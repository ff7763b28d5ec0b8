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
const TimerStrip = lazy(async () => ({ default: (await import('../parts/clock/TimerStrip')).TimerStrip }));
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
    <footer className="flex min-h-[52px] flex-wrap items-center gap-x-5 max-sm:gap-x-3 max-sm:px-3 border-t border-ink bg-paper px-5 text-[15px] print:hidden">
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
            {open.access === 'writer' && saving === 'kept' && <span className="max-sm:sr-only"> on this computer</span>}
          </span>
          <Button look="quiet" disabled={!target || open.access !== 'writer'} onClick={() => void dispatch(undo())}>
            Undo{target && describe ? `: ${describe(target, open.record.ticket, unit)}` : ''}
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
          {undoAsked && <UndoAsked />}
          <TimerStrip />
        </Suspense>
      </PageBroken>
      <span aria-live="polite" className="ml-auto py-1 text-right">
        {said &&
          (said.to ? (
            <Link className="underline decoration-hair decoration-2 underline-offset-4" to={said.to}>
              {said.text}
            </Link>
          ) : (
            said.text
          ))}
      </span>
    </footer>
  );
}
