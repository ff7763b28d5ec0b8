import { howTo } from '@loose-pulley/core/measuring';
import { HowDrawing } from './HowDrawing';

/** How a method is held, drawn and in words, and what goes wrong with it: fetched when it is asked for. */
export default function HowMore({ method }: { readonly method: string }) {
  const known = howTo(method);
  return (
    <>
      <HowDrawing method={method} />
      {known && (
        <>
          <p>{known.how}</p>
          <p className="text-soft">What goes wrong: {known.goesWrong}</p>
        </>
      )}
    </>
  );
}
