import { useEffect, useState } from 'react';
import { methodsFor, type Guide } from '@loose-pulley/core/belts/measuring';
import { HowDrawing } from '../../parts/measuring/HowDrawing';

/** How a string is laid and read. */
export default function StringPicture() {
  const [guide, setGuide] = useState<Guide | null>(null);
  useEffect(() => {
    let current = true;
    void methodsFor('stringPath')[0]
      ?.guide()
      .then((fetched) => current && setGuide(fetched))
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, []);
  if (!guide) return null;
  return (
    <div className="flex flex-wrap items-center gap-4">
      <HowDrawing drawing={guide.drawing} className="h-[96px] w-[192px] shrink-0 border border-hair bg-paper" />
      <div className="grid min-w-56 flex-1 gap-1 text-[15px]">
        <p>{guide.how}</p>
        <p className="text-soft">What goes wrong: {guide.goesWrong}</p>
      </div>
    </div>
  );
}
