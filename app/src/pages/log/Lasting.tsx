import { scaleLinear } from 'd3-scale';
import { area, curveStepAfter, line } from 'd3-shape';
import { useMemo, useState } from 'react';
import { dueMonthsOf, livesOf, survivalByRemedy, timeAt, type Survival } from '@loose-pulley/core/shop/lifetimes';
import { REMEDY_KIND_NAMES, type RemedyKind, type TicketSummary } from '@loose-pulley/core/record/ticket';
import { counted } from '@loose-pulley/core/base/units';
import { Segments } from '../../parts/ui/Segments';
import { useWidth } from '../../parts/draw/useWidth';

const HEIGHT_PX = 260;
const LEFT = 44;
const RIGHT = 12;
const TOP = 10;
const BOTTOM = 34;
const MONTH = 30.44;

interface Point {
  readonly time: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
}
const pointsOf = ({ steps, longest }: Survival): Point[] => {
  const points: Point[] = [
    { time: 0, share: 1, low: 1, high: 1 },
    ...steps.map(({ time, survival, low, high }) => ({ time, share: survival, low, high })),
  ];
  const last = points.at(-1);
  return last && longest > last.time ? [...points, { ...last, time: longest }] : points;
};

/** How long remedies last: the share that has not come again, with its interval, and what is still out as small strokes. */
export function Lasting({ all }: { readonly all: readonly TicketSummary[] }) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(720);
  const lives = useMemo(() => livesOf(all, Date.now()), [all]);
  const curves = useMemo(() => survivalByRemedy(lives), [lives]);
  const [chosen, setChosen] = useState<RemedyKind | null>(null);
  const shown =
    curves.find(({ kind }) => kind === chosen) ?? [...curves].sort((a, b) => b.survival.lives - a.survival.lives)[0];
  if (!shown)
    return <p className="pb-3 text-soft">Nothing was handed back yet with a remedy that the log can follow.</p>;
  const { survival, kind } = shown;
  const points = pointsOf(survival);
  const x = scaleLinear([0, Math.max(30, survival.longest)], [LEFT, widthPx - RIGHT]);
  const y = scaleLinear([0, 1], [HEIGHT_PX - BOTTOM, TOP]);
  const stroke = line<Point>()
    .x(({ time }) => x(time))
    .y(({ share }) => y(share))
    .curve(curveStepAfter)(points);
  const band = area<Point>()
    .x(({ time }) => x(time))
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high))
    .curve(curveStepAfter)(points);
  const goingOn = lives.filter((one) => one.kind === kind && !one.ended);
  const shareAt = (time: number): number => [...points].reverse().find((one) => one.time <= time)?.share ?? 1;
  const median = timeAt(survival, 0.5);
  const due = dueMonthsOf(lives, kind);
  const monthsSpan = survival.longest / MONTH;
  const step = monthsSpan > 24 ? 12 : monthsSpan > 9 ? 3 : 1;
  const ticks = Array.from({ length: Math.floor(Math.max(1, monthsSpan) / step) + 1 }, (_, n) => n * step);
  return (
    <div className="grid gap-2 pb-3">
      <Segments
        label="Remedy"
        value={kind}
        options={curves.map((one) => [one.kind, `${REMEDY_KIND_NAMES[one.kind]} (${one.survival.lives})`] as const)}
        onChoose={setChosen}
        className="w-fit"
      />
      <div ref={ref} className="min-w-0">
        <svg
          width={widthPx}
          height={HEIGHT_PX}
          role="img"
          aria-label={`Share of “${REMEDY_KIND_NAMES[kind]}” that has not come again, by months`}
        >
          {[0, 0.25, 0.5, 0.75, 1].map((share) => (
            <g key={share}>
              <path d={`M${LEFT} ${y(share)}H${widthPx - RIGHT}`} className="stroke-hair" />
              <text x={LEFT - 6} y={y(share) + 4} textAnchor="end" className="fill-soft text-[13px]">
                {Math.round(100 * share)}
              </text>
            </g>
          ))}
          {ticks.map((month) => (
            <text
              key={month}
              x={x(month * MONTH)}
              y={HEIGHT_PX - 12}
              textAnchor="middle"
              className="fill-soft text-[13px]"
            >
              {month}
            </text>
          ))}
          <text x={widthPx - RIGHT} y={HEIGHT_PX - 12} textAnchor="end" className="fill-soft text-[13px]">
            months
          </text>
          {band && <path d={band} className="fill-zone2" />}
          {stroke && <path d={stroke} className="fill-none stroke-ink" strokeWidth={2.2} />}
          {goingOn.map(({ ticketId, time }, index) => (
            <path key={`${ticketId} ${index}`} d={`M${x(time)} ${y(shareAt(time)) - 5}v10`} className="stroke-ink" />
          ))}
        </svg>
      </div>
      <p>
        {counted(survival.lives, 'remedy', 'remedies')} of this kind, {survival.ended} came again.{' '}
        {median === undefined
          ? 'More than half still last.'
          : `Half had come again after ${Math.round(median / MONTH)} months.`}{' '}
        {due
          ? `One in five was back after ${counted(due.months, 'month')}: that is the day this bench proposes.`
          : 'Too few yet to propose a day by: at least 8, of which 4 came again.'}
      </p>
      <p className="text-sm text-soft">
        Of 100, how many have not come again (Kaplan and Meier); the band is the 95 % interval, the strokes are those
        still out.
      </p>
    </div>
  );
}
