import type { TicketSummary } from '@loose-pulley/core/record/ticket';
import { asPathPulleys } from '@loose-pulley/core/physics/geometry';
import { beltOutline } from './beltOutline';

/** A drive drawn small, to scale with itself; a slack belt is dashed. Unmeasured: a bare centre line. */
export function DriveSketch({
  sketch,
  width = 56,
  height = 30,
}: {
  readonly sketch: TicketSummary['sketch'];
  readonly width?: number;
  readonly height?: number;
}) {
  if (!sketch) {
    return (
      <svg width={width} height={height} aria-hidden className="text-soft">
        <path d={`M8 ${height / 2}H${width - 8}`} className="stroke-current" strokeDasharray="8 3 2 3" />
      </svg>
    );
  }
  const r1 = sketch.motorMm / 2;
  const r2 = sketch.driveMm / 2;
  const scale = Math.min((width - 6) / (r1 + sketch.centreMm + r2), (height - 6) / (2 * Math.max(r1, r2)));
  const x1 = (width - (r1 + sketch.centreMm + r2) * scale) / 2 + r1 * scale;
  const y = height / 2;
  const excessMm = sketch.slack ? sketch.centreMm * 0.04 : 0;
  const belt = beltOutline(
    asPathPulleys({
      motorRadiusMm: r1,
      drivenRadiusMm: r2,
      centreDistanceMm: sketch.centreMm,
      crossed: sketch.crossed,
    }),
    excessMm,
    { x: x1, y },
    scale,
  );
  return (
    <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} aria-hidden className="overflow-visible">
      <path
        d={belt?.d}
        className={sketch.slack ? 'stroke-live' : 'stroke-ink'}
        fill="none"
        strokeWidth="2"
        strokeDasharray={sketch.slack ? '4 2.5' : undefined}
      />
      <circle cx={x1} cy={y} r="1.6" className="fill-ink" />
      <circle cx={x1 + sketch.centreMm * scale} cy={y} r="1.6" className="fill-ink" />
    </svg>
  );
}
