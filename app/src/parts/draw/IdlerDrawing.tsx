import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { DrawnIdler } from './drawnIdler';
import type { Circle } from './driveLayout';

/** A step of an arrow key, mm; with Shift ten times that. */
const NUDGE_MM = 0.5;
const round = (mm: number): number => Math.round(mm * 10) / 10;

/** A pulley beside motor and drive: dragged by hand, nudged by key. */
export function IdlerDrawing({
  other,
  circle,
  pxPerMm,
  wrong,
  onMove,
}: {
  readonly other: DrawnIdler;
  readonly circle: Circle;
  readonly pxPerMm: number;
  readonly wrong: boolean;
  readonly onMove: ((id: string, xMm: number, yMm: number) => void) | undefined;
}) {
  /** Where the drag began, and the scale it began at: the sheet may rescale under it. */
  const drag = useRef<{ x: number; y: number; xMm: number; yMm: number; pxPerMm: number } | null>(null);
  const name = other.name || 'idler';
  const key = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? 10 * NUDGE_MM : NUDGE_MM;
    const moves: Record<string, readonly [number, number]> = {
      ArrowLeft: [-step, 0],
      ArrowRight: [step, 0],
      ArrowUp: [0, step],
      ArrowDown: [0, -step],
    };
    const move = moves[event.key];
    if (!move || !onMove) return;
    event.preventDefault();
    onMove(other.id, round(other.xMm + move[0]), round(other.yMm + move[1]));
  };
  const down = (event: PointerEvent): void => {
    if (!onMove) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    drag.current = { x: event.clientX, y: event.clientY, xMm: other.xMm, yMm: other.yMm, pxPerMm };
  };
  const drawn = (event: PointerEvent): void => {
    const from = drag.current;
    if (!from || !onMove) return;
    onMove(
      other.id,
      round(from.xMm + (event.clientX - from.x) / from.pxPerMm),
      round(from.yMm - (event.clientY - from.y) / from.pxPerMm),
    );
  };
  return (
    <g
      {...(onMove && {
        role: 'button',
        tabIndex: 0,
        'aria-label': `${name}, ${other.xMm} across, ${other.yMm} up. Arrow keys move it.`,
        onKeyDown: key,
        onPointerDown: down,
        onPointerMove: drawn,
        onPointerUp: () => {
          drag.current = null;
        },
      })}
      className={onMove ? 'cursor-move touch-none' : ''}
    >
      <circle cx={circle.x} cy={circle.y} r={Math.max(22, circle.r)} fill="transparent" />
      <circle
        cx={circle.x}
        cy={circle.y}
        r={circle.r}
        fill="none"
        className={wrong ? 'stroke-live' : 'stroke-ink'}
        strokeWidth="1.6"
        strokeDasharray={other.back ? '4 3' : undefined}
      />
      <circle cx={circle.x} cy={circle.y} r="2" className="fill-ink" />
      <text x={circle.x} y={circle.y + circle.r + 16} textAnchor="middle" className="fill-ink text-sm">
        {name}
        {other.back && ', on its back'}
      </text>
    </g>
  );
}
