import { asPathPulleys } from '@loose-pulley/core/physics/geometry';
import type { PlaceView } from '@loose-pulley/core/views/clean';
import { beltOutline } from '../draw/beltOutline';
import { Balloon, fitted, Sign, Spot } from './mapParts';
import { DRIVE_DRAWING_PX, LINE_PX, type MapCell } from './mapLayout';
import { marksAt } from './marks';
import { UNMEASURED, type MapDrive } from './mapDrives';

/** A drive drawn as on the other stations, with a line for each of its places under it. */
export function DriveCell({
  cell,
  own,
  drive,
  nowMs,
  chosenId,
  onChoose,
}: {
  readonly cell: MapCell;
  readonly own: readonly PlaceView[];
  readonly drive: MapDrive | undefined;
  readonly nowMs: number;
  readonly chosenId: string | null;
  readonly onChoose: ((placeId: string) => void) | undefined;
}) {
  const { motorMm, drivenMm, centreMm, crossed, measured } = drive ?? UNMEASURED;
  const [r1, r2] = [motorMm / 2, drivenMm / 2];
  // Beside the drawing where there is room, else under it.
  const beside = cell.heightPx < DRIVE_DRAWING_PX + LINE_PX * own.length;
  const drawnPx = beside ? Math.min(cell.widthPx * 0.42, 320) : cell.widthPx;
  const drawnHighPx = beside ? cell.heightPx : DRIVE_DRAWING_PX;
  const scale = Math.min((drawnPx - 60) / (r1 + centreMm + r2), (DRIVE_DRAWING_PX - 34) / (2 * Math.max(r1, r2)));
  const x1 = cell.x + (drawnPx - (r1 + centreMm + r2) * scale) / 2 + r1 * scale;
  const y1 = cell.y + drawnHighPx / 2 + 2;
  const x2 = x1 + centreMm * scale;
  const belt = beltOutline(
    asPathPulleys({ motorRadiusMm: r1, drivenRadiusMm: r2, centreDistanceMm: centreMm, crossed }),
    0,
    { x: x1, y: y1 },
    scale,
  );
  const of = (kind: string): PlaceView | undefined => own.find(({ place }) => place.kind === kind);
  const dirty = (kind: string): boolean => (of(kind)?.state.standing.length ?? 0) > 0;
  const beltView = of('belt');
  return (
    <g>
      <rect
        x={cell.x + 0.5}
        y={cell.y + 0.5}
        width={cell.widthPx - 1}
        height={cell.heightPx - 1}
        className="fill-sheet stroke-hair"
      />
      <g aria-hidden>
        <path
          d={belt?.d}
          fill="none"
          className={dirty('belt') ? 'stroke-live' : 'stroke-rubber'}
          strokeWidth="5"
          strokeDasharray={beltView?.off ? '7 5' : undefined}
        />
        {(
          [
            [x1, r1, 'motorPulley'],
            [x2, r2, 'drivenPulley'],
          ] as const
        ).map(([x, r, kind]) => (
          <g key={kind}>
            <circle
              cx={x}
              cy={y1}
              r={r * scale}
              className={dirty(kind) ? 'fill-zone2 stroke-live' : 'fill-sheet stroke-ink'}
              strokeWidth="1.4"
            />
            <circle cx={x} cy={y1} r="2.2" className="fill-ink" />
            <path
              d={`M${x - r * scale - 8} ${y1}H${x + r * scale + 8}M${x} ${y1 - r * scale - 8}V${y1 + r * scale + 8}`}
              className="stroke-soft"
              strokeWidth="0.7"
              strokeDasharray="8 3 2 3"
            />
          </g>
        ))}
        {drive?.title && (
          <text x={cell.x + 8} y={cell.y + 18} className="fill-ink text-[15px] font-semibold">
            {fitted(drive.title, cell.widthPx - 110)}
          </text>
        )}
        {!measured && (
          <text x={cell.x + drawnPx - 8} y={cell.y + 16} textAnchor="end" className="fill-soft text-[13px]">
            not to scale
          </text>
        )}
      </g>
      {own.map((view, index) => (
        <DriveLine
          key={view.place.id}
          view={view}
          chosen={view.place.id === chosenId}
          nowMs={nowMs}
          onChoose={onChoose}
          x={cell.x + (beside ? drawnPx : 0)}
          y={cell.y + (beside ? 0 : DRIVE_DRAWING_PX) + index * LINE_PX}
          widthPx={cell.widthPx - (beside ? drawnPx : 0)}
        />
      ))}
    </g>
  );
}

/** The name within its drive, whose letter stands above. @example nameIn('belt B, lift') // 'belt' */
const nameIn = (name: string): string => name.replace(/ [A-Z](?:, .+)?$/, '');

/** One place of a drive on a line of its own: its number, its name, its marks. */
function DriveLine({
  view,
  chosen,
  nowMs,
  onChoose,
  x,
  y,
  widthPx,
}: {
  readonly view: PlaceView;
  readonly chosen: boolean;
  readonly nowMs: number;
  readonly onChoose: ((placeId: string) => void) | undefined;
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
}) {
  const marks = marksAt(view, nowMs).slice(0, 2);
  // Where there is room the marks stand beside the name, else under it.
  const half = widthPx > 330;
  const markX = half ? x + widthPx / 2 : x + 40;
  const markPx = half ? widthPx / 2 - 28 : widthPx - 68;
  return (
    <Spot
      view={view}
      chosen={chosen}
      nowMs={nowMs}
      onChoose={onChoose}
      x={x}
      y={y}
      widthPx={widthPx}
      heightPx={LINE_PX}
    >
      <Balloon view={view} x={x + 20} y={y + LINE_PX / 2} />
      <text x={x + 40} y={y + (half || marks.length === 0 ? 27 : 18)} className="fill-ink text-[15px] font-semibold">
        {fitted(nameIn(view.place.name), half ? widthPx / 2 - 44 : widthPx - 50)}
      </text>
      {marks.slice(0, half ? 2 : 1).map((mark, at) => {
        const top = half ? (marks.length > 1 ? y + 6 + at * 18 : y + 16) : y + 25;
        return (
          <g key={mark.sign}>
            <Sign mark={mark} x={markX} y={top} />
            <text x={markX + 18} y={top + 10} className={mark.live ? 'fill-live text-[14px]' : 'fill-soft text-[14px]'}>
              {fitted(mark.word, markPx)}
            </text>
          </g>
        );
      })}
    </Spot>
  );
}
