import { useState } from 'react';
import { loadBench, removeFromBench } from '../../state/persistence/bench';
import { loadRaw } from '../../state/persistence/archive';
import type { SetAside as Record } from '../../state/persistence/tickets';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button } from '../../parts/ui/Button';
import { download, fileName } from '../../parts/ui/download';

/** Records that cannot be read: they hide no others, and stay as they are until somebody decides. */
export function SetAside() {
  const records = useAppSelector(({ bench }) => bench.setAside);
  if (records.length === 0) return null;
  return (
    <section aria-label="Set aside" className="mb-6 border-l-4 border-live pl-4">
      <h2 className="text-lg">Set aside: cannot be read</h2>
      <ul className="grid gap-3">
        {records.map((one) => (
          <Row key={one.id} record={one} />
        ))}
      </ul>
    </section>
  );
}

function Row({ record }: { readonly record: Record }) {
  const dispatch = useAppDispatch();
  const [sure, setSure] = useState(false);
  const saveRaw = async (): Promise<void> => {
    const raw = await loadRaw(record.id);
    download(`raw-${fileName(record.id)}.json`, JSON.stringify(raw, null, 1), 'application/json');
  };
  return (
    <li className="grid gap-2">
      <p>
        Record <b>{record.id}</b>: {record.why} It is left as it is.
      </p>
      <p className="flex flex-wrap gap-2">
        <Button onClick={() => void saveRaw()}>Save it raw</Button>
        <Button onClick={() => void dispatch(loadBench())}>Try again</Button>
        {sure ? (
          <Button onClick={() => void dispatch(removeFromBench(record.id)).then(() => dispatch(loadBench()))}>
            Remove it for good
          </Button>
        ) : (
          <Button onClick={() => setSure(true)}>Remove</Button>
        )}
      </p>
    </li>
  );
}
