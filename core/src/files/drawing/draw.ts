import { fitBelt, innerPath, pulleysInOrder, seatedRadiusMm, type Belt, type Drive } from '../../physics/drive';
import type { BeltPath, PathPulley } from '../../physics/geometry';
import { ok, type Result } from '../../base/units';
import type { Drafting, Extent, Figure } from './types';

const circle = (x: number, y: number, r: number): Figure => ({ type: 'circle', x, y, r });
const line = (x1: number, y1: number, x2: number, y2: number): Figure => ({ type: 'line', x1, y1, x2, y2 });
const label = (x: number, y: number, text: string, heightMm = 3): Figure => ({ type: 'text', x, y, heightMm, text });

/** Spans as lines, and between two spans the arc on the pulley that joins them. Pulleys in belt order, at the line's radius. */
function pathFigures({ spans }: BeltPath, pulleys: readonly PathPulley[]): Figure[] {
  return spans.flatMap((span, index): Figure[] => {
    const next = spans[(index + 1) % spans.length];
    const pulley = pulleys[(index + 1) % pulleys.length];
    const straight = line(span.fromX, span.fromY, span.toX, span.toY);
    if (!pulley || !next) return [straight];
    const arriving = Math.atan2(span.toY - pulley.yMm, span.toX - pulley.xMm);
    const leaving = Math.atan2(next.fromY - pulley.yMm, next.fromX - pulley.xMm);
    const [fromRad, toRad] = pulley.side === 1 ? [arriving, leaving] : [leaving, arriving];
    return [straight, { type: 'arc', x: pulley.xMm, y: pulley.yMm, r: pulley.radiusMm, fromRad, toRad }];
  });
}

/**
 * The drive at 1:1: groove bottoms, shafts, and the line on which the belt runs. Without a belt the inner path.
 *
 * @returns the drawing, or the drive's own refusal
 */
export function draftDrive(drive: Drive, belt: Belt | undefined, name: string): Result<Drafting> {
  const inner = innerPath(drive);
  if (!inner.ok) return inner;
  const fitted = belt && fitBelt(drive, belt);
  if (fitted && !fitted.ok) return fitted;
  const bottoms = pulleysInOrder(drive, ({ bottomDiameterMm }) => bottomDiameterMm / 2);
  const thicknessMm = fitted?.value.thicknessMm;
  const line0 =
    thicknessMm === undefined ? bottoms : pulleysInOrder(drive, (pulley) => seatedRadiusMm(pulley, thicknessMm));
  return ok({
    name,
    figures: [
      ...bottoms.map(({ xMm, yMm, radiusMm }) => circle(xMm, yMm, radiusMm)),
      ...bottoms.flatMap(({ xMm, yMm }) => [line(xMm - 2, yMm, xMm + 2, yMm), line(xMm, yMm - 2, xMm, yMm + 2)]),
      ...pathFigures(fitted?.value.centreLine ?? inner.value, line0),
      label(0, -Math.max(...bottoms.map(({ radiusMm }) => radiusMm)) - 8, name),
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
      case 'polygon':
        // One by one: a gear has thousands.
        for (const [x, y] of figure.points) {
          xs.push(x);
          ys.push(y);
        }
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
  const least = (list: readonly number[]): number => list.reduce((a, b) => Math.min(a, b), Infinity);
  const most = (list: readonly number[]): number => list.reduce((a, b) => Math.max(a, b), -Infinity);
  const left = least(xs) - marginMm;
  const bottom = least(ys) - marginMm;
  return { left, bottom, width: most(xs) + marginMm - left, height: most(ys) + marginMm - bottom };
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
