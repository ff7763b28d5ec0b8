import { ButtonLink } from '../../parts/ui/ButtonLink';
import { useState } from 'react';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Input } from '../../parts/ui/Input';

/** Laying a machine aside in pieces: where it lies, what is awaited; and the tag that says so. */
export function Parking() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { park } = ticket.strip;
  const [lies, setLies] = useState(park?.lies ?? '');
  const [awaited, setAwaited] = useState(park?.awaited ?? '');
  const field = (label: string, value: string, set: (text: string) => void) => (
    <label className="grid gap-1 text-sm text-soft">
      {label}
      <Input
        value={value}
        maxLength={1000}
        disabled={!canWrite || park !== null}
        onChange={(event) => set(event.target.value)}
        className="text-lg text-ink"
      />
    </label>
  );
  return (
    <section aria-labelledby="parking" className="grid gap-2">
      <h3 id="parking" className="text-lg">
        {park ? 'Parked' : 'Park it'}
      </h3>
      {field('Where its parts lie', lies, setLies)}
      {field('What is awaited, from whom', awaited, setAwaited)}
      {park ? (
        <>
          <ButtonLink to={`/t/${ticket.id}/tag`}>Tag for the machine, to print</ButtonLink>
          <Button disabled={!canWrite} onClick={() => dispatch(recordEvent({ type: 'parked', park: null }))}>
            Take it up again
          </Button>
        </>
      ) : (
        <Button
          disabled={!canWrite || lies.trim() === ''}
          onClick={() =>
            dispatch(
              recordEvent({
                type: 'parked',
                park: { since: new Date().toISOString(), lies: lies.trim(), awaited: awaited.trim() },
              }),
            )
          }
        >
          Park it
        </Button>
      )}
    </section>
  );
}
