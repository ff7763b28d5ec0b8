import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Segments } from '../../parts/ui/Segments';
import { AFTER_UNPLUGGING, AFTER_UNPLUGGING_NAMES } from '@loose-pulley/core/record/stations';

/** After some minutes unplugged it is tried again, before it is opened: the cheapest cure there is. */
export function TriedAgain() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { afterUnplugging } = ticket;
  return (
    <div className="grid gap-1">
      <span className="text-sm text-soft">Then tried again, before it was opened</span>
      <Segments
        label="Tried again after unplugging"
        value={afterUnplugging?.result ?? ''}
        disabled={!canWrite}
        options={AFTER_UNPLUGGING.map((result) => [result, AFTER_UNPLUGGING_NAMES[result]] as const)}
        onChoose={(result) =>
          dispatch(recordEvent({ type: 'triedAgain', afterUnplugging: { result, at: new Date().toISOString() } }))
        }
      />
      {afterUnplugging?.result === 'works' && (
        <p className="text-sm">
          Then it was electronics that need a power reset, perhaps: count some cycles before believing it.
        </p>
      )}
    </div>
  );
}
