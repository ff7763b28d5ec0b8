import { sagMm } from '@loose-pulley/core/physics/geometry';
import { driveLayout, type DrawingLayout } from './driveLayout';
import type { DrawnDrive } from './drawnDrive';

/** Where everything goes, and the sizes it is drawn by: those that are known, else the usual proportions. */
export interface LaidOut {
  readonly layout: DrawingLayout;
  readonly motorMm: number;
  readonly driveMm: number;
  readonly centreMm: number;
  /** What the old belt has too much. */
  readonly oldExcessMm: number;
}

/** Lays a drive out on a sheet of this size. */
export function layOutDrive(drawn: DrawnDrive, widthPx: number, heightPx: number): LaidOut {
  // Ghosts take the usual proportions of a loader, from whatever is known.
  const knownMm = drawn.motorMm
    ? drawn.motorMm / 6
    : drawn.driveMm
      ? drawn.driveMm / 25
      : drawn.centreMm
        ? drawn.centreMm / 40
        : 1;
  const motorMm = drawn.motorMm ?? 6 * knownMm;
  const driveMm = drawn.driveMm ?? 25 * knownMm;
  const centreMm = drawn.centreMm ?? Math.max(40 * knownMm, (motorMm + driveMm) * 0.8);
  const oldExcessMm = drawn.old && drawn.old.excessMm > 0 ? drawn.old.excessMm : 0;
  const beltMm = drawn.belt?.thicknessMm ?? drawn.old?.thicknessMm ?? 1;
  const layout = driveLayout({
    widthPx,
    heightPx,
    motorMm,
    driveMm,
    centreMm,
    beltMm,
    others: drawn.others,
    sagMm: Math.max(0, sagMm(centreMm, oldExcessMm / 2) - Math.abs(driveMm - motorMm) / 4),
  });
  return { layout, motorMm, driveMm, centreMm, oldExcessMm };
}
