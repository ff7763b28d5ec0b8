import { useEffect, useState } from 'react';
import type { Guide, Method } from '@loose-pulley/core/belts/measuring';
import { HowDrawing } from './HowDrawing';

/** How a method is held, drawn and in words, and what goes wrong with it: fetched when it is asked for. */
export default function HowMore({ method }: { readonly method: Method }) {
  const [guide, setGuide] = useState<Guide | null>(null);
  useEffect(() => {
    let current = true;
    void method
      .guide()
      .then((fetched) => current && setGuide(fetched))
      .catch(() => undefined);
    return () => {
      current = false;
    };
  }, [method]);
  if (!guide) return null;
  return (
    <>
      <HowDrawing drawing={guide.drawing} />
      <p>{guide.how}</p>
      <p className="text-soft">What goes wrong: {guide.goesWrong}</p>
    </>
  );
}
