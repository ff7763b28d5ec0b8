import { nanoid } from 'nanoid';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from './useTicket';
import { Button } from '../ui/Button';
import { TextLine } from '../ui/TextLine';
import type { Disc } from '@loose-pulley/core/record/stations';

/** Discs found in the machine or left with it: whose, where, in what condition, and whether they went back. */
export function Discs() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const put = (disc: Disc, gesture?: string) => dispatch(recordEvent({ type: 'discPut', disc }, gesture));
  return (
    <section aria-labelledby="discs" className="grid gap-2">
      <h3 id="discs" className="text-lg">
        Discs in custody
      </h3>
      {ticket.discs.map((disc) => {
        const line = (key: 'whose' | 'where' | 'condition' | 'out', label: string, most: number) => (
          <TextLine
            label={label}
            value={disc[key]}
            maxLength={most}
            disabled={!canWrite}
            onText={(text, gesture) => put({ ...disc, [key]: text }, `${gesture}-${key}`)}
          />
        );
        return (
          <div key={disc.id} className="grid gap-2 border-b border-hair pb-3">
            {line('whose', 'Whose', 120)}
            {line('where', 'Found where', 200)}
            {line('condition', 'Condition', 400)}
            {line('out', 'Out at what step', 200)}
            <div className="flex gap-3">
              <Button
                aria-pressed={disc.returned}
                disabled={!canWrite}
                onClick={() => put({ ...disc, returned: !disc.returned })}
              >
                {disc.returned ? 'Returned' : 'Not returned yet'}
              </Button>
              <Button
                look="quiet"
                disabled={!canWrite}
                onClick={() => dispatch(recordEvent({ type: 'discRemoved', discId: disc.id }))}
              >
                Remove
              </Button>
            </div>
          </div>
        );
      })}
      {canWrite && (
        <Button onClick={() => put({ id: nanoid(10), whose: '', where: '', condition: '', out: '', returned: false })}>
          A disc was found
        </Button>
      )}
    </section>
  );
}
