import { writtenDay } from '../../state/written';
import { useCallback, useEffect, useState } from 'react';

import { deleteForGood, loadDeleted, putBack, type Deleted } from '../../state/persistence/deleted';
import { loadBench } from '../../state/persistence/bench';
import { sweep } from '../../state/persistence/sweep';
import { useAppDispatch } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';

/** Deleted tickets, which can be put back until they are deleted for good. */
export function DeletedTickets() {
  const dispatch = useAppDispatch();
  const [deleted, setDeleted] = useState<readonly Deleted[]>([]);
  const load = useCallback(() => loadDeleted().then(setDeleted, () => undefined), []);
  useEffect(() => void load(), [load]);
  if (deleted.length === 0) return null;
  const back = async (id: string): Promise<void> => {
    await putBack(id);
    await Promise.all([load(), dispatch(loadBench())]);
  };
  const gone = async (id: string): Promise<void> => {
    await deleteForGood(id);
    await Promise.all([load(), sweep()]);
  };
  return (
    <section aria-labelledby="deleted" className="grid gap-2">
      <h2 id="deleted" className="text-lg">
        Deleted
      </h2>
      <ul className="grid gap-3">
        {deleted.map(({ record: { ticket }, at }) => (
          <li key={ticket.id} className="grid gap-2 border-t border-hair pt-2">
            <p>
              {ticket.number} {ticket.machine || 'Unnamed machine'},{' '}
              <span className="text-soft">deleted {writtenDay(at)}</span>
            </p>
            <p className="flex flex-wrap gap-2">
              <Button onClick={() => void back(ticket.id)}>Put it back on the Bench</Button>
              <Button onClick={() => void gone(ticket.id)}>Delete for good, pictures too</Button>
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
