import { memo, useMemo } from 'react';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import type { Driven } from '@loose-pulley/core/base/loaders';
import { isTurned } from '@loose-pulley/core/base/loaders';
import { formatNewton } from '@loose-pulley/core/base/units';
import { eventWords, isTrouble } from '@loose-pulley/core/views/cycle';
import type { Cycle, CycleMachine } from '@loose-pulley/core/physics/cycle';

const LEFT_PX = 74;
const RIGHT_PX = 12;
const ROW_PX = 84;
const GAP_PX = 34;
const ROWS = 3;
export const PLOTS_PX = ROWS * (ROW_PX + GAP_PX) + 14;

/** A cycle that gives up is drawn until it has, and a little more; a watched time has room too. */
export function shownUntil({ trace, events }: Cycle, watchedS: number | null): number {
  const end = trace.timeS.at(-1) ?? 1;
  const gaveUp = events.find(({ kind }) => kind === 'timeOut');
  const own = gaveUp ? Math.min(end, gaveUp.atS + 1) : end;
  return Math.max(0.2, own, Math.min(watchedS ?? 0, 3 * own)) === own ? Math.max(0.2, own) : own;
}

/** Where a moment stands. */
export const timeScale = (endS: number, widthPx: number) =>
  scaleLinear()
    .domain([0, endS])
    .range([LEFT_PX, Math.max(LEFT_PX + 40, widthPx - RIGHT_PX)]);

const top = (row: number): number => row * (ROW_PX + GAP_PX) + 18;

/** Position, the belt's pull against its limit, and the motor, over time; with the time that was watched as a ghost. */
export const Plots = memo(function Plots({
  cycle,
  machine,
  driven,
  endS,
  watchedS,
  widthPx,
}: {
  readonly cycle: Cycle;
  readonly machine: CycleMachine;
  readonly driven: Driven;
  readonly endS: number;
  readonly watchedS: number | null;
  readonly widthPx: number;
}) {
  const { trace, events } = cycle;
  const x = timeScale(endS, widthPx);
  const turned = isTurned(driven);
  const [belt] = machine.belts;
  const drawn = useMemo(() => {
    const { timeS, position, motorRpm } = trace;
    const pull = trace.pullN[0];
    const most = (list: Float64Array | undefined, least: number): number => {
      let found = least;
      for (const one of list ?? []) if (Math.abs(one) > found) found = Math.abs(one);
      return found;
    };
    const limit = belt?.limitN ?? 0;
    const row = (list: Float64Array | undefined, from: number, to: number, at: number) => {
      const y = scaleLinear()
        .domain([from, to])
        .range([top(at) + ROW_PX, top(at)]);
      const path = line<number>()
        .x((i) => x(timeS[i] ?? 0))
        .y((i) => y(list?.[i] ?? 0));
      return { y, d: path([...timeS.keys()].filter((i) => (timeS[i] ?? 0) <= endS)) ?? '' };
    };
    const farthest =
      machine.load.kind === 'travel' ? Math.max(machine.load.travelMm, most(position, 1)) : most(position, 1);
    const fastest = most(motorRpm, 100);
    const backwards = motorRpm.some((one) => one < -1);
    return {
      position: row(position, 0, farthest * 1.04, 0),
      pull: row(pull, 0, Math.max(limit, most(pull, 0.01)) * 1.15, 1),
      motor: row(motorRpm, backwards ? -fastest : 0, fastest * 1.08, 2),
    };
  }, [trace, belt, machine, endS, x]);
  const marked = events.filter(({ kind }) => kind !== 'rests' && kind !== 'starts');
  const ticks = x.ticks(Math.max(3, Math.floor(widthPx / 130)));
  const limitY = drawn.pull.y(belt?.limitN ?? 0);
  return (
    <g className="text-[13px]">
      {[turned ? 'Turns' : 'Way', 'Belt', 'Motor'].map((name, row) => (
        <g key={name}>
          <text x={4} y={top(row) + 14} className="fill-ink font-bold">
            {name}
          </text>
          <line x1={LEFT_PX} x2={x.range()[1]} y1={top(row) + ROW_PX} y2={top(row) + ROW_PX} className="stroke-hair" />
        </g>
      ))}
      {belt && belt.stretch > 1 && (
        <>
          <rect
            x={LEFT_PX}
            y={limitY}
            width={Math.max(0, (x.range()[1] ?? 0) - LEFT_PX)}
            height={Math.max(0, top(1) + ROW_PX - limitY)}
            className="fill-hair opacity-40"
          />
          <line x1={LEFT_PX} x2={x.range()[1]} y1={limitY} y2={limitY} className="stroke-live" strokeWidth={1.5} />
          <text x={x.range()[1]} y={limitY - 5} textAnchor="end" className="fill-live">
            what the belt can pass, {formatNewton(belt.limitN)}
          </text>
        </>
      )}
      {watchedS !== null && watchedS <= endS && (
        <g>
          <line
            x1={x(watchedS)}
            x2={x(watchedS)}
            y1={top(0)}
            y2={top(0) + ROW_PX}
            className="stroke-soft"
            strokeDasharray="2 4"
          />
          <text x={x(watchedS) - 4} y={top(0) + ROW_PX - 6} textAnchor="end" className="fill-soft">
            watched {watchedS.toFixed(1)} s
          </text>
        </g>
      )}
      {marked.map((event, i) => (
        <g key={`${event.kind} ${event.atS}`}>
          <line
            x1={x(Math.min(event.atS, endS))}
            x2={x(Math.min(event.atS, endS))}
            y1={top(0)}
            y2={top(2) + ROW_PX}
            strokeDasharray="2 3"
            className={isTrouble(event) ? 'stroke-live' : 'stroke-soft'}
          >
            <title>{eventWords(event, driven)}</title>
          </line>
          <text
            x={x(Math.min(event.atS, endS)) + 4}
            y={top(0) - 5 + (i % 2) * 13}
            className={isTrouble(event) ? 'fill-live' : 'fill-soft'}
          >
            {i + 1}
          </text>
        </g>
      ))}
      <path d={drawn.position.d} fill="none" className="stroke-ink" strokeWidth={2} />
      <path d={drawn.pull.d} fill="none" className="stroke-ink" strokeWidth={2} />
      <path d={drawn.motor.d} fill="none" className="stroke-ink" strokeWidth={2} />
      {ticks.map((t) => (
        <text key={t} x={x(t)} y={PLOTS_PX - 2} textAnchor="middle" className="fill-soft">
          {t.toFixed(1)} s
        </text>
      ))}
    </g>
  );
});
