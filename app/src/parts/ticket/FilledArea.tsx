import { handBackSentences, handBackText } from '@loose-pulley/core/views/handBack';
import type { FilledField } from '@loose-pulley/core/record/stations';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { Told } from '../papers/Told';
import { Button } from '../ui/Button';
import { Fold } from '../ui/Fold';
import { TextArea } from '../ui/TextLine';
import { useTicket } from './useTicket';

/** A field of Hand back, filled from the ticket until it is written in the bench's own words; and filled again at a press. */
export function FilledArea({ field, label }: { readonly field: FilledField; readonly label: string }) {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { own } = ticket.handBack;
  const sentences = handBackSentences(ticket, field);
  const isOwn = own.includes(field) || ticket.closedAt !== null;
  return (
    <div className="grid gap-1">
      <TextArea
        label={isOwn ? label : `${label}, as the ticket has it: change what you like`}
        rows={3}
        value={handBackText(ticket, field)}
        disabled={!canWrite}
        onText={(text, gesture) =>
          dispatch(recordEvent({ type: 'handBackWritten', changes: { [field]: text } }, gesture))
        }
      />
      {sentences.length > 0 && (
        <Fold title={`What each sentence rests on: ${label.toLowerCase()}`} titleClass="text-sm text-soft">
          {sentences.map((sentence) => (
            <Told key={sentence.text} sentence={sentence} />
          ))}
        </Fold>
      )}
      {own.includes(field) && ticket.closedAt === null && (
        <Button
          look="quiet"
          className="justify-self-start"
          disabled={!canWrite}
          onClick={() =>
            dispatch(
              recordEvent({
                type: 'handBackWritten',
                changes: { [field]: '', own: own.filter((one) => one !== field) },
              }),
            )
          }
        >
          {`${label}: as the ticket has it`}
        </Button>
      )}
    </div>
  );
}
