import { Link } from 'react-router';
import type { Take } from '@loose-pulley/core/shop/drawer';
import { Button } from '../../parts/ui/Button';
import { changeBook } from '../../state/persistence/book';
import { selectSummaries, useAppDispatch, useAppSelector } from '../../state/store/hooks';

/** Which tickets have one of a size out. One whose ticket is not here is settled by hand: nobody else would. */
export function WhoHasOne({ out }: { readonly out: readonly Take[] }) {
  const dispatch = useAppDispatch();
  const summaries = useAppSelector(selectSummaries);
  if (out.length === 0) return null;
  const back = (tryId: string, gone: boolean): void =>
    void dispatch(changeBook([{ type: 'putBack', tryId, ...(gone && { gone }) }]));
  return (
    <section aria-label="Out of the drawer" className="grid gap-1">
      <h3 className="text-sm text-soft">Out of the drawer: {out.length}</h3>
      <ul>
        {out.map(({ tryId, ticketId }) => {
          const ticket = summaries.find(({ id }) => id === ticketId);
          return (
            <li key={tryId} className="flex flex-wrap items-center gap-x-3 border-b border-hair">
              {ticket ? (
                <Link
                  to={`/t/${ticketId}/size`}
                  className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
                >
                  {ticket.number} {ticket.machine || 'Unnamed machine'}
                  {ticket.closedAt !== null && ', handed back'}
                </Link>
              ) : (
                <>
                  <span>with a ticket that is not on this Bench</span>
                  <Button look="quiet" onClick={() => back(tryId, false)}>
                    Back in the drawer
                  </Button>
                  <Button look="quiet" onClick={() => back(tryId, true)}>
                    It is gone
                  </Button>
                </>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}
