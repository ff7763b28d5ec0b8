import { Link } from 'react-router';
import { forbidding, isOpen } from '@loose-pulley/core/strip';
import type { Ticket } from '@loose-pulley/core/ticket';
import { happen } from '../keeping/actions';
import { sayMoment } from '../keeping/moments';
import { momentAsked } from '../store/openTicket';
import { useAppDispatch, useAppSelector } from '../store/store';
import { Button, CommitButton } from '../ui/Button';

const BEFORE = { power: 'before power', lid: 'before the lid', handBack: 'before handing back' } as const;

/** The open loops of the ticket, on every page of it; and the question that one asks when power or lid is said. */
export function LoopStrip({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  const dispatch = useAppDispatch();
  const asked = useAppSelector(({ openTicket }) => openTicket.asked);
  const open = ticket.strip.loops.filter(isOpen);
  const against = asked ? forbidding(ticket.strip.loops, asked === 'lid' ? 'lid' : 'power') : [];
  return (
    <>
      {asked && against.length > 0 && (
        <div role="alert" className="w-full border-y-2 border-live py-2">
          <p className="font-semibold text-live">
            {asked === 'lid' ? 'The lid, with this still open:' : 'Power, with this still open:'}
          </p>
          <ul>
            {against.map((loop) => (
              <li key={loop.id} className="flex flex-wrap items-center gap-3">
                <span>
                  <strong>{loop.words}</strong>: {loop.closes}.
                </span>
                <Button
                  disabled={!canWrite}
                  onClick={() =>
                    dispatch(happen({ type: 'loopPut', loop: { ...loop, closedAt: new Date().toISOString() } }))
                  }
                >
                  It is done
                </Button>
              </li>
            ))}
          </ul>
          <div className="flex flex-wrap gap-2 pt-2">
            <Button look="strong" onClick={() => dispatch(momentAsked(null))}>
              Not yet
            </Button>
            <CommitButton onClick={() => dispatch(sayMoment(asked, true))}>All the same</CommitButton>
          </div>
        </div>
      )}
      {asked && against.length === 0 && (
        <div role="alert" className="flex w-full flex-wrap items-center gap-3 border-y border-ink py-2">
          Nothing forbids it any more.
          <Button look="strong" onClick={() => dispatch(sayMoment(asked, true))}>
            {asked === 'lid' ? 'The lid is on' : 'It is plugged in'}
          </Button>
        </div>
      )}
      {open.length > 0 && (
        <ul aria-label="Open loops" className="flex flex-wrap items-center gap-x-4">
          {open.slice(0, 3).map((loop) => (
            <li key={loop.id}>
              <Link
                to={`/t/${ticket.id}/rebuild`}
                className="inline-flex min-h-11 items-center gap-1.5 decoration-hair underline-offset-4 hover:underline"
              >
                <span aria-hidden className="text-live">
                  ↺
                </span>
                <strong>{loop.words}</strong> <span className="text-soft">{BEFORE[loop.before]}</span>
              </Link>
            </li>
          ))}
          {open.length > 3 && <li className="text-soft">{open.length - 3} more</li>}
        </ul>
      )}
    </>
  );
}
