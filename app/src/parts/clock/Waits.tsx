import * as Popover from '@radix-ui/react-popover';
import { useEffect, useRef } from 'react';
import { Link } from 'react-router';
import { ago, timerState, timerWords } from '@loose-pulley/core/base/timers';
import { counted } from '@loose-pulley/core/base/units';
import type { TemporaryChange } from '@loose-pulley/core/work/strip';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../ui/Button';
import { ring } from './ring';
import { useNow, useSetBackMs } from './useNow';
import type { Waiting } from './waiting';

const BEFORE = { power: 'before power', lid: 'before the lid', handBack: 'before handing back' } as const;

/** Rings when a timer ends while a page is open; what was due before it was opened is late already. */
function useRinging(due: readonly string[]): void {
  const rung = useRef<Set<string> | null>(null);
  const dueKey = due.join(' ');
  useEffect(() => {
    const now = new Set(dueKey === '' ? [] : dueKey.split(' '));
    if (rung.current && [...now].some((id) => !rung.current?.has(id))) ring();
    rung.current = new Set([...(rung.current ?? []), ...now]);
  }, [dueKey]);
}

/** The word of the timers: the open ticket's own by name where it is one; all others are numbers. */
function timersWord(waiting: readonly Waiting[], nowMs: number): string {
  const isDue = ({ timer }: Waiting): boolean => timerState(timer, nowMs).status === 'due';
  const own = waiting.filter((one) => one.own);
  const others = waiting.filter((one) => !one.own);
  const [only] = own;
  const numbers = (list: readonly Waiting[], where: string): string => {
    const due = list.filter(isDue).length;
    if (list.length === 0) return '';
    return due > 0 ? `${counted(due, 'timer')} due${where}` : `${counted(list.length, 'timer')}${where}`;
  };
  return [
    only && own.length === 1 ? timerWords(only.timer.what, timerState(only.timer, nowMs)) : numbers(own, ''),
    numbers(others, only ? ' elsewhere' : ''),
  ]
    .filter((word) => word !== '')
    .join(', ');
}

/** What waits, in one counted word that opens upwards: what is to be reversed here, and every timer on the bench. */
export default function Waits({
  waiting,
  toReverse,
  ticketId,
}: {
  readonly waiting: readonly Waiting[];
  readonly toReverse: readonly TemporaryChange[];
  readonly ticketId: string;
}) {
  const nowMs = useNow();
  const setBackMs = useSetBackMs();
  const dispatch = useAppDispatch();
  const writes = useAppSelector(({ openTicket: { ticket } }) =>
    ticket.status === 'open' && ticket.access === 'writer' ? ticket.id : null,
  );
  const due = waiting.filter(({ timer }) => timerState(timer, nowMs).status === 'due');
  useRinging(due.map(({ timer }) => timer.id));
  const ownDue = due.some(({ own }) => own);
  const words = [
    toReverse.length > 0 ? `${toReverse.length} to reverse` : '',
    timersWord(waiting, nowMs),
    setBackMs > 0 ? 'clock set back' : '',
  ]
    .filter((word) => word !== '')
    .join(', ');
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`inline-flex min-h-11 min-w-0 shrink items-center gap-1.5 font-semibold ${ownDue || setBackMs > 0 ? 'text-live' : ''}`}
      >
        {toReverse.length > 0 && (
          <span aria-hidden className="text-live">
            ↺
          </span>
        )}
        <span className="truncate underline decoration-hair decoration-2 underline-offset-4">
          <span className="max-sm:sr-only">{words}</span>
          <span aria-hidden className="sm:hidden">
            {toReverse.length + waiting.length} wait
          </span>
        </span>
        <span aria-hidden>▴</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={6}
          collisionPadding={8}
          aria-label="What waits"
          className="z-30 grid max-h-(--radix-popover-content-available-height) max-w-[calc(100vw-16px)] gap-2 overflow-y-auto border border-ink bg-sheet px-4 py-3 text-[15px]"
        >
          {toReverse.length > 0 && (
            <ul aria-label="To reverse">
              {toReverse.map((change) => (
                <li key={change.id}>
                  <Popover.Close asChild>
                    <Link
                      to={`/t/${ticketId}/rebuild`}
                      className="inline-flex min-h-11 items-center gap-1.5 decoration-hair underline-offset-4 hover:underline"
                    >
                      <span aria-hidden className="text-live">
                        ↺
                      </span>
                      <strong>{change.words}</strong> <span className="text-soft">{BEFORE[change.before]}</span>
                    </Link>
                  </Popover.Close>
                </li>
              ))}
            </ul>
          )}
          <ul aria-label="Timers">
            {waiting.map(({ ticketId: of, number, timer }) => {
              const state = timerState(timer, nowMs);
              return (
                <li
                  key={timer.id}
                  className={`flex flex-wrap items-center gap-x-3 ${state.status === 'due' ? 'font-semibold text-live' : ''}`}
                >
                  <Popover.Close asChild>
                    <Link
                      to={`/t/${of}/takeIn`}
                      className="inline-flex min-h-11 items-center underline decoration-hair decoration-2 underline-offset-4"
                    >
                      {number} {timerWords(timer.what, state)}
                    </Link>
                  </Popover.Close>
                  {writes === of && (
                    <Button
                      look="quiet"
                      onClick={() =>
                        dispatch(
                          recordEvent({ type: 'timerPut', timer: { ...timer, endedAt: new Date().toISOString() } }),
                        )
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
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
