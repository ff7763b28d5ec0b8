import { Link } from 'react-router';
import { cleanView } from '@loose-pulley/core/views/clean';
import { KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { workedBefore } from '@loose-pulley/core/views/knownBefore';
import { putRight } from '@loose-pulley/core/views/evidence';
import { readTreatment } from '@loose-pulley/core/work/treatmentLine';
import { beltHeld } from '@loose-pulley/core/views/clean';
import { recordEvent } from '../../state/persistence/recording';
import { halfLineTyped } from '../../state/store/openTicket';
import { useAppDispatch } from '../../state/store/hooks';
import { useNow } from '../../parts/clock/useNow';
import { usePastTickets } from '../../parts/ticket/usePastTickets';
import { useTicket } from '../../parts/ticket/useTicket';
import { HeldList } from '../../parts/clean/HeldList';
import { Button } from '../../parts/ui/Button';

/** What still holds back the belt, by the second. */
export function BeforeTheBelt() {
  const { ticket, canWrite } = useTicket();
  const held = beltHeld(ticket, null, useNow());
  if (held.length === 0) return null;
  return (
    <section aria-label="Before the belt goes on" className="grid gap-1 border-l-4 border-live pl-3">
      <h3 className="text-lg">Before the belt goes on</h3>
      <HeldList ticket={ticket} held={held} canWrite={canWrite} />
    </section>
  );
}

/** Causes that the cleaning seems to have put right: one press says so at Find. */
export function PutRight() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const offers = putRight(ticket);
  if (offers.length === 0) return null;
  return (
    <section aria-label="Put right" className="grid gap-2">
      <h3 className="text-lg">Was it this?</h3>
      {offers.map(({ causeId, because }) => {
        const name = KNOWLEDGE.causes.find(({ id }) => id === causeId)?.name ?? causeId;
        return (
          <div key={causeId} className="grid gap-1 border-b border-hair pb-2">
            <p>
              <strong>{name}</strong>: {because}.
            </p>
            <Button
              className="justify-self-start"
              disabled={!canWrite}
              onClick={() =>
                dispatch(
                  recordEvent({
                    type: 'verdictGiven',
                    verdict: { causeId, state: 'cured', words: name, at: new Date().toISOString() },
                  }),
                )
              }
            >
              That was it, and it is cured
            </Button>
          </div>
        );
      })}
      <Link
        className="inline-flex min-h-11 items-center underline decoration-hair underline-offset-4"
        to={`/t/${ticket.id}/prove`}
      >
        Prove it
      </Link>
    </section>
  );
}

/** What worked on earlier machines of this kind: a press puts it in the line, to be said or changed. */
export function Worked() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const worked = workedBefore(usePastTickets());
  const { places } = cleanView(ticket);
  const open = worked.filter(({ line }) => {
    const [way] = readTreatment(line, { map: places, chosenId: null })?.ways ?? [];
    // What was done here already is not said again.
    return !way?.does.every(
      (deed) =>
        deed.type === 'treat' &&
        ticket.cleaning.treatments.some((one) => one.placeId === deed.place?.id && one.agent === deed.told.agent),
    );
  });
  if (open.length === 0) return null;
  return (
    <section aria-label="What worked before" className="grid gap-2">
      <h3 className="text-lg">Worked on this mechanism before</h3>
      {open.slice(0, 5).map(({ number, line, because }) => (
        <div key={line} className="border-b border-hair pb-2">
          <Button
            disabled={!canWrite}
            onClick={() => dispatch(halfLineTyped({ ticketId: `clean/${ticket.id}`, text: line }))}
          >
            {line}
          </Button>
          <p className="text-sm text-soft">
            Ticket {number}: {because}.
          </p>
        </div>
      ))}
    </section>
  );
}
