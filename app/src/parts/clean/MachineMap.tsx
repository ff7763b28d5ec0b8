import { memo, useMemo } from 'react';
import type { PlaceView } from '@loose-pulley/core/views/clean';
import { DriveCell } from './DriveCell';
import { GLYPHS } from './glyphs';
import type { MapDrive } from './mapDrives';
import { CELL_HEIGHT_PX, mapLayout } from './mapLayout';
import { Balloon, Says, Spot } from './mapParts';

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
