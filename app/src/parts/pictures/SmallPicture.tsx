import { useState } from 'react';
import { useTicket } from '../ticket/useTicket';
import { MarkDots } from './MarkDots';
import { PictureView } from './PictureView';
import { usePicture } from './usePicture';

/** One kept picture, small, with its marks in words; whole at a press, where marks are put. */
export function SmallPicture({ id, what, tall = false }: Readonly<{ id: string; what: string; tall?: boolean }>) {
  const { ticket } = useTicket();
  const { url, missing } = usePicture(id);
  const [whole, setWhole] = useState(false);
  const picture = ticket.pictures.find((one) => one.id === id);
  if (missing) return <span className="text-sm text-soft">a picture that is not on this machine</span>;
  if (!url || !picture) return null;
  const said = picture.marks.flatMap(({ words }, index) => (words === '' ? [] : [`${index + 1} ${words}`]));
  return (
    <span className="grid content-start gap-1">
      <button type="button" className="relative justify-self-start" onClick={() => setWhole(true)}>
        <img
          src={url}
          alt={what}
          loading="lazy"
          className={tall ? 'h-40 border border-hair object-contain' : 'h-24 border border-hair object-contain'}
        />
        <MarkDots marks={picture.marks} />
      </button>
      {said.length > 0 && <span className="text-sm text-soft">{said.join(' · ')}</span>}
      {whole && <PictureView picture={picture} what={what} onClose={() => setWhole(false)} />}
    </span>
  );
}
