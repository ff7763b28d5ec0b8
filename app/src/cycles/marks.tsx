import { symbol, symbolCircle, symbolDiamond, symbolTriangle, symbolX } from 'd3-shape';
import type { CycleResult } from '@loose-pulley/core/proving';

/** A verdict's mark: shape as well as colour, the same on the key and in the plot. */
export const MARKS: Readonly<Record<CycleResult, { readonly path: string; readonly look: string }>> = {
  good: { path: symbol(symbolCircle, 34)() ?? '', look: 'fill-none stroke-current' },
  slow: { path: symbol(symbolTriangle, 44)() ?? '', look: 'fill-current' },
  helped: { path: symbol(symbolDiamond, 48)() ?? '', look: 'fill-current' },
  // A cross is drawn by its strokes alone.
  bad: { path: symbol(symbolX, 60)() ?? '', look: 'fill-none stroke-current' },
};

export function VerdictMark({ result }: { readonly result: CycleResult }) {
  const { path, look } = MARKS[result];
  return (
    <svg viewBox="-7 -7 14 14" aria-hidden className="mr-2 inline-block h-[0.9em] w-[0.9em] align-[-0.05em]">
      <path d={path} className={look} strokeWidth="2" />
    </svg>
  );
}
