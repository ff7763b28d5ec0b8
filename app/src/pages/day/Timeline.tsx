import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useNavigate } from 'react-router';
import type { DayJob, DayPlan } from '@loose-pulley/core/shop/day';
import { timeOfDay } from '../../state/written';
import { useWidth } from '../../parts/draw/useWidth';
import { dayLayout, LEFT_PX, type DrawnBlock } from './dayLayout';

const MINUTE_MS = 60_000;
/** What the hand sets is set to whole fives. */
const SNAP_MS = 5 * MINUTE_MS;
/** A press that trembles by less than this opens the ticket. */
const DRAG_PX = 5;
const KEY_STEP_MS = 15 * MINUTE_MS;

const hour = (ms: number): string => timeOfDay(new Date(ms).toISOString());

/** The day on one axis: work solid, waits dotted, now in the live colour. A step is dragged to where it should be, and stays. */
export function Timeline({
  jobs,
  plan,
  range,
  nowMs,
  onPin,
}: {
  readonly jobs: readonly DayJob[];
  readonly plan: DayPlan | null;
  readonly range: readonly [number, number];
  readonly nowMs: number;
  readonly onPin: (stepId: string, atMs: number) => void;
}) {
  const navigate = useNavigate();
  const [ref, widthPx] = useWidth<HTMLDivElement>(880);
  const { scale, rows, axisY, heightPx } = dayLayout(jobs, plan, range, widthPx);
  const [drag, setDrag] = useState<{ readonly stepId: string; readonly byPx: number } | null>(null);
  const down = useRef({ x: 0, stepId: '' });
  const ticks = scale.ticks(Math.max(3, Math.floor((widthPx - LEFT_PX) / 78)));
  const hourly = (ticks[1]?.getTime() ?? 0) - (ticks[0]?.getTime() ?? 0) < 12 * 3_600_000;
  const nowX = nowMs >= range[0] && nowMs <= range[1] ? scale(nowMs) : undefined;
  const startOf = ({ stepId }: DrawnBlock): number =>
    plan?.blocks.find(({ step }) => step.id === stepId)?.parts[0]?.fromMs ?? nowMs;
  const pin = (block: DrawnBlock, byMs: number): void =>
    onPin(
      block.stepId,
      Math.max(Math.ceil(nowMs / SNAP_MS) * SNAP_MS, Math.round((startOf(block) + byMs) / SNAP_MS) * SNAP_MS),
    );
  const onDown = (block: DrawnBlock) => (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    down.current = { x: event.clientX, stepId: block.stepId };
  };
  const onMove = (block: DrawnBlock) => (event: PointerEvent<SVGGElement>) => {
    if (event.buttons !== 1 || down.current.stepId !== block.stepId) return;
    const byPx = event.clientX - down.current.x;
    if (drag || Math.abs(byPx) > DRAG_PX) setDrag({ stepId: block.stepId, byPx });
  };
  const onUp = (block: DrawnBlock, ticketId: string) => () => {
    if (drag) pin(block, scale.invert(LEFT_PX + drag.byPx).getTime() - range[0]);
    else void navigate(`/t/${ticketId}`);
    down.current = { x: 0, stepId: '' };
    setDrag(null);
  };
  const onKey = (block: DrawnBlock, ticketId: string) => (event: KeyboardEvent) => {
    const by = { ArrowLeft: -KEY_STEP_MS, ArrowRight: KEY_STEP_MS }[event.key];
    if (by !== undefined) {
      event.preventDefault();
      pin(block, by);
    } else if (event.key === 'Enter') void navigate(`/t/${ticketId}`);
  };
  return (
    <div ref={ref} className="min-w-0 touch-pan-y">
      <svg
        width={widthPx}
        height={heightPx}
        role="group"
        aria-label="The day, by the hour"
        className="block select-none"
      >
        {ticks.map((tick) => (
          <g key={tick.getTime()}>
            <path d={`M${scale(tick)} 20V${axisY}`} className="stroke-hair" />
            <text x={scale(tick)} y={axisY + 20} textAnchor="middle" className="fill-soft text-[13px]">
              {hourly ? hour(tick.getTime()) : `${tick.getDate()}.${tick.getMonth() + 1}.`}
            </text>
          </g>
        ))}
        {rows.map(({ job, y, blocks, waits, promiseX }) => (
          <g key={job.ticketId} role="group" aria-label={`${job.number} ${job.machine}`}>
            <text x={LEFT_PX - 8} y={y + 21} textAnchor="end" className="fill-ink text-[14px] font-semibold">
              {job.number}
            </text>
            {waits.map(({ key, label, x, widthPx: w, lateX, open }) => (
              <g key={key}>
                <path d={`M${x} ${y + 16}h${w}`} className="stroke-ink" strokeWidth={1.6} strokeDasharray="1.5 4" />
                {!open && <path d={`M${x + w} ${y + 10}v12`} className="stroke-ink" strokeWidth={1.6} />}
                {lateX !== undefined && (
                  <path
                    d={`M${x + w} ${y + 16}H${lateX}M${lateX} ${y + 12}v8`}
                    className="stroke-soft"
                    strokeDasharray="1 5"
                  />
                )}
                {w > 44 && (
                  <text x={x + 5} y={y + 11} className="fill-soft text-[12.5px]">
                    {label.length * 6.4 > w - 8 ? `${label.slice(0, Math.max(2, Math.floor((w - 16) / 6.4)))}…` : label}
                  </text>
                )}
              </g>
            ))}
            {blocks.map((block) => {
              const byPx = drag?.stepId === block.stepId ? drag.byPx : 0;
              return (
                <g
                  key={block.key}
                  role="button"
                  tabIndex={0}
                  aria-label={`${job.number}, ${plan?.blocks.find(({ step }) => step.id === block.stepId)?.step.label ?? ''}, ${hour(startOf(block))}, about ${block.minutes} minutes${block.pinned ? ', set by hand' : ''}`}
                  className="drawn-button cursor-grab"
                  transform={byPx === 0 ? undefined : `translate(${byPx} 0)`}
                  onPointerDown={onDown(block)}
                  onPointerMove={onMove(block)}
                  onPointerUp={onUp(block, job.ticketId)}
                  onKeyDown={onKey(block, job.ticketId)}
                >
                  <rect x={block.x} y={y + 3} width={block.widthPx} height={27} className="fill-ink" />
                  <path
                    d={`M${block.x} ${y + 3}h${block.widthPx}v27h${-block.widthPx}z`}
                    className="fill-none stroke-sheet"
                  />
                  <text
                    x={block.beside ? block.x + block.widthPx + 5 : block.x + 5}
                    y={y + 21}
                    className={block.beside ? 'fill-ink text-[13px]' : 'fill-paper text-[13px] font-semibold'}
                  >
                    {block.label}
                  </text>
                  {block.pinned && <path d={`M${block.x + 3} ${y + 3}v-6h6z`} className="fill-live stroke-none" />}
                </g>
              );
            })}
            {promiseX !== undefined && (
              <path
                d={`M${promiseX - 5} ${y + 2}h10l-5 8zM${promiseX} ${y + 8}v24`}
                className="fill-live stroke-live"
              />
            )}
          </g>
        ))}
        {nowX !== undefined && (
          <g>
            <path d={`M${nowX} 16V${axisY}`} className="stroke-live" strokeWidth={1.8} />
            <text x={nowX + 5} y={14} className="fill-live text-[13px] font-semibold">
              now {hour(nowMs)}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}
