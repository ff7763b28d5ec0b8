import { nanoid } from 'nanoid';
import type { KeyboardEvent, MouseEvent } from 'react';
import { recordEvent } from '../../state/persistence/recording';
import { useAppDispatch } from '../../state/store/hooks';
import { useTicket } from '../ticket/useTicket';
import { Button } from '../ui/Button';
import { TextLine } from '../ui/TextLine';
import { MarkDots } from './MarkDots';
import { usePicture } from './usePicture';
import { Sheet } from '../ui/Sheet';
import type { Picture, PictureMark } from '@loose-pulley/core/record/stations';

const MAX_MARKS = 50;
const NUDGE = 0.01;
const inside = (fraction: number): number => Math.min(1, Math.max(0, Math.round(fraction * 1000) / 1000));
const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-NUDGE, 0],
  ArrowRight: [NUDGE, 0],
  ArrowUp: [0, -NUDGE],
  ArrowDown: [0, NUDGE],
};

/** A picture whole, with its marks: a press on it puts one there, and words say what is to be seen. */
export function PictureView({
  picture,
  what,
  onClose,
}: Readonly<{ picture: Picture; what: string; onClose: () => void }>) {
  const { canWrite } = useTicket();
  const dispatch = useAppDispatch();
  const { url } = usePicture(picture.id);
  const put = (marks: readonly PictureMark[], gesture?: string) =>
    dispatch(recordEvent({ type: 'picturePut', picture: { ...picture, marks } }, gesture));
  const change = (mark: PictureMark, gesture?: string) =>
    put(
      picture.marks.map((one) => (one.id === mark.id ? mark : one)),
      gesture,
    );
  const add = (xFraction: number, yFraction: number): void => {
    if (!canWrite || picture.marks.length >= MAX_MARKS) return;
    put([...picture.marks, { id: nanoid(10), xFraction: inside(xFraction), yFraction: inside(yFraction), words: '' }]);
  };
  const press = (event: MouseEvent<HTMLImageElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    add((event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height);
  };
  const nudge = (mark: PictureMark) => (event: KeyboardEvent) => {
    const move = MOVES[event.key];
    if (!move || !canWrite) return;
    event.preventDefault();
    change(
      { ...mark, xFraction: inside(mark.xFraction + move[0]), yFraction: inside(mark.yFraction + move[1]) },
      `nudge-${mark.id}`,
    );
  };
  return (
    <Sheet
      title={what}
      onClose={onClose}
      className="inset-2 grid content-start gap-4 p-4 sm:inset-6 lg:grid-cols-[minmax(0,1fr)_300px] lg:[&>h2]:col-span-2"
    >
      <div className="grid content-start justify-items-start gap-3">
        {url && (
          <div className="relative">
            {/* eslint-disable-next-line jsx-a11y/click-events-have-key-events, jsx-a11y/no-noninteractive-element-interactions -- “Put a mark on it” beside it does the same by key. */}
            <img src={url} alt={what} onClick={press} className="max-h-[72vh] max-w-full cursor-crosshair" />
            <MarkDots marks={picture.marks} onKeyDown={nudge} />
          </div>
        )}
      </div>
      <div className="grid content-start gap-3">
        <p className="text-soft">
          Press on the picture to put a mark there; arrow keys move the mark that has the focus.
        </p>
        <ol className="grid gap-3">
          {picture.marks.map((mark, index) => (
            <li key={mark.id} className="grid grid-cols-[minmax(0,1fr)_auto] items-end gap-2">
              <TextLine
                label={`At mark ${index + 1}`}
                value={mark.words}
                maxLength={200}
                disabled={!canWrite}
                onText={(words, gesture) => change({ ...mark, words }, `${gesture}-${mark.id}`)}
              />
              <Button
                look="quiet"
                disabled={!canWrite}
                aria-label={`Take mark ${index + 1} out`}
                onClick={() => put(picture.marks.filter(({ id }) => id !== mark.id))}
              >
                out
              </Button>
            </li>
          ))}
        </ol>
        <Button disabled={!canWrite || picture.marks.length >= MAX_MARKS} onClick={() => add(0.5, 0.5)}>
          Put a mark on it
        </Button>
        {url && (
          <a className="inline-flex min-h-11 items-center underline" href={url} target="_blank" rel="noreferrer">
            The bare picture in a tab of its own
          </a>
        )}
        <Button look="strong" onClick={onClose}>
          Close
        </Button>
      </div>
    </Sheet>
  );
}
