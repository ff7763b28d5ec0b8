import { useEffect, useState } from 'react';
import { emptyBook, sayBook } from '@loose-pulley/core/shop/book';
import type { BookFile } from '@loose-pulley/core/files/exchange';
import type { Result } from '@loose-pulley/core/base/units';
import { today, writtenDay } from '../../state/written';
import { beginWith } from '../../state/exchange/session';
import { importBook, takeBookBack } from '../../state/persistence/book';
import { loadBookBefore, type BookBefore } from '../../state/persistence/bookStore';
import { useAppDispatch, useAppSelector } from '../../state/store/hooks';
import { Button, CommitButton } from '../ui/Button';
import { download } from '../ui/download';
import { FilePicker } from '../ui/FilePicker';

/** The bench book's way out and in: all of drawer, orders and day, with their history. What it replaces is kept. */
export function KeepingBook() {
  const dispatch = useAppDispatch();
  const record = useAppSelector(({ book }) => book.record);
  const [said, setSaid] = useState('');
  const [read, setRead] = useState<(BookFile & { readonly name: string }) | null>(null);
  const [before, setBefore] = useState<BookBefore | null>(null);
  const lookBeside = (): void => void loadBookBefore().then(setBefore, () => undefined);
  useEffect(lookBeside, []);
  const name = `loose-pulley-bench-book-${today()}.json`;
  const save = async (): Promise<void> => {
    const { session, answer } = await beginWith<Blob>((work) => work.writeBook(record ?? emptyBook()));
    session.end();
    download(name, answer, answer.type);
  };
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setRead(null);
    setSaid(`Reading “${file.name}”…`);
    try {
      const { session, answer } = await beginWith<Result<BookFile>>((work) => work.readBook(file));
      session.end();
      setRead(answer.ok ? { ...answer.value, name: file.name } : null);
      setSaid(answer.ok ? '' : answer.problem);
    } catch {
      setSaid(`“${file.name}” could not be read. Nothing was changed.`);
    }
  };
  const settle = (words: string): void => {
    setSaid(words);
    setRead(null);
    lookBeside();
  };
  return (
    <section aria-labelledby="bench-book" className="grid gap-2">
      <h2 id="bench-book" className="text-lg">
        Bench book
      </h2>
      <p>Drawer, orders and day in one file, with their history. Tickets are kept apart, by the Log.</p>
      <div className="flex flex-wrap gap-2">
        <Button disabled={!record} onClick={() => void save()}>
          Export the bench book
        </Button>
        <FilePicker label="Import a bench book" accept=".json" onFiles={([file]) => void open(file)} />
      </div>
      <p role="status" className="empty:hidden">
        {said}
      </p>
      {read && (
        <div className="grid gap-2 border-l-4 border-live pl-3">
          <p>
            “{read.name}” holds {sayBook(read.record)}.
          </p>
          <p>
            <strong>It takes the place of what is here:</strong>{' '}
            {record ? sayBook(record) : 'a book that cannot be read'}. That is kept beside it, and can be taken back.
          </p>
          {!read.sealed && (
            <p className="text-live">
              It carries no checksum, as files of an earlier Loose Pulley: what may have been altered in its history
              cannot be told.
            </p>
          )}
          <div className="flex flex-wrap gap-2">
            <CommitButton look="strong" onClick={() => void dispatch(importBook(read.record)).then(settle)}>
              Put it in place of mine
            </CommitButton>
            <Button onClick={() => settle('Nothing was changed.')}>Keep mine</Button>
          </div>
        </div>
      )}
      {before && !read && (
        <div className="grid gap-2 border-t border-hair pt-2">
          <p>The book that was here until {writtenDay(before.at)} is kept beside this one.</p>
          <div className="flex flex-wrap gap-2">
            <CommitButton onClick={() => void dispatch(takeBookBack()).then(settle)}>
              Take it back, and keep this one beside it
            </CommitButton>
            <Button
              onClick={() => download(`before-${name}`, `${JSON.stringify(before.stored)}\n`, 'application/json')}
            >
              Save it raw
            </Button>
          </div>
        </div>
      )}
    </section>
  );
}
