import { fitBelt, innerPath, type Belt, type Drive } from '../drive';
import type { BeltPath } from '../geometry';
import { ok, type Result } from '../units';
import type { Drafting, Extent, Figure } from './types';

const circle = (x: number, y: number, r: number): Figure => ({ type: 'circle', x, y, r });
const line = (x1: number, y1: number, x2: number, y2: number): Figure => ({ type: 'line', x1, y1, x2, y2 });
const label = (x: number, y: number, text: string, heightMm = 3): Figure => ({ type: 'text', x, y, heightMm, text });

/** Spans as lines, and between two spans the arc on the wheel that joins them. */
function pathFigures(
  path: BeltPath,
  wheels: ReadonlyArray<{ x: number; y: number; r: number; side: number }>,
): Figure[] {
  const { spans } = path;
  return spans.flatMap((span, index): Figure[] => {
    const next = spans[(index + 1) % spans.length];
    const straight = line(span.fromX, span.fromY, span.toX, span.toY);
    // The wheel between this span and the next is the one that both touch.
    const wheel = wheels.find(
      ({ x, y, r }) =>
        next !== undefined &&
        Math.abs(Math.hypot(span.toX - x, span.toY - y) - r) < 1e-6 &&
        Math.abs(Math.hypot(next.fromX - x, next.fromY - y) - r) < 1e-6,
    );
    if (!wheel || !next) return [straight];
    const arriving = Math.atan2(span.toY - wheel.y, span.toX - wheel.x);
    const leaving = Math.atan2(next.fromY - wheel.y, next.fromX - wheel.x);
    const [fromRad, toRad] = wheel.side === 1 ? [arriving, leaving] : [leaving, arriving];
    return [straight, { type: 'arc', x: wheel.x, y: wheel.y, r: wheel.r, fromRad, toRad }];
  });
}

/**
 * The drive at 1:1: groove bottoms, shafts, and the line on which the belt runs. Without a belt the inner path.
 *
 * @returns the drawing, or the drive's own refusal
 */
export function draftDrive(drive: Drive, belt: Belt | undefined, name: string): Result<Drafting> {
  const fitted = belt && fitBelt(drive, belt);
  if (fitted && !fitted.ok) return fitted;
  const inner = innerPath(drive);
  if (!inner.ok) return inner;
  const path = fitted ? fitted.value.centreLine : inner.value;
  const c = drive.centreDistanceMm;
  const crossed = drive.crossed ? -1 : 1;
  const grown = (bottomMm: number, seatedMm: number | undefined): number => seatedMm ?? bottomMm / 2;
  const others = drive.idlers ?? [];
  const bottoms = [
    { x: 0, y: 0, r: drive.motorPulley.bottomDiameterMm / 2 },
    { x: c, y: 0, r: drive.drivenPulley.bottomDiameterMm / 2 },
    ...others.map(({ xMm, yMm, bottomDiameterMm }) => ({ x: xMm, y: yMm, r: bottomDiameterMm / 2 })),
  ];
  const line0 = [
    { x: 0, y: 0, r: grown(drive.motorPulley.bottomDiameterMm, fitted?.value.motorRadiusMm), side: 1 },
    { x: c, y: 0, r: grown(drive.drivenPulley.bottomDiameterMm, fitted?.value.drivenRadiusMm), side: crossed },
    ...others.map(({ xMm, yMm, bottomDiameterMm, back, after }) => {
      const turn = after === 'motor' ? 1 : crossed;
      const half = (fitted?.value.thicknessMm ?? 0) / 2;
      return { x: xMm, y: yMm, r: bottomDiameterMm / 2 + half, side: back ? -turn : turn };
    }),
  ];
  return ok({
    name,
    figures: [
      ...bottoms.map(({ x, y, r }) => circle(x, y, r)),
      ...bottoms.flatMap(({ x, y }) => [line(x - 2, y, x + 2, y), line(x, y - 2, x, y + 2)]),
      ...pathFigures(path, line0),
      label(0, -Math.max(...bottoms.map(({ r }) => r)) - 8, name),
    ],
  });
}

/**
 * A belt lying free, at 1:1: the ring between its inner and outer line, and beside it a bar as long as its inner
 * length, for a belt that is cut.
 */
export function draftBelt(belt: Belt, name: string): Drafting {
  const inner = belt.innerLengthMm / (2 * Math.PI);
  const outer = inner + belt.thicknessMm;
  const below = -outer - 8;
  return {
    name,
    figures: [
      circle(0, 0, inner),
      circle(0, 0, outer),
      line(-2, 0, 2, 0),
      line(0, -2, 0, 2),
      line(-outer, below, -outer + belt.innerLengthMm, below),
      line(-outer, below - 2, -outer, below + 2),
      line(-outer + belt.innerLengthMm, below - 2, -outer + belt.innerLengthMm, below + 2),
      label(-outer, below - 7, name),
    ],
  };
}

/** A bar of a stated length, to be measured on the print. */
export const draftBar = (x: number, y: number, lengthMm: number): Figure[] => [
  line(x, y, x + lengthMm, y),
  line(x, y - 2, x, y + 2),
  line(x + lengthMm, y - 2, x + lengthMm, y + 2),
  label(x, y + 3, `this bar is ${lengthMm} mm long`),
];

/** The room that a drawing takes, with a margin. Text is taken as 0.6 of its height a letter. */
export function extentOf(figures: readonly Figure[], marginMm = 4): Extent {
  const xs: number[] = [];
  const ys: number[] = [];
  for (const figure of figures) {
    switch (figure.type) {
      case 'line':
        xs.push(figure.x1, figure.x2);
        ys.push(figure.y1, figure.y2);
        break;
      case 'text':
        xs.push(figure.x, figure.x + 0.6 * figure.heightMm * figure.text.length);
        ys.push(figure.y, figure.y + figure.heightMm);
        break;
      default:
        xs.push(figure.x - figure.r, figure.x + figure.r);
        ys.push(figure.y - figure.r, figure.y + figure.r);
    }
  }
  const left = Math.min(...xs) - marginMm;
  const bottom = Math.min(...ys) - marginMm;
  return { left, bottom, width: Math.max(...xs) + marginMm - left, height: Math.max(...ys) + marginMm - bottom };
}

/** A sheet of a tiled print: which part of the drawing it shows. */
export interface Tile extends Extent {
  readonly column: number;
  readonly row: number;
}

/**
 * Cuts a drawing over sheets that overlap by a centimetre, so that they can be glued.
 *
 * @param sheet printable width and height, mm
 * @example tiles({ left: 0, bottom: 0, width: 300, height: 100 }, { widthMm: 180, heightMm: 250 }).length // 2
 */
export function tiles(
  extent: Extent,
  sheet: { readonly widthMm: number; readonly heightMm: number },
  overlapMm = 10,
): Tile[] {
  const along = (length: number, room: number): number =>
    length <= room ? 1 : Math.ceil((length - overlapMm) / (room - overlapMm));
  const columns = along(extent.width, sheet.widthMm);
  const rows = along(extent.height, sheet.heightMm);
  return Array.from({ length: columns * rows }, (_, index) => {
    const column = index % columns;
    const row = Math.floor(index / columns);
    return {
      column,
      row,
      left: extent.left + column * (sheet.widthMm - overlapMm),
      // From the top of the drawing down.
      bottom:
        extent.bottom + extent.height - row * (sheet.heightMm - overlapMm) - Math.min(sheet.heightMm, extent.height),
      width: Math.min(sheet.widthMm, extent.width),
      height: Math.min(sheet.heightMm, extent.height),
    };
  });
}
