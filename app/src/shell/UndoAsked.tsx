import { redoBook, undoBook } from '../state/persistence/book';
import { redo, undo } from '../state/persistence/recording';
import { undoAsked } from '../state/store/openTicket';
import { useAppDispatch, useAppSelector } from '../state/store/hooks';
import { Button } from '../parts/ui/Button';

/** What undo would take back was done in another tab: asked before it is. */
export default function UndoAsked() {
  const dispatch = useAppDispatch();
  const asked = useAppSelector(({ openTicket }) => openTicket.undoAsked);
  if (!asked) return null;
  const { of, way, what } = asked;
  const [undone, redone] = of === 'book' ? [undoBook, redoBook] : [undo, redo];
  return (
    <span role="alert" className="flex flex-wrap items-center gap-x-3 border-l-4 border-live pl-3">
      <span>
        Another tab {way === 'undone' ? 'did' : 'took back'} this: {what}.
      </span>
      <Button onClick={() => void dispatch(way === 'undone' ? undone(true) : redone(true))}>
        {way === 'undone' ? 'Undo it anyway' : 'Redo it anyway'}
      </Button>
      <Button look="quiet" onClick={() => dispatch(undoAsked(null))}>
        Leave it
      </Button>
    </span>
  );
}
