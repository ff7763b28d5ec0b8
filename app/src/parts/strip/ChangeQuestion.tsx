import { forbidding, lidNow } from '@loose-pulley/core/work/strip';
import { powerHeld } from '@loose-pulley/core/views/clean';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { recordEvent } from '../../state/persistence/recording';
import { sayMoment } from '../../state/persistence/moments';
import { momentAsked, type OpenTicketState } from '../../state/store/openTicket';
import { useAppDispatch } from '../../state/store/hooks';
import { Button, CommitButton } from '../ui/Button';
import { HeldList } from '../clean/HeldList';
import { useNow } from '../clock/useNow';
import { CloseChange } from './CloseChange';

/** Power or the lid was said while temporary changes forbid it: which ones, what reverses them, and whether to go on all the same. */
export default function ChangeQuestion({
  ticket,
  canWrite,
  asked,
}: {
  readonly ticket: Ticket;
  readonly canWrite: boolean;
  readonly asked: NonNullable<OpenTicketState['asked']>;
}) {
  const dispatch = useAppDispatch();
  const against = forbidding(ticket.strip.temporaryChanges, asked === 'lid' ? 'lid' : 'power');
  const wet = powerHeld(ticket, useNow()).filter(() => asked !== 'lid');
  return against.length + wet.length > 0 ? (
    <div role="alert" className="w-full border-y-2 border-live py-2">
      <p className="font-semibold text-live">
        {asked === 'lid'
          ? 'The lid, with this still open:'
          : against.length > 0
            ? 'Power, with this still open:'
            : 'Power, while this is still wet:'}
      </p>
      {asked !== 'lid' && lidNow(ticket.lid, ticket.strip.steps)?.state === 'off' && (
        <p>The lid is off as well: mains are in reach, and laser light.</p>
      )}
      <ul>
        {against.map((change) => (
          <li key={change.id} className="flex flex-wrap items-center gap-3">
            <span>
              <strong>{change.words}</strong>: {change.closes}.
            </span>
            <CloseChange change={change} disabled={!canWrite} />
          </li>
        ))}
      </ul>
      <HeldList ticket={ticket} held={wet} canWrite={canWrite} />
      <div className="flex flex-wrap gap-2 pt-2">
        <Button look="strong" onClick={() => dispatch(momentAsked(null))}>
          Not yet
        </Button>
        <CommitButton onClick={() => dispatch(sayMoment(asked, true))}>Do it anyway</CommitButton>
      </div>
    </div>
  ) : (
    <div role="alert" className="flex w-full flex-wrap items-center gap-3 border-y border-ink py-2">
      {asked === 'lid' && ticket.train.mode.states.length > 0 ? (
        <ModeQuestion ticket={ticket} canWrite={canWrite} />
      ) : (
        'Nothing forbids it any more.'
      )}
      <Button look="strong" onClick={() => dispatch(sayMoment(asked, true))}>
        {asked === 'lid' ? 'The lid is on' : 'It is plugged in'}
      </Button>
    </div>
  );
}

/** After work the state of a mode gear is asked before the lid: which one it stands at, by one press. */
function ModeQuestion({ ticket, canWrite }: { readonly ticket: Ticket; readonly canWrite: boolean }) {
  const dispatch = useAppDispatch();
  const { mode } = ticket.train;
  const home = mode.states.find(({ id }) => id === mode.home);
  return (
    <span className="flex flex-wrap items-center gap-2">
      Before the lid: where does the mode gear stand?
      {mode.states.map((state) => (
        <Button
          key={state.id}
          aria-pressed={state.id === mode.at}
          disabled={!canWrite}
          onClick={() => dispatch(recordEvent({ type: 'modePut', mode: { ...mode, at: state.id } }))}
        >
          {state.name}
        </Button>
      ))}
      {home && mode.at !== null && mode.at !== mode.home && (
        <strong className="text-live">It should be at “{home.name}”.</strong>
      )}
    </span>
  );
}
