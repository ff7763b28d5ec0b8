import { nanoid } from 'nanoid';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { TextLine } from '../../parts/ui/TextLine';
import { OFFER_ANSWERS, OFFER_NAMES, type Offer } from '@loose-pulley/core/record/stations';

/** What was offered to the owner, accepted or declined, and by whom: whether to renew what still serves is theirs to say. */
export function Offers() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const put = (offer: Offer, gesture?: string) => dispatch(recordEvent({ type: 'offerPut', offer }, gesture));
  return (
    <section aria-labelledby="offers" className="grid gap-2">
      <h3 id="offers" className="text-sm text-soft">
        Offered to the owner
      </h3>
      {ticket.offers.map((offer) => (
        <div key={offer.id} className="grid items-end gap-3 border-b border-hair pb-3 md:grid-cols-2">
          <TextLine
            label="What"
            value={offer.what}
            maxLength={400}
            disabled={!canWrite}
            onText={(what, gesture) => put({ ...offer, what }, `${gesture}-what`)}
          />
          <TextLine
            label="Who decided, and why"
            value={offer.by}
            maxLength={400}
            disabled={!canWrite}
            onText={(by, gesture) => put({ ...offer, by }, `${gesture}-by`)}
          />
          <Segments
            label={`${offer.what || 'The offer'} was`}
            value={offer.answer}
            disabled={!canWrite}
            className="justify-self-start"
            options={OFFER_ANSWERS.map((answer) => [answer, OFFER_NAMES[answer]] as const)}
            onChoose={(answer) => put({ ...offer, answer })}
          />
          {canWrite && (
            <Button
              look="quiet"
              className="justify-self-start"
              onClick={() => dispatch(recordEvent({ type: 'offerRemoved', offerId: offer.id }))}
            >
              Remove
            </Button>
          )}
        </div>
      ))}
      {canWrite && (
        <Button
          className="justify-self-start"
          onClick={() => put({ id: nanoid(10), what: '', answer: 'open', by: '' })}
        >
          Something was offered
        </Button>
      )}
    </section>
  );
}
