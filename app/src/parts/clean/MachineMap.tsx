import { memo, useMemo, type KeyboardEvent, type ReactNode } from 'react';
import { asPathPulleys } from '@loose-pulley/core/geometry';
import type { PlaceView } from '@loose-pulley/core/cleanView';
import { beltOutline } from '../draw/beltOutline';
import { CELL_HEIGHT_PX, DRIVE_DRAWING_PX, LINE_PX, mapLayout, type MapCell } from './mapLayout';
import { GLYPHS } from './glyphs';
import { marksAt, type PlaceMark } from './marks';

/** A drive as the map draws it, to scale with itself where it is measured. */
export interface MapDrive {
  readonly id: string;
  readonly motorMm: number;
  readonly drivenMm: number;
  readonly centreMm: number;
  readonly crossed: boolean;
  readonly measured: boolean;
}
/** What a drive is drawn as until it is measured. */
export const UNMEASURED = { motorMm: 8, drivenMm: 26, centreMm: 42, crossed: false, measured: false } as const;

const BALLOON_PX = 13;

/** Signs: a hatched patch for dirt, a tick for clean, a drop for oil, a clock line, a bar for what stays dry. */
function Sign({ mark, x, y }: { readonly mark: PlaceMark; readonly x: number; readonly y: number }) {
  const stroke = mark.live ? 'stroke-live' : 'stroke-ink';
  const at = `translate(${x} ${y})`;
  switch (mark.sign) {
    case 'dirt':
      return (
        <path
          transform={at}
          d="M0 0h12v10h-12Z M0 5L5 0M0 10L10 0M5 10L12 3"
          className={`fill-none ${stroke}`}
          strokeWidth="1.1"
        />
      );
    case 'clean':
      return <path transform={at} d="M1 5L5 9L12 0" className={`fill-none ${stroke}`} strokeWidth="1.8" />;
    case 'oil':
      return (
        <path transform={at} d="M6 0C9 4 10 6 10 7.5A4 4 0 0 1 2 7.5C2 6 3 4 6 0Z" className="fill-ink stroke-ink" />
      );
    case 'clock':
      return (
        <path
          transform={at}
          d="M0 5A5.5 5.5 0 1 1 11 5A5.5 5.5 0 1 1 0 5M5.5 1.5V5L8 6.5"
          className={`fill-none ${stroke}`}
          strokeWidth="1.3"
        />
      );
    case 'keepDry':
      return (
        <path
          transform={at}
          d="M6 0C9 4 10 6 10 7.5A4 4 0 0 1 2 7.5C2 6 3 4 6 0ZM0 10L12 0"
          className={`fill-none ${stroke}`}
          strokeWidth="1.2"
        />
      );
    case 'left':
      return (
        <path transform={at} d="M6 0L12 10H0ZM6 4V7M6 8.4V8.9" className={`fill-none ${stroke}`} strokeWidth="1.2" />
      );
  }
}

/** So many letters fit on a line of a cell. */
const fitted = (words: string, px: number): string => {
  const most = Math.max(6, Math.floor(px / 7));
  return words.length > most ? `${words.slice(0, most - 1)}…` : words;
};

interface Props {
  readonly places: readonly PlaceView[];
  readonly drives: readonly MapDrive[];
  readonly widthPx: number;
  readonly nowMs: number;
  readonly chosenId?: string | null;
  /** Absent on paper. */
  readonly onChoose?: (placeId: string) => void;
}

/** The machine as places to clean and oil, numbered as on Strip: what was found, what was done, what dries, what stays dry. */
export const MachineMap = memo(function MachineMap({
  places,
  drives,
  widthPx,
  nowMs,
  chosenId = null,
  onChoose,
}: Props) {
  const layout = useMemo(
    () =>
      mapLayout(
        places.map(({ place }) => place),
        widthPx,
      ),
    [places, widthPx],
  );
  const byId = useMemo(() => new Map(places.map((one) => [one.place.id, one])), [places]);
  return (
    <svg
      width={layout.widthPx}
      height={layout.heightPx}
      viewBox={`0 0 ${layout.widthPx} ${layout.heightPx}`}
      role="group"
      aria-label={`Map of the machine, ${places.length} places`}
      className="max-w-full"
    >
      {layout.cells.map((cell) => {
        const own = cell.placeIds.flatMap((id) => byId.get(id) ?? []);
        const [first] = own;
        if (!first) return null;
        return cell.drive ? (
          <DriveCell
            key={`drive ${first.place.driveId}`}
            cell={cell}
            own={own}
            drive={drives.find(({ id }) => id === first.place.driveId)}
            nowMs={nowMs}
            chosenId={chosenId}
            onChoose={onChoose}
          />
        ) : (
          <Spot
            key={first.place.id}
            view={first}
            chosen={first.place.id === chosenId}
            nowMs={nowMs}
            onChoose={onChoose}
            x={cell.x}
            y={cell.y}
            widthPx={cell.widthPx}
            heightPx={CELL_HEIGHT_PX}
          >
            <g
              transform={`translate(${cell.x + cell.widthPx / 2 - 60} ${cell.y + 6})`}
              className="fill-sheet stroke-ink"
              strokeWidth="1.3"
              strokeLinejoin="round"
            >
              {GLYPHS[first.place.kind]}
            </g>
            <Balloon view={first} x={cell.x + 18} y={cell.y + 20} />
            <Says view={first} nowMs={nowMs} x={cell.x + 8} y={cell.y + 80} widthPx={cell.widthPx - 16} />
          </Spot>
        );
      })}
    </svg>
  );
});

