import { beltHeld } from '@loose-pulley/core/views/clean';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { recordEvents } from '../../state/persistence/recording';
import { fitHeld, type OpenTicketState } from '../../state/store/openTicket';
import { useAppDispatch } from '../../state/store/hooks';
import { useNow } from '../clock/useNow';
import { Button, CommitButton } from '../ui/Button';
import { HeldList } from './HeldList';

/** A belt was to go on while something is wet, greasy or not wiped: what, and the word that ends it. */
export default function HeldQuestion({
  ticket,
  canWrite,
  fit,
}: {
  readonly ticket: Ticket;
  readonly canWrite: boolean;
  readonly fit: NonNullable<OpenTicketState['heldFit']>;
}) {
  const dispatch = useAppDispatch();
  const held = beltHeld(ticket, fit.driveId, useNow());
  const goOn = (): void => {
    if (dispatch(recordEvents(fit.bodies))) dispatch(fitHeld(null));
  };
  return held.length > 0 ? (
    <div role="alert" className="w-full border-y-2 border-live py-2">
      <p className="font-semibold text-live">Before the belt goes on:</p>
      <HeldList ticket={ticket} held={held} canWrite={canWrite} />
      <div className="flex flex-wrap gap-2 pt-2">
        <Button look="strong" onClick={() => dispatch(fitHeld(null))}>
          Not yet
        </Button>
        <CommitButton onClick={goOn}>Fit it anyway</CommitButton>
      </div>
    </div>
  ) : (
    <div role="alert" className="flex w-full flex-wrap items-center gap-3 border-y border-ink py-2">
      Dry, wiped, and your hands are clean.
      <CommitButton look="strong" onClick={goOn}>
        The belt is on
      </CommitButton>
      <Button onClick={() => dispatch(fitHeld(null))}>Not yet</Button>
    </div>
  );
}
