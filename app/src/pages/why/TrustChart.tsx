import { scaleLinear } from 'd3-scale';
import type { Calibration } from '@loose-pulley/lab/population';

const SIDE_PX = 300;
const EDGE_PX = 40;

/** Stated chances against what came of them: on the line they are worth what they say. */
export function TrustChart({ bands }: { readonly bands: readonly Calibration[] }) {
  const x = scaleLinear([0.4, 1], [EDGE_PX, SIDE_PX - 12]);
  const y = scaleLinear([0.4, 1], [SIDE_PX - EDGE_PX, 12]);
  const shown = bands.filter(({ count, stated }) => count >= 5 && stated >= 0.4);
  return (
    <svg width={SIDE_PX} height={SIDE_PX} role="img" aria-label="Stated chances against the share that worked">
      {x.ticks(4).map((tick) => (
        <g key={tick}>
          <text x={x(tick)} y={SIDE_PX - 20} textAnchor="middle" className="fill-soft text-sm">
            {Math.round(100 * tick)}
          </text>
          <text x={EDGE_PX - 8} y={y(tick) + 5} textAnchor="end" className="fill-soft text-sm">
            {Math.round(100 * tick)}
          </text>
        </g>
      ))}
      <text x={SIDE_PX / 2} y={SIDE_PX - 3} textAnchor="middle" className="fill-soft text-sm">
        stated, in 100
      </text>
      <path d={`M${x(0.4)} ${y(0.4)}L${x(1)} ${y(1)}`} className="stroke-soft" strokeDasharray="6 4" />
      <path d={`M${EDGE_PX} 12V${SIDE_PX - EDGE_PX}H${SIDE_PX - 12}`} fill="none" className="stroke-ink" />
      {shown.map(({ from, stated, worked, count }) => {
        const std = Math.sqrt((worked * (1 - worked)) / count);
        return (
          <g key={from}>
            <path
              d={`M${x(stated)} ${y(Math.max(0.4, worked - 2 * std))}V${y(Math.min(1, worked + 2 * std))}`}
              className="stroke-ink"
              strokeWidth="1.6"
            />
            <circle cx={x(stated)} cy={y(Math.max(0.4, worked))} r="5" className="fill-live" />
          </g>
        );
      })}
    </svg>
  );
}
