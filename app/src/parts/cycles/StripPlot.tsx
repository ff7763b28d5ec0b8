import { memo, useMemo } from 'react';
import { counted, plural } from '@loose-pulley/core/base/units';
import { scaleLinear } from 'd3-scale';
import { ACTION_NAMES, CYCLE_RESULTS, isFailure, type Cycle, type CycleAction } from '@loose-pulley/core/work/proving';
import { useWidth } from '../draw/useWidth';
import { MARKS, marksAt } from './marks';

const ROW_PX = 34;
const LEFT_PX = 74;
const RIGHT_PX = 14;
/** Marks of one row lie in lanes by turns, so that equal times do not hide one another. */
const LANES = 7;
const LANE_PX = 2.3;
/** Drawn in blocks, a path a verdict, that stay as they are while later ones fill: a thousand cycles must not slow the next. */
const BLOCK = 50;

const scale = (longest: number, widthPx: number) =>
  scaleLinear()
    .domain([0, longest])
    .nice()
    .range([LEFT_PX, widthPx - RIGHT_PX]);

interface BlockProps {
  readonly cycles: readonly Cycle[];
  readonly longest: number;
  readonly widthPx: number;
}

const Block = memo(
  function Block({ cycles, longest, widthPx }: BlockProps) {
    const x = scale(longest, widthPx);
    return CYCLE_RESULTS.map((result) => {
      const places = cycles.flatMap((cycle, index) =>
        cycle.result === result
          ? [[x(cycle.seconds ?? 0), ((index * 3) % LANES) * LANE_PX - ((LANES - 1) / 2) * LANE_PX] as const]
          : [],
      );
      if (places.length === 0) return null;
      return (
        <path
          key={result}
          d={marksAt(result, places)}
          strokeWidth="1.6"
          className={`${MARKS[result].look} ${isFailure({ result }) ? 'text-live' : 'text-ink'}`}
        />
      );
    });
  },
  (a, b) =>
    a.longest === b.longest &&
    a.widthPx === b.widthPx &&
    a.cycles.length === b.cycles.length &&
    a.cycles[0]?.id === b.cycles[0]?.id &&
    a.cycles[a.cycles.length - 1]?.id === b.cycles[b.cycles.length - 1]?.id,
);

const blocks = (cycles: readonly Cycle[]): ReadonlyArray<readonly Cycle[]> =>
  Array.from({ length: Math.ceil(cycles.length / BLOCK) }, (_, index) =>
    cycles.slice(index * BLOCK, (index + 1) * BLOCK),
  );

/** The times of timed cycles, a row an action. */
export const StripPlot = memo(function StripPlot({ cycles }: { readonly cycles: readonly Cycle[] }) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(640);
  const timed = useMemo(() => cycles.filter((cycle) => cycle.seconds !== null), [cycles]);
  const actions = useMemo(() => [...new Set(timed.map(({ action }) => action))] as CycleAction[], [timed]);
  if (timed.length === 0) return null;
  const longest = Math.max(2, ...timed.map(({ seconds }) => seconds ?? 0));
  const x = scale(longest, widthPx);
  const heightPx = actions.length * ROW_PX + 28;
  const baseY = heightPx - 24;
  return (
    <div ref={ref} className="min-w-0 overflow-hidden">
      <svg
        width={widthPx}
        height={heightPx}
        role="img"
        aria-label={`${plural(timed.length, 'Time')} of ${counted(timed.length, 'cycle')}, in seconds`}
      >
        {actions.map((action, row) => {
          const y = row * ROW_PX + ROW_PX / 2;
          return (
            <g key={action}>
              <text x={LEFT_PX - 10} y={y + 5} textAnchor="end" className="fill-ink text-sm">
                {ACTION_NAMES[action]}
              </text>
              <path d={`M${LEFT_PX} ${y}H${widthPx - RIGHT_PX}`} className="stroke-hair" strokeWidth="0.7" />
              <g transform={`translate(0 ${y})`}>
                {blocks(timed.filter((cycle) => cycle.action === action)).map((block, index) => (
                  <Block key={index} cycles={block} longest={longest} widthPx={widthPx} />
                ))}
              </g>
            </g>
          );
        })}
        <path d={`M${LEFT_PX} ${baseY}H${widthPx - RIGHT_PX}`} className="stroke-ink" />
        {x.ticks(Math.min(8, Math.floor(widthPx / 80))).map((tick) => (
          <text key={tick} x={x(tick)} y={baseY + 18} textAnchor="middle" className="fill-soft text-sm">
            {tick} s
          </text>
        ))}
      </svg>
    </div>
  );
});
