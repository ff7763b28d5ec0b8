import { saveStranded } from '../state/persistence/seldom';
import { strandedSettled } from '../state/store/openTicket';
import { useAppDispatch, useAppSelector } from '../state/store/hooks';
import { Button } from '../parts/ui/Button';

/** Changes that another tab's writing kept from being saved: they go over nothing, and are offered as a copy. */
export default function Stranded() {
  const dispatch = useAppDispatch();
  const stranded = useAppSelector(({ openTicket }) => openTicket.stranded);
  return stranded.map((record) => (
    <section
      key={record.events.at(-1)?.id}
      role="alert"
      aria-label={`Unsaved changes of ${record.ticket.number}`}
      className="flex flex-wrap items-center gap-3 border-t-2 border-live bg-paper px-5 py-2 print:hidden"
    >
      <p className="grow">
        Another tab has written {record.ticket.number} {record.ticket.machine} before the last changes made here were
        saved. Nothing was written over; what this tab had can be saved as a ticket of its own.
      </p>
      <Button look="strong" onClick={() => void dispatch(saveStranded(record))}>
        Save it as a copy
      </Button>
      <Button onClick={() => dispatch(strandedSettled(record))}>Drop these changes</Button>
    </section>
  ));
}
