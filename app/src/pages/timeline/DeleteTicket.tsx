import { useState } from 'react';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { listed } from '@loose-pulley/core/base/units';
import { VERDICT_NAMES } from '@loose-pulley/core/record/stations';
import type { BookBody } from '@loose-pulley/core/shop/book';
import { changeBook, loadBook } from '../../state/persistence/book';
import { deleteOpenTicket } from '../../state/persistence/seldom';
import { useAppDispatch, useAppSelector, useUnit } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { useGoOn } from '../../parts/ui/useGoOn';

/**
 * Takes the ticket off the bench: asked once more, and it can be put back from the Log until it is deleted for good. What
 * it has out of the drawer goes back there only where that is said.
 */
export function DeleteTicket() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const unit = useUnit();
  const leave = useGoOn();
  const [asked, setAsked] = useState(false);
  const status = useAppSelector((state) => state.book.status);
  const book = useAppSelector((state) => state.book.record?.book);
  const out = (book?.takes ?? []).filter(({ ticketId, uncounted }) => ticketId === ticket.id && !uncounted);
  const tries = ticket.drives.flatMap((drive) => drive.tries);
  const words = out.map(({ tryId, itemId }) => {
    const item = book?.items.find(({ id }) => id === itemId);
    const tried = tries.find(({ id }) => id === tryId);
    return `${item ? beltLabel(item, unit).size : 'a belt'}${tried ? ` (${VERDICT_NAMES[tried.verdict]})` : ''}`;
  });
  const remove = async (bodies: readonly BookBody[]): Promise<void> => {
    const goOn = leave();
    if (bodies.length > 0 && !(await dispatch(changeBook(bodies)))) return;
    await dispatch(deleteOpenTicket(ticket.id));
    goOn('/log');
  };
  return (
    <section aria-label="Delete" className="mt-8 grid justify-items-start gap-2 border-t border-ink pt-4">
      {asked ? (
        <>
          <p>It leaves the Bench and the Log. It can be put back from the Log until it is deleted for good there.</p>
          {status === 'loading' && (
            <p className="text-soft">Looking into the drawer, whether it has belts out for it…</p>
          )}
          {(status === 'failed' || status === 'setAside') && (
            <p className="text-live">
              The bench book cannot be read: what it has out for this ticket stays as it is there.
            </p>
          )}
          {out.length > 0 && (
            <p>
              <strong>It has {listed(words)} out of the drawer.</strong> What stays with the machine stays off the
              count; the Drawer shows it at its size.
            </p>
          )}
          <p className="flex flex-wrap gap-2">
            {out.length > 0 && (
              <Button onClick={() => void remove(out.map(({ tryId }) => ({ type: 'putBack', tryId })))}>
                Put {out.length === 1 ? 'it' : 'them'} back in the drawer, and delete {ticket.number}
              </Button>
            )}
            <Button disabled={status === 'loading'} onClick={() => void remove([])}>
              {out.length > 0 ? `Leave ${out.length === 1 ? 'it' : 'them'} with the machine, and delete` : 'Delete'}{' '}
              {ticket.number}
            </Button>
            <Button onClick={() => setAsked(false)}>Not now</Button>
          </p>
        </>
      ) : (
        <Button
          disabled={!canWrite}
          onClick={() => {
            setAsked(true);
            // The book is read a while after the page stands: not too late for this.
            if (status === 'loading') void dispatch(loadBook());
          }}
        >
          Delete this ticket
        </Button>
      )}
    </section>
  );
}
