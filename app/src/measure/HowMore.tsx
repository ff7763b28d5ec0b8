import { mistakeOf } from '@loose-pulley/core/measuring';
import { HowDrawing } from './HowDrawing';

/** How a method is held, drawn, and what goes wrong with it: fetched when it is asked for. */
export default function HowMore({ method, how }: Readonly<{ method: string; how: string }>) {
  const mistake = mistakeOf(method);
  return (
    <>
      <HowDrawing method={method} />
      <p>{how}</p>
      {mistake && <p className="text-soft">What goes wrong: {mistake}</p>}
    </>
  );
}
