import { useState } from 'react';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { addPictures } from './addPictures';
import { SmallPicture } from './SmallPicture';

const MOST = 20;

/** The pictures of one thing, and a way to add to them. What will not decode is refused in words beside it. */
export function PictureAdd({
  ids,
  what,
  label,
  onPictures,
}: {
  readonly ids: readonly string[];
  /** What they show, as their caption. */
  readonly what: string;
  readonly label: string;
  readonly onPictures: (ids: readonly string[]) => void;
}) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [refused, setRefused] = useState('');
  const add = async (files: readonly File[]): Promise<void> => {
    const named = files.map((blob) => ({ name: blob.name, blob }));
    const added = await dispatch(addPictures(named, what.slice(0, 400)));
    setRefused(added.refused.join(' '));
    if (added.ids.length > 0) onPictures([...new Set([...ids, ...added.ids])].slice(0, MOST));
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      {ids.map((id) => (
        <SmallPicture key={id} id={id} what={what} />
      ))}
      <label className="inline-flex min-h-11 cursor-pointer items-center border border-ink bg-sheet px-4 font-semibold focus-within:outline-3">
        {label}
        <input
          type="file"
          accept="image/*"
          multiple
          className="sr-only"
          disabled={!canWrite}
          onChange={(event) => {
            const files = [...(event.target.files ?? [])];
            event.target.value = '';
            void add(files);
          }}
        />
      </label>
      {refused && (
        <p role="alert" className="w-full text-live">
          {refused}
        </p>
      )}
    </div>
  );
}
