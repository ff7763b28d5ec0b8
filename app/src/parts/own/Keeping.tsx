import { Button, CommitButton } from '../ui/Button';
import { download } from '../ui/download';
import { FilePicker } from '../ui/FilePicker';
import type { Own } from './useOwn';

/** Whose it is, and the ways in and out. */
export function Keeping<T>({
  own,
  fileName,
  write,
}: {
  readonly own: Own<T>;
  readonly fileName: string;
  readonly write: (held: T) => string;
}) {
  const { held } = own;
  return (
    <aside
      aria-label="Where this table comes from"
      className="grid content-start gap-3 border-hair px-5 py-5 max-lg:border-t lg:border-l"
    >
      <h2 className="text-lg">{own.own ? 'This bench’s own' : 'The app’s defaults'}</h2>
      <p role="status" className="empty:hidden">
        {own.said}
      </p>
      {own.problem && (
        <p role="alert" className="border-l-4 border-live pl-3 text-live">
          {own.problem}
        </p>
      )}
      <p className="text-soft">A change is kept at once, in this browser, as soon as everything adds up.</p>
      <Button onClick={() => held && download(fileName, write(held), 'application/json')}>Export it as a file</Button>
      <FilePicker label="Import a file" accept=".json" onFiles={([file]) => file && void own.take(file)} />
      <CommitButton disabled={!own.own} onClick={own.restore}>
        Restore defaults
      </CommitButton>
    </aside>
  );
}
