import { nanoid } from 'nanoid';
import type { Held } from '@loose-pulley/core/work/cleaning';
import type { EventBody, Ticket } from '@loose-pulley/core/record/ticket';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../ui/Button';

const ENDS: Readonly<Record<Held['ends'], string>> = {
  dry: 'It is dry already',
  wipe: 'The excess is wiped',
  hands: 'My hands are clean',
};

/** What the bench says that ends a thing which holds something back. */
export function endOf(held: Held, ticket: Ticket): EventBody | undefined {
  const at = new Date().toISOString();
  if (held.ends === 'dry') {
    const timer = ticket.timers.find(({ id }) => id === held.timerId);
    return timer && { type: 'timerPut', timer: { ...timer, endedAt: at } };
  }
  return {
    type: 'treated',
    treatment: {
      id: nanoid(10),
      at,
      placeId: held.placeId,
      deed: held.ends === 'hands' ? 'handsClean' : 'excessWiped',
      agent: null,
      way: '',
      strokes: 0,
      amount: '',
      swabs: [],
      outcome: 'unknown',
      line: '',
    },
  };
}

/** What holds something back, each with the word that ends it. */
export function HeldList({
  ticket,
  held,
  canWrite,
}: {
  readonly ticket: Ticket;
  readonly held: readonly Held[];
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  if (held.length === 0) return null;
  return (
    <ul>
      {held.map((one) => (
        <li key={`${one.placeId} ${one.ends}`} className="flex flex-wrap items-center gap-3">
          <span className="first-letter:uppercase">{one.words}.</span>
          <Button
            disabled={!canWrite}
            onClick={() => {
              const body = endOf(one, ticket);
              if (body) dispatch(recordEvent(body));
            }}
          >
            {ENDS[one.ends]}
          </Button>
        </li>
      ))}
    </ul>
  );
}
