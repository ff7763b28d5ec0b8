import { beltLabel } from '@loose-pulley/core/base/shapes';
import { unagreed } from '@loose-pulley/core/shop/drawer';
import type { BookBody } from '@loose-pulley/core/shop/book';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch, useAppSelector, useUnit } from '../../state/store/hooks';
import { usePageKey } from '../keys/useKeys';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';

/** Where the ticket and the drawer do not agree on a belt, asked once: nothing of the drawer moves by itself. */
export default function DrawerAsks() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const record = useAppSelector(({ book }) => (book.status === 'ready' ? book.record : null));
  const keys = useAppSelector(({ settings }) => (settings.singleKeys ? settings.keys : null));
  const [first] = record && canWrite ? unagreed(ticket, record.book) : [];
  const say = (body: BookBody) => () => void dispatch(changeBook([body]));
  const answers = first && {
    yes:
      first.how === 'notCounted'
        ? { words: 'Take one out', say: say({ type: 'taken', take: first.take }) }
        : { words: 'Back in the drawer', say: say({ type: 'putBack', tryId: first.take.tryId }) },
    no:
      first.how === 'notCounted'
        ? { words: 'Leave the count', say: say({ type: 'taken', take: { ...first.take, uncounted: true } }) }
        : { words: 'It is gone', say: say({ type: 'putBack', tryId: first.take.tryId, gone: true }) },
  };
  usePageKey('firstFinding', answers?.yes.say);
  usePageKey('otherFinding', answers?.no.say);
  if (!first || !answers) return null;
  const { item, how } = first;
  const size = `${beltLabel(item, unit).size}${item.place ? ` (${item.place})` : ''}`;
  return (
    <section
      role="status"
      aria-label="The drawer asks"
      className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-live bg-sheet px-5 py-2 print:hidden"
    >
      <p>
        {how === 'notCounted' ? (
          <>
            <strong>This ticket has a {size} from the drawer, which the drawer has not counted out.</strong>{' '}
            {item.quantity} are written down there. Take one off the count?
          </>
        ) : (
          <>
            <strong>The drawer has a {size} out for this ticket, and no belt tried here is it.</strong> Where is it?
          </>
        )}
      </p>
      <p className="flex flex-wrap gap-2">
        <Button keyCap={keys?.firstFinding} onClick={answers.yes.say}>
          {answers.yes.words}
        </Button>
        <Button keyCap={keys?.otherFinding} onClick={answers.no.say}>
          {answers.no.words}
        </Button>
      </p>
    </section>
  );
}
