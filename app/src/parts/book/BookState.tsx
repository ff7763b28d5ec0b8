import { useState } from 'react';
import { emptyBook } from '@loose-pulley/core/shop/book';
import { importBook, loadBook } from '../../state/persistence/book';
import { loadRawBook } from '../../state/persistence/bookStore';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { today } from '../../state/written';
import { Button } from '../ui/Button';
import { download } from '../ui/download';

/** How the bench book stands, where that is not simply that it is here: on every page that shows a part of it. */
export function BookState() {
  const dispatch = useAppDispatch();
  const { status, problem, why } = useAppSelector(({ book }) => book);
  if (status === 'loading') return <p className="my-4 text-soft">Looking into the bench book…</p>;
  if (status === 'newer')
    return (
      <p className="my-3 text-live">
        A newer Loose Pulley wrote the bench book: it can be looked at here, not changed.
      </p>
    );
  if (status === 'setAside') return <SetAside why={why} />;
  if (status !== 'failed') return null;
  return (
    <div role="alert" className="my-3 grid justify-items-start gap-2 border-l-4 border-live pl-3">
      <p className="text-live">{problem?.sentence}</p>
      <Button onClick={() => void dispatch(loadBook())}>Try again</Button>
    </div>
  );
}

/** A book that cannot be read stays as it is until somebody decides. */
function SetAside({ why }: { readonly why: string }) {
  const dispatch = useAppDispatch();
  const [sure, setSure] = useState(false);
  const [said, setSaid] = useState('');
  const saveRaw = async (): Promise<void> =>
    download(
      `raw-bench-book-${today()}.json`,
      `${JSON.stringify(await loadRawBook(), null, 1) ?? 'null'}\n`,
      'application/json',
    );
  return (
    <section aria-label="Set aside" role="alert" className="my-3 grid gap-2 border-l-4 border-live pl-4">
      <h2 className="text-lg">The bench book is set aside: it cannot be read</h2>
      <p>
        Why: {why} It is left as it is; tickets are kept apart and go on as ever. Save it raw first. A bench book that
        was exported earlier can be imported in its place, from the Drawer.
      </p>
      <p className="flex flex-wrap gap-2">
        <Button onClick={() => void saveRaw()}>Save it raw</Button>
        <Button onClick={() => void dispatch(loadBook())}>Try again</Button>
        {sure ? (
          <Button onClick={() => void dispatch(importBook(emptyBook())).then(setSaid)}>
            Begin anew with an empty book
          </Button>
        ) : (
          <Button onClick={() => setSure(true)}>Begin anew</Button>
        )}
      </p>
      <p role="status" className="empty:hidden">
        {said}
      </p>
    </section>
  );
}
