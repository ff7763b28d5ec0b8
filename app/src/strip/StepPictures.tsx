import { useState } from 'react';
import type { Step } from '@loose-pulley/core/strip';
import { addPictures } from '../pictures/addPictures';
import { usePicture } from '../pictures/usePicture';
import { useAppDispatch } from '../store/store';
import { useTicket } from '../ticket/useTicket';

/** One kept picture, small; whole at a press. */
export function SmallPicture({ id, what }: { readonly id: string; readonly what: string }) {
  const { url, missing } = usePicture(id);
  if (missing) return <span className="text-sm text-soft">a picture that is not on this machine</span>;
  return url ? (
    <a href={url} target="_blank" rel="noreferrer" className="inline-block min-h-11">
      <img src={url} alt={what} className="h-24 border border-hair object-contain" />
    </a>
  ) : null;
}

/** The pictures of a step. A picture may be the step, words later. */
export function StepPictures({
  step,
  onPictures,
}: {
  readonly step: Step;
  readonly onPictures: (ids: readonly string[]) => void;
}) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [refused, setRefused] = useState('');
  const add = async (files: readonly File[]): Promise<void> => {
    const added = await dispatch(
      addPictures(
        files.map((blob) => ({ name: blob.name, blob })),
        `${step.number} ${step.what}`.slice(0, 400),
      ),
    );
    setRefused(added.refused.join(' '));
    if (added.ids.length > 0) onPictures([...new Set([...step.pictureIds, ...added.ids])].slice(0, 20));
  };
  return (
    <div className="flex flex-wrap items-center gap-3">
      {step.pictureIds.map((id) => (
        <SmallPicture key={id} id={id} what={`${step.number} ${step.what}`} />
      ))}
      <label className="inline-flex min-h-11 cursor-pointer items-center border border-ink bg-sheet px-4 font-semibold focus-within:outline-3">
        Picture of it
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
