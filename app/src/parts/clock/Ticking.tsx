import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { ago, timerState, timerWords } from '@loose-pulley/core/base/timers';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../ui/Button';
import { useMedia } from '../ui/useMedia';
import { ring } from './ring';
import { useNow, useSetBackMs } from './useNow';
import type { Waiting } from './waiting';

/** So many stand on every page; on a phone they would take it. */
const SHOWN = 2;
const SHOWN_NARROW = 1;

/** Timers as they run: fetched once there is one. */
export default function Ticking({ waiting }: { readonly waiting: readonly Waiting[] }) {
  const shown = useMedia('(max-width: 639px)') ? SHOWN_NARROW : SHOWN;
  const nowMs = useNow();
  const setBackMs = useSetBackMs();
  const dispatch = useAppDispatch();
  const writes = useAppSelector(({ openTicket: { ticket } }) =>
    ticket.status === 'open' && ticket.access === 'writer' ? ticket.id : null,
  );
  const due = waiting.filter(({ timer }) => timerState(timer, nowMs).status === 'due').map(({ timer }) => timer.id);
  const rung = useRef<Set<string> | null>(null);
  const dueKey = due.join(' ');
  useEffect(() => {
    const now = new Set(dueKey === '' ? [] : dueKey.split(' '));
    // What was due before the page was opened is late already; only what ends now rings.
    if (rung.current && [...now].some((id) => !rung.current?.has(id))) ring();
    rung.current = new Set([...(rung.current ?? []), ...now]);
  }, [dueKey]);
  return (
    <ul aria-label="Timers" className="flex flex-wrap items-center gap-x-4">
      {waiting.slice(0, shown).map(({ ticketId, number, timer }) => {
        const state = timerState(timer, nowMs);
        return (
          <li key={timer.id} className={state.status === 'due' ? 'font-semibold text-live' : ''}>
            <Link
              to={`/t/${ticketId}/takeIn`}
              className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
            >
              {number} {timerWords(timer.what, state)}
            </Link>
            {writes === ticketId && (
              <Button
                look="quiet"
                className="ml-1"
                onClick={() =>
                  dispatch(recordEvent({ type: 'timerPut', timer: { ...timer, endedAt: new Date().toISOString() } }))
                }
              >
                {state.status === 'due' ? 'Done' : 'End it'}
              </Button>
            )}
          </li>
        );
      })}
      {setBackMs > 0 && (
        <li className="font-semibold text-live">
          The clock was set back by {ago(setBackMs / 1000)}: timers end that much late.
        </li>
      )}
      {waiting.length > shown && <li className="text-soft">{waiting.length - shown} more</li>}
    </ul>
  );
}
