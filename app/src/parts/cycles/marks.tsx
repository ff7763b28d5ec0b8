import { path } from 'd3-path';
import { symbolCircle, symbolDiamond, symbolTriangle, symbolX, type SymbolType } from 'd3-shape';
import type { CycleResult } from '@loose-pulley/core/work/proving';

const SYMBOLS: Readonly<Record<CycleResult, readonly [symbol: SymbolType, sizePx2: number]>> = {
  good: [symbolCircle, 34],
  slow: [symbolTriangle, 44],
  helped: [symbolDiamond, 48],
  bad: [symbolX, 60],
};

/** A verdict's marks at several places, as one path: a plot of thousands stays a handful of elements. */
export function marksAt(result: CycleResult, places: ReadonlyArray<readonly [x: number, y: number]>): string {
  const [symbol, size] = SYMBOLS[result];
  const drawn = path();
  for (const [x, y] of places) {
    const moved = {
      moveTo: (px: number, py: number) => drawn.moveTo(px + x, py + y),
      lineTo: (px: number, py: number) => drawn.lineTo(px + x, py + y),
      arc: (px: number, py: number, radius: number, from: number, to: number) => {
        drawn.moveTo(px + x + radius, py + y);
        drawn.arc(px + x, py + y, radius, from, to);
      },
      closePath: () => drawn.closePath(),
    };
    symbol.draw(moved as unknown as Parameters<SymbolType['draw']>[0], size);
  }
  return drawn.toString();
}

/** A verdict's mark: shape as well as colour, the same on the key and in the plot. */
export const MARKS: Readonly<Record<CycleResult, { readonly path: string; readonly look: string }>> = {
  good: { path: marksAt('good', [[0, 0]]), look: 'fill-none stroke-current' },
  slow: { path: marksAt('slow', [[0, 0]]), look: 'fill-current' },
  helped: { path: marksAt('helped', [[0, 0]]), look: 'fill-current' },
  // A cross is drawn by its strokes alone.
  bad: { path: marksAt('bad', [[0, 0]]), look: 'fill-none stroke-current' },
};

export function VerdictMark({ result }: { readonly result: CycleResult }) {
  const { path: mark, look } = MARKS[result];
  return (
    <svg viewBox="-7 -7 14 14" aria-hidden className="mr-2 inline-block h-[0.9em] w-[0.9em] align-[-0.05em]">
      <path d={mark} className={look} strokeWidth="2" />
    </svg>
  );
}
