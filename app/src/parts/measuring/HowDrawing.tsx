import type { Guide } from '@loose-pulley/core/belts/measuring';

/** How a method is held and where it is read, as a small drawing; the words beside it say the same. */
export function HowDrawing({
  drawing,
  className = 'h-[66px] w-[132px] shrink-0 border border-hair bg-sheet',
}: {
  readonly drawing: Guide['drawing'];
  readonly className?: string;
}) {
  const { belt, thing, read } = drawing;
  const [x1, y1, x2, y2] = read;
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [ux, uy] = [(x2 - x1) / length, (y2 - y1) / length];
  const head = (x: number, y: number, way: number): string =>
    `M${x} ${y}l${way * (ux * 6) - uy * 2.4} ${way * (uy * 6) + ux * 2.4}l${uy * 4.8} ${-ux * 4.8}Z`;
  return (
    <svg viewBox="0 0 132 66" aria-hidden className={className}>
      {thing && <path d={thing} fill="none" className="stroke-ink" strokeWidth="1.2" />}
      {belt && <path d={belt} fill="none" className="stroke-rubber" strokeWidth="3" strokeLinejoin="round" />}
      <path d={`M${x1} ${y1}L${x2} ${y2}`} className="stroke-live" strokeWidth="1.4" />
      <path d={`${head(x1, y1, 1)}${head(x2, y2, -1)}`} className="fill-live" />
    </svg>
  );
}
