import { bookRedoTarget, bookUndoTarget, sayBookEvent } from '@loose-pulley/core/shop/book';
import { Button } from '../parts/ui/Button';
import { redoBook, undoBook } from '../state/persistence/book';
import { useAppDispatch, useAppSelector } from '../state/store/hooks';

const SAVING = { kept: 'Saved', saving: 'Saving…', enter: 'Not entered yet', failed: 'Not saved' } as const;

/** The foot of drawer, orders and day: whether all is kept, and undo. */
export default function BookFoot() {
  const dispatch = useAppDispatch();
  const { record, saving: written, status, problem } = useAppSelector(({ book }) => book);
  const unsaved = useAppSelector(({ openTicket }) => openTicket.unsaved);
  // Letters in a field are not in the book yet.
  const saving = written !== 'kept' ? written : unsaved.itself > 0 ? 'saving' : unsaved.enter > 0 ? 'enter' : 'kept';
  if (!record) return null;
  const target = bookUndoTarget(record);
  const back = bookRedoTarget(record);
  return (
    <>
      <span role="status" className={saving === 'failed' ? 'font-semibold text-live' : 'font-semibold'}>
        {status === 'newer' ? 'Read only: written by a newer Loose Pulley' : SAVING[saving]}
        {saving === 'kept' && <span className="max-sm:sr-only"> on this computer</span>}
      </span>
      {saving === 'failed' && problem && (
        <span className="absolute right-0 bottom-full max-w-prose bg-ink px-4 py-2 whitespace-normal text-paper">
          {problem.sentence}
        </span>
      )}
      <Button
        look="quiet"
        className="min-w-0 shrink"
        disabled={!target || status === 'newer'}
        onClick={() => void dispatch(undoBook())}
      >
        <span className="block max-w-72 truncate">
          Undo{target && <span className="max-sm:sr-only">: {sayBookEvent(target, record.book)}</span>}
        </span>
      </Button>
      {back && (
        <Button look="quiet" onClick={() => void dispatch(redoBook())}>
          Redo
        </Button>
      )}
    </>
  );
}
