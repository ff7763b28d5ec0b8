import { shapeOf, type SectionShape } from '@loose-pulley/core/base/shapes';

/** The sign of a section, drawn, so that it looks alike in every font. Words beside it say it too. */
export function SectionSign({ shape }: { readonly shape: SectionShape }) {
  return (
    <svg
      viewBox="0 0 20 20"
      aria-hidden
      className="inline-block h-[0.78em] w-[0.78em] fill-none stroke-current stroke-2 align-[-0.06em]"
    >
      <path d={shapeOf(shape).outline} />
    </svg>
  );
}

/** A belt's size with its sign. */
export function BeltName({ shape, size }: { readonly shape: SectionShape; readonly size: string }) {
  return (
    <span className="whitespace-nowrap">
      <SectionSign shape={shape} /> {size}
    </span>
  );
}
