import { memo, useMemo } from 'react';
import { scaleLinear } from 'd3-scale';
import { ACTION_NAMES, isFailure, RESULT_NAMES, type Cycle, type CycleAction } from '@loose-pulley/core/proving';
import { useWidth } from '../draw/useWidth';
import { MARKS } from './marks';

const ROW_PX = 34;
const LEFT_PX = 74;

/** The times of timed cycles, a row an action, oldest lowest in its row. */
export const StripPlot = memo(function StripPlot({ cycles }: { readonly cycles: readonly Cycle[] }) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(640);
  const timed = useMemo(() => cycles.filter((cycle) => cycle.seconds !== null), [cycles]);
  const actions = useMemo(() => [...new Set(timed.map(({ action }) => action))] as CycleAction[], [timed]);
  if (timed.length === 0) return null;
  const longest = Math.max(2, ...timed.map(({ seconds }) => seconds ?? 0));
  const x = scaleLinear()
    .domain([0, longest])
    .nice()
    .range([LEFT_PX, widthPx - 14]);
  const heightPx = actions.length * ROW_PX + 28;
  const baseY = heightPx - 24;
  return (
    <div ref={ref} className="min-w-0 overflow-hidden">
      <svg width={widthPx} height={heightPx} role="img" aria-label={`Times of ${timed.length} cycles, in seconds`}>
        {actions.map((action, row) => {
          const own = timed.filter((cycle) => cycle.action === action);
          const y = row * ROW_PX + ROW_PX / 2;
          return (
            <g key={action}>
              <text x={LEFT_PX - 10} y={y + 5} textAnchor="end" className="fill-ink text-sm">
                {ACTION_NAMES[action]}
              </text>
              <path d={`M${LEFT_PX} ${y}H${widthPx - 14}`} className="stroke-hair" strokeWidth="0.7" />
              {own.map((cycle, index) => {
                const lift = own.length > 1 ? (index / (own.length - 1) - 0.5) * -14 : 0;
                return (
                  <path
                    key={cycle.id}
                    d={MARKS[cycle.result].path}
                    strokeWidth="1.6"
                    transform={`translate(${x(cycle.seconds ?? 0)} ${y + lift})`}
                    className={`${MARKS[cycle.result].look} ${isFailure(cycle) ? 'text-live' : 'text-ink'}`}
                  >
                    <title>{`${RESULT_NAMES[cycle.result]}, ${(cycle.seconds ?? 0).toFixed(1)} s`}</title>
                  </path>
                );
              })}
            </g>
          );
        })}
        <path d={`M${LEFT_PX} ${baseY}H${widthPx - 14}`} className="stroke-ink" />
        {x.ticks(Math.min(8, Math.floor(widthPx / 80))).map((tick) => (
          <text key={tick} x={x(tick)} y={baseY + 18} textAnchor="middle" className="fill-soft text-sm">
            {tick} s
          </text>
        ))}
      </svg>
    </div>
  );
});