/** What is pressed to choose a place, with everything that is drawn of it; plain drawing on paper. */
function Spot({
  view,
  chosen,
  nowMs,
  onChoose,
  x,
  y,
  widthPx,
  heightPx,
  children,
}: {
  readonly view: PlaceView;
  readonly chosen: boolean;
  readonly nowMs: number;
  readonly onChoose: ((placeId: string) => void) | undefined;
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly children: ReactNode;
}) {
  const { place } = view;
  const words = marksAt(view, nowMs).map(({ word }) => word);
  const ground = (
    <rect
      x={x + 0.5}
      y={y + 0.5}
      width={widthPx - 1}
      height={heightPx - 1}
      className={chosen ? 'fill-zone1 stroke-live' : 'fill-transparent stroke-hair'}
      strokeWidth={chosen ? 2.5 : 1}
    />
  );
  if (!onChoose)
    return (
      <g>
        {ground}
        {children}
      </g>
    );
  return (
    <g
      role="button"
      tabIndex={0}
      aria-pressed={chosen}
      aria-label={[place.number > 0 ? `Number ${place.number}` : '', place.name, ...words].filter(Boolean).join(', ')}
      className="cursor-pointer"
      onClick={() => onChoose(place.id)}
      onKeyDown={(event: KeyboardEvent) => {
        if (event.key !== 'Enter' && event.key !== ' ') return;
        event.preventDefault();
        onChoose(place.id);
      }}
    >
      {ground}
      {children}
    </g>
  );
}

/** The number in its circle; dotted until something is said of the place. */
function Balloon({
  view: { place, suggested },
  x,
  y,
}: {
  readonly view: PlaceView;
  readonly x: number;
  readonly y: number;
}) {
  return (
    <>
      <circle
        cx={x}
        cy={y}
        r={BALLOON_PX}
        className="fill-sheet stroke-ink"
        strokeWidth="1.4"
        strokeDasharray={suggested ? '3 3' : undefined}
      />
      {place.number > 0 && (
        <text x={x} y={y + 5} textAnchor="middle" className="fill-ink text-[14px] font-semibold">
          {place.number}
        </text>
      )}
    </>
  );
}

/** The name of a place and its marks, each with its word. */
function Says({
  view,
  nowMs,
  x,
  y,
  widthPx,
}: {
  readonly view: PlaceView;
  readonly nowMs: number;
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
}) {
  const marks = marksAt(view, nowMs).slice(0, 2);
  return (
    <>
      <text x={x} y={y} className="fill-ink text-[15px] font-semibold">
        {fitted(view.place.name, widthPx)}
      </text>
      {marks.map((mark, index) => (
        <g key={mark.sign}>
          <Sign mark={mark} x={x} y={y + 8 + index * 19} />
          <text
            x={x + 18}
            y={y + 18 + index * 19}
            className={mark.live ? 'fill-live text-[14px]' : 'fill-soft text-[14px]'}
          >
            {fitted(mark.word, widthPx - 18)}
          </text>
        </g>
      ))}
    </>
  );
}

/** A drive drawn as on the other stations, with a line for each of its places under it. */
function DriveCell({
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
  const scale = Math.min((cell.widthPx - 60) / (r1 + centreMm + r2), (DRIVE_DRAWING_PX - 34) / (2 * Math.max(r1, r2)));
  const x1 = cell.x + (cell.widthPx - (r1 + centreMm + r2) * scale) / 2 + r1 * scale;
  const y1 = cell.y + DRIVE_DRAWING_PX / 2 + 2;
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
        {!measured && (
          <text x={cell.x + cell.widthPx - 8} y={cell.y + 16} textAnchor="end" className="fill-soft text-[13px]">
            not to scale
          </text>
        )}
      </g>
      {own.map((view, index) => {
        const y = cell.y + DRIVE_DRAWING_PX + index * LINE_PX;
        const marks = marksAt(view, nowMs).slice(0, 2);
        const half = cell.widthPx > 330;
        return (
          <Spot
            key={view.place.id}
            view={view}
            chosen={view.place.id === chosenId}
            nowMs={nowMs}
            onChoose={onChoose}
            x={cell.x}
            y={y}
            widthPx={cell.widthPx}
            heightPx={LINE_PX}
          >
            <Balloon view={view} x={cell.x + 20} y={y + LINE_PX / 2} />
            <text x={cell.x + 40} y={y + (half ? 27 : 18)} className="fill-ink text-[15px] font-semibold">
              {fitted(view.place.name, half ? cell.widthPx / 2 - 44 : cell.widthPx - 50)}
            </text>
            {marks.slice(0, half ? 2 : 1).map((mark, at) => {
              const x = half ? cell.x + cell.widthPx / 2 : cell.x + 40;
              const top = half ? (marks.length > 1 ? y + 6 + at * 18 : y + 16) : y + 25;
              return (
                <g key={mark.sign}>
                  <Sign mark={mark} x={x} y={top} />
                  <text
                    x={x + 18}
                    y={top + 10}
                    className={mark.live ? 'fill-live text-[14px]' : 'fill-soft text-[14px]'}
                  >
                    {fitted(mark.word, (half ? cell.widthPx / 2 : cell.widthPx - 40) - 28)}
                  </text>
                </g>
              );
            })}
          </Spot>
        );
      })}
    </g>
  );
}
