import type { PlaceKind } from '@loose-pulley/core/work/cleaning';

/** A place as the layout needs it. */
export interface LaidPlace {
  readonly id: string;
  readonly kind: PlaceKind;
  readonly driveId: string | null;
}

/** A cell of the map: one place, or a drive with its pulleys and its belt. */
export interface MapCell {
  readonly x: number;
  readonly y: number;
  readonly widthPx: number;
  readonly heightPx: number;
  /** The places in it: of a drive its motor pulley, belt, driven pulley and idlers, in this order. */
  readonly placeIds: readonly string[];
  readonly drive: boolean;
}

export interface MachineMapLayout {
  readonly cells: readonly MapCell[];
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A cell is wide enough for its word, and high enough for drawing, word and marks. */
export const CELL_PX = 148;
export const CELL_HEIGHT_PX = 132;
/** Each place of a drive has a line of its own under the drawing. */
export const DRIVE_DRAWING_PX = 112;
export const LINE_PX = 44;
const GAP_PX = 8;
/** From here on a drive's lines stand beside its drawing. */
export const WIDE_DRIVE_PX = 560;

const IN_DRIVE: readonly PlaceKind[] = ['motorPulley', 'belt', 'drivenPulley', 'idler'];

/**
 * Lays the places of a machine out: the drives first, each as one drawing, then the others from the motor to the disc,
 * row by row, none over another and none wider than the sheet.
 *
 * @example mapLayout([], 640).cells // []
 */
export function mapLayout(places: readonly LaidPlace[], widthPx: number): MachineMapLayout {
  const columns = Math.max(1, Math.floor((widthPx + GAP_PX) / (CELL_PX + GAP_PX)));
  const cellPx = Math.floor((widthPx - GAP_PX * (columns - 1)) / columns);
  const inDrive = (place: LaidPlace): boolean => place.driveId !== null && IN_DRIVE.includes(place.kind);
  const driveIds = [...new Set(places.filter(inDrive).map(({ driveId }) => driveId))];
  const cells: MapCell[] = [];
  let [column, y, rowPx] = [0, 0, 0];
  const put = (span: number, heightPx: number, placeIds: readonly string[], drive: boolean): void => {
    if (column + span > columns) {
      y += rowPx + GAP_PX;
      [column, rowPx] = [0, 0];
    }
    cells.push({
      x: column * (cellPx + GAP_PX),
      y,
      widthPx: span * cellPx + (span - 1) * GAP_PX,
      heightPx,
      placeIds,
      drive,
    });
    column += span;
    rowPx = Math.max(rowPx, heightPx);
  };
  // One drive has the whole row, its lines beside its drawing; several share it.
  const wide = driveIds.length === 1 && widthPx >= WIDE_DRIVE_PX;
  const span = wide ? columns : Math.min(columns, 2);
  for (const driveId of driveIds) {
    const own = places
      .filter((place) => inDrive(place) && place.driveId === driveId)
      .sort((a, b) => IN_DRIVE.indexOf(a.kind) - IN_DRIVE.indexOf(b.kind));
    put(
      span,
      wide ? Math.max(DRIVE_DRAWING_PX, LINE_PX * own.length) : DRIVE_DRAWING_PX + LINE_PX * own.length,
      own.map(({ id }) => id),
      true,
    );
  }
  // The others begin a row of their own, so that they stand in columns.
  if (cells.length > 0) {
    y += rowPx + GAP_PX;
    [column, rowPx] = [0, 0];
  }
  for (const place of places.filter((one) => !inDrive(one))) put(1, CELL_HEIGHT_PX, [place.id], false);
  return { cells, widthPx, heightPx: places.length === 0 ? 0 : y + rowPx };
}
