import { FilePicker } from '../ui/FilePicker';
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
      <FilePicker label={label} accept="image/*" multiple disabled={!canWrite} onFiles={(files) => void add(files)} />
      {refused && (
        <p role="alert" className="w-full text-live">
          {refused}
        </p>
      )}
    </div>
  );
}
