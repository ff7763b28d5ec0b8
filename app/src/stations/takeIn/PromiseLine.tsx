import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { TextLine } from '../../parts/ui/TextLine';
import { Input } from '../../parts/ui/Input';

const pad = (n: number): string => String(n).padStart(2, '0');
/** A moment as the browser's own field writes it, on this machine's clock. */
function localOf(moment: string): string {
  const at = new Date(moment);
  return `${at.getFullYear()}-${pad(at.getMonth() + 1)}-${pad(at.getDate())}T${pad(at.getHours())}:${pad(at.getMinutes())}`;
}

/** What was promised to whom, and by when: the Day plans by it. */
export function PromiseLine() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { promise } = ticket;
  const past = promise !== null && Date.parse(promise.at) < Date.now() && ticket.closedAt === null;
  return (
    <section aria-label="Promised" className="grid gap-3">
      <label className="grid gap-1 text-sm text-soft">
        Promised by
        <Input
          type="datetime-local"
          className="text-ink"
          disabled={!canWrite}
          value={promise ? localOf(promise.at) : ''}
          onChange={(event) => {
            const at = new Date(event.target.value);
            if (Number.isNaN(at.getTime())) return;
            dispatch(
              recordEvent(
                { type: 'promised', promise: { to: promise?.to ?? ticket.owner, at: at.toISOString() } },
                'promise',
              ),
            );
          }}
        />
      </label>
      {past && <p className="text-live">That is past. Say a new time, or take the promise back.</p>}
      {promise && (
        <>
          <TextLine
            label="Promised to"
            value={promise.to}
            maxLength={120}
            disabled={!canWrite}
            onText={(to, gesture) => dispatch(recordEvent({ type: 'promised', promise: { ...promise, to } }, gesture))}
          />
          <Button
            look="quiet"
            disabled={!canWrite}
            onClick={() => dispatch(recordEvent({ type: 'promised', promise: null }))}
          >
            Take the promise back
          </Button>
        </>
      )}
    </section>
  );
}
