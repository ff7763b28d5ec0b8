/** A circle on the drawing, px from its top left. */
export interface Circle {
  readonly x: number;
  readonly y: number;
  readonly r: number;
}
/** A box that a label fills. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

export interface DrawingInput {
  readonly widthPx: number;
  readonly heightPx: number;
  readonly motorMm: number;
  readonly driveMm: number;
  readonly centreMm: number;
  /** Section of the belt drawn round it, so that it stays on the sheet. */
  readonly beltMm: number;
  /** Further pulleys, told from the motor's shaft, y upwards. */
  readonly others?: ReadonlyArray<{ readonly xMm: number; readonly yMm: number; readonly radiusMm: number }>;
  /** Depth that a hanging belt needs below, mm. */
  readonly sagMm: number;
}

/** Where everything on the drive drawing goes. Labels have their own bands, so none can meet another or the belt. */
export interface DrawingLayout {
  readonly pxPerMm: number;
  readonly motor: Circle;
  readonly drive: Circle;
  readonly others: readonly Circle[];
  readonly motorLabel: Box;
  readonly driveLabel: Box;
  readonly beltLabel: Box;
  readonly centreLabel: Box;
  /** Height of the centre-distance line. */
  readonly centreLineY: number;
  /** A round length for the scale bar, and its place. */
  readonly bar: { readonly x: number; readonly y: number; readonly mm: number };
  readonly legend: Box;
}

const LABEL_W = 128;
const LABEL_H = 44;
/** Narrower than this the diameters go above instead of beside. */
const WIDE_PX = 560;

/** The largest of 1, 2, 5, 10, 20 … mm that is at most `mostPx` long. */
function roundLength(pxPerMm: number, mostPx: number): number {
  const mm = mostPx / pxPerMm;
  const power = 10 ** Math.floor(Math.log10(mm));
  return [5, 2, 1].map((step) => step * power).find((length) => length <= mm) ?? power;
}

/**
 * Lays out the drive drawing. Motor pulley left, driven pulley right, to one scale; as large as the bands leave room.
 *
 * @example driveLayout({ widthPx: 776, heightPx: 370, motorMm: 6, driveMm: 24.8, centreMm: 38.2, … }).pxPerMm // about 8
 */
export function driveLayout(input: DrawingInput): DrawingLayout {
  const { widthPx: W, heightPx: H, motorMm, driveMm, centreMm, beltMm, sagMm, others = [] } = input;
  const wide = W >= WIDE_PX;
  const side = wide ? LABEL_W + 20 : 16;
  const top = wide ? 46 : LABEL_H + 64;
  const bottom = 84;
  const r1 = motorMm / 2;
  const r2 = driveMm / 2;
  // One pulley may reach past the other's far side when the shafts are close.
  const leftMm = Math.max(r1, r2 - centreMm, ...others.map(({ xMm, radiusMm }) => radiusMm - xMm)) + beltMm;
  const rightMm = Math.max(r2, r1 - centreMm, ...others.map(({ xMm, radiusMm }) => xMm + radiusMm - centreMm)) + beltMm;
  const upMm = Math.max(r1, r2, ...others.map(({ yMm, radiusMm }) => yMm + radiusMm)) + beltMm;
  const downMm =
    Math.max(Math.max(r1, r2) + sagMm * 0.6, ...others.map(({ yMm, radiusMm }) => radiusMm - yMm)) + beltMm;
  const pxPerMm = Math.min((W - 2 * side) / (leftMm + centreMm + rightMm), (H - top - bottom) / (upMm + downMm), 40);
  const drawnPx = (leftMm + centreMm + rightMm) * pxPerMm;
  const x1 = (W - drawnPx) / 2 + leftMm * pxPerMm;
  const x2 = x1 + centreMm * pxPerMm;
  const y = top + (H - top - bottom - (upMm + downMm) * pxPerMm) / 2 + upMm * pxPerMm;
  const middle = (x1 + x2) / 2;
  const clamp = (value: number, least: number, most: number) => Math.max(least, Math.min(most, value));

  const motorLabel: Box = wide
    ? { x: 8, y: clamp(y - 84, 8, H), w: LABEL_W, h: LABEL_H }
    : { x: clamp(x1 - LABEL_W / 2, 4, W / 2 - LABEL_W - 4), y: 60, w: LABEL_W, h: LABEL_H };
  const driveLabel: Box = wide
    ? { x: W - 8 - LABEL_W, y: clamp(y - 84, 8, H), w: LABEL_W, h: LABEL_H }
    : { x: clamp(x2 - LABEL_W / 2, W / 2 + 4, W - LABEL_W - 4), y: 60, w: LABEL_W, h: LABEL_H };
  const beltWidth = Math.min(260, W - 16);
  const centreLineY = H - bottom + 30;
  return {
    pxPerMm,
    motor: { x: x1, y, r: r1 * pxPerMm },
    drive: { x: x2, y, r: r2 * pxPerMm },
    others: others.map(({ xMm, yMm, radiusMm }) => ({
      x: x1 + xMm * pxPerMm,
      y: y - yMm * pxPerMm,
      r: radiusMm * pxPerMm,
    })),
    motorLabel,
    driveLabel,
    beltLabel: { x: clamp(middle - 18, 8, W - beltWidth - 8), y: 2, w: beltWidth, h: 40 },
    centreLabel: {
      x: clamp(middle - LABEL_W / 2, 4, W - LABEL_W - 4),
      y: centreLineY - LABEL_H / 2,
      w: LABEL_W,
      h: LABEL_H,
    },
    centreLineY,
    bar: { x: 16, y: H - 14, mm: roundLength(pxPerMm, Math.min(110, W / 4)) },
    legend: { x: W / 2, y: H - 28, w: W / 2 - 12, h: 26 },
  };
}

/** Whether two boxes share any of the sheet. */
export const overlap = (a: Box, b: Box): boolean =>
  a.x < b.x + b.w && b.x < a.x + a.w && a.y < b.y + b.h && b.y < a.y + a.h;
