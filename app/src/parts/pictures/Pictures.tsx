import { useEffect, useRef, useState } from 'react';
import { useDropzone } from 'react-dropzone';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { TextLine } from '../ui/TextLine';
import { addPictures } from './addPictures';
import { Camera } from './Camera';
import { PictureView } from './PictureView';
import { usePicture } from './usePicture';
import type { Picture } from '@loose-pulley/core/record/stations';
import { Input } from '../ui/Input';

const canFilm = 'mediaDevices' in navigator;
/** Shown at once; the rest on asking, so that a ticket with hundreds opens as fast as one with none. */
const STEP = 12;

/** The pictures of a ticket: taken with the camera, pasted, dropped or chosen. */
export function Pictures() {
  const { ticket, canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const [filming, setFilming] = useState(false);
  const [working, setWorking] = useState('');
  const [refused, setRefused] = useState<readonly string[]>([]);
  const [shown, setShown] = useState(STEP);

  const add = async (files: ReadonlyArray<{ readonly name: string; readonly blob: Blob }>): Promise<void> => {
    if (files.length === 0 || !canWrite) return;
    setRefused([]);
    setWorking('One moment…');
    try {
      const added = await dispatch(
        addPictures(files, '', (done) =>
          setWorking(files.length > 1 ? `${done + 1} of ${files.length}…` : 'One moment…'),
        ),
      );
      setRefused(added.refused);
      setWorking(added.ids.length > 0 ? `${added.ids.length} on the ticket.` : '');
    } catch (error) {
      setRefused([`The pictures could not be worked on: ${error instanceof Error ? error.message : 'unknown'}.`]);
      setWorking('');
    }
  };
  const addRef = useRef(add);
  useEffect(() => {
    addRef.current = add;
  });
  useEffect(() => {
    const paste = (event: ClipboardEvent): void => {
      const files = [...(event.clipboardData?.files ?? [])];
      if (files.length === 0) return;
      event.preventDefault();
      void addRef.current(files.map((blob) => ({ name: blob.name || 'what was pasted', blob })));
    };
    addEventListener('paste', paste);
    return () => removeEventListener('paste', paste);
  }, []);
  const { getRootProps, getInputProps, open, isDragActive } = useDropzone({
    onDrop: (files) => void add(files.map((blob) => ({ name: blob.name, blob }))),
    noClick: true,
    noKeyboard: true,
    disabled: !canWrite,
  });

  const { pictures } = ticket;
  return (
    <section
      aria-labelledby="pictures"
      {...getRootProps({ role: 'region' })}
      className={isDragActive ? 'grid gap-3 outline-3 outline-offset-8 outline-live outline-dashed' : 'grid gap-3'}
    >
      <h3 id="pictures" className="border-b border-ink pb-1 text-lg">
        Pictures
      </h3>
      <Input {...getInputProps({ 'aria-label': 'Picture files', accept: 'image/*' })} />
      {filming && (
        <Camera
          onPicture={(blob) => void add([{ name: 'the camera’s picture', blob }])}
          onClose={() => setFilming(false)}
        />
      )}
      {canWrite && (
        <div className="flex flex-wrap items-center gap-2">
          {canFilm && !filming && <Button onClick={() => setFilming(true)}>Camera</Button>}
          <Button onClick={open}>Choose pictures</Button>
          <span className="text-sm text-soft">or paste, or drop them here. Place and time of taking are left out.</span>
        </div>
      )}
      <p aria-live="polite" className="text-soft empty:hidden">
        {working}
      </p>
      {refused.length > 0 && (
        <ul role="alert" className="border-l-4 border-live pl-3">
          {refused.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      {pictures.length > 0 && (
        <ol className="grid grid-cols-2 gap-4 md:grid-cols-3">
          {pictures.slice(0, shown).map((picture, index) => (
            <li key={picture.id}>
              <PictureFrame picture={picture} number={index + 1} canWrite={canWrite} />
            </li>
          ))}
        </ol>
      )}
      {pictures.length > shown && (
        <Button className="justify-self-start" onClick={() => setShown(shown + STEP)}>
          {Math.min(STEP, pictures.length - shown)} more of {pictures.length}
        </Button>
      )}
    </section>
  );
}

/** One picture with its caption. Whole at a press, in a tab of its own. */
function PictureFrame({
  picture,
  number,
  canWrite,
}: {
  readonly picture: Picture;
  readonly number: number;
  readonly canWrite: boolean;
}) {
  const dispatch = useAppDispatch();
  const { url, missing } = usePicture(picture.id);
  const [whole, setWhole] = useState(false);
  const what = picture.caption || `Picture ${number}`;
  return (
    <figure className="grid gap-1">
      {url ? (
        <button type="button" aria-label={`${what}, whole, with its marks`} onClick={() => setWhole(true)}>
          <img src={url} alt={what} className="aspect-[4/3] w-full border border-hair bg-paper object-contain" />
        </button>
      ) : (
        <p className="grid aspect-[4/3] place-items-center border border-hair p-3 text-center text-sm text-soft">
          {missing ? 'This picture is not on this machine. The zip of the bench that took it has it.' : 'One moment.'}
        </p>
      )}
      {whole && <PictureView picture={picture} what={what} onClose={() => setWhole(false)} />}
      <figcaption>
        <TextLine
          label={`Picture ${number} shows`}
          value={picture.caption}
          maxLength={400}
          disabled={!canWrite}
          onText={(caption, gesture) =>
            dispatch(recordEvent({ type: 'picturePut', picture: { ...picture, caption } }, gesture))
          }
        />
        {canWrite && (
          <Button
            look="quiet"
            onClick={() => dispatch(recordEvent({ type: 'pictureRemoved', pictureId: picture.id }))}
            aria-label={`Take picture ${number} out`}
          >
            Remove
          </Button>
        )}
      </figcaption>
    </figure>
  );
}
