import { today } from '../../state/written';
import { useState } from 'react';
import { emptyBook } from '@loose-pulley/core/shop/book';
import { readBookFile, writeBookFile } from '@loose-pulley/core/files/exchange';
import { Button, CommitButton } from '../ui/Button';
import { download } from '../ui/download';
import { FilePicker } from '../ui/FilePicker';
import { importBook } from '../../state/persistence/book';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';

/** The bench book's way out and in: all of drawer, orders and day, with their history. */
export function KeepingBook() {
  const dispatch = useAppDispatch();
  const record = useAppSelector(({ book }) => book.record);
  const [said, setSaid] = useState('');
  const [read, setRead] = useState<ReturnType<typeof readBookFile> | null>(null);
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    const found = readBookFile(await file.text(), file.name);
    setRead(found.ok ? found : null);
    setSaid(
      found.ok
        ? `“${file.name}” holds ${found.value.book.items.length} sizes and ${found.value.book.orders.length} orders. It takes the place of what is here.`
        : found.problem,
    );
  };
  return (
    <section aria-labelledby="bench-book" className="grid gap-2">
      <h2 id="bench-book" className="text-lg">
        Bench book
      </h2>
      <p>Drawer, orders and day in one file, with their history. Tickets are kept apart, by the Log.</p>
      <div className="flex flex-wrap gap-2">
        <Button
          disabled={!record}
          onClick={() =>
            download(
              `loose-pulley-bench-book-${today()}.json`,
              writeBookFile(record ?? emptyBook()),
              'application/json',
            )
          }
        >
          Export the bench book
        </Button>
        <FilePicker label="Import a bench book" accept=".json" onFiles={([file]) => void open(file)} />
      </div>
      <p role="status" className="empty:hidden">
        {said}
      </p>
      {read?.ok && (
        <div className="flex flex-wrap gap-2">
          <CommitButton
            look="strong"
            onClick={() => {
              void dispatch(importBook(read.value)).then((words) => {
                setSaid(words);
                setRead(null);
              });
            }}
          >
            Put it in place of mine
          </CommitButton>
          <Button
            onClick={() => {
              setRead(null);
              setSaid('Nothing was changed.');
            }}
          >
            Keep mine
          </Button>
        </div>
      )}
    </section>
  );
}
