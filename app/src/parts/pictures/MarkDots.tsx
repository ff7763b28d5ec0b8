import type { KeyboardEvent } from 'react';
import type { PictureMark } from '@loose-pulley/core/record/stations';

const place = ({ xFraction, yFraction }: PictureMark) => ({ left: `${xFraction * 100}%`, top: `${yFraction * 100}%` });

/** The marks of a picture over it: numbered, with a light rim so that they show on any ground. */
export function MarkDots({
  marks,
  onKeyDown,
}: {
  readonly marks: readonly PictureMark[];
  /** Where they can be moved, and take the focus. */
  readonly onKeyDown?: (mark: PictureMark) => (event: KeyboardEvent) => void;
}) {
  return marks.map((mark, index) =>
    onKeyDown ? (
      <button
        key={mark.id}
        type="button"
        style={place(mark)}
        aria-label={`Mark ${index + 1}${mark.words && `, ${mark.words}`}. Arrow keys move it.`}
        onKeyDown={onKeyDown(mark)}
        className="absolute grid size-11 -translate-x-1/2 -translate-y-1/2 place-items-center"
      >
        <Dot>{index + 1}</Dot>
      </button>
    ) : (
      <span
        key={mark.id}
        aria-hidden
        style={place(mark)}
        className="absolute size-3 -translate-x-1/2 -translate-y-1/2 rounded-full border-2 border-paper bg-live"
      />
    ),
  );
}

function Dot({ children }: { readonly children: number }) {
  return (
    <span className="grid size-7 place-items-center rounded-full border-2 border-paper bg-live text-sm font-bold text-paper">
      {children}
    </span>
  );
}
