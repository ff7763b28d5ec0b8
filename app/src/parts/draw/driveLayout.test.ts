import { expect, test } from 'vitest';
import { driveLayout, overlap, type Box, type Circle } from './driveLayout';

/** From the thinnest belt on the smallest loader to a large lift player, and drives that cannot be. */
const drives = [
  ['booth deck', 6, 24.8, 38.2, 1.2, 1.5],
  ['thinnest', 2, 9, 8, 0.5, 0],
  ['large lift player', 18, 90, 240, 3, 20],
  ['equal pulleys', 12, 12, 30, 1, 0],
  ['motor the larger', 40, 6, 40, 1.5, 2],
  ['long and thin', 3, 3, 400, 0.8, 30],
  ['overlapping', 30, 40, 12, 1.2, 0],
  ['one inside the other', 10, 60, 5, 1.2, 0],
] as const;
const sheets = [
  [776, 370],
  [1000, 420],
  [560, 370],
  [520, 400],
  [358, 400],
  [320, 380],
] as const;

const meets = (box: Box, circle: Circle): boolean => {
  const dx = Math.max(box.x - circle.x, 0, circle.x - box.x - box.w);
  const dy = Math.max(box.y - circle.y, 0, circle.y - box.y - box.h);
  return Math.hypot(dx, dy) < circle.r;
};

test.each(sheets.flatMap(([w, h]) => drives.map((drive) => [drive[0], w, h, drive] as const)))(
  '%s on %i × %i: no label meets another or a pulley, and all is on the sheet',
  (_, widthPx, heightPx, [, motorMm, driveMm, centreMm, beltMm, sagMm]) => {
    const layout = driveLayout({ widthPx, heightPx, motorMm, driveMm, centreMm, beltMm, sagMm });
    const { motor, drive, motorLabel, driveLabel, beltLabel, centreLabel, legend, bar, pxPerMm } = layout;
    const barBox: Box = { x: bar.x, y: bar.y - 12, w: bar.mm * pxPerMm + 60, h: 24 };
    const boxes = { motorLabel, driveLabel, beltLabel, centreLabel, legend, barBox };
    const list = Object.entries(boxes);
    for (const [i, [name, box]] of list.entries()) {
      for (const [other, otherBox] of list.slice(i + 1))
        expect(overlap(box, otherBox), `${name} on ${other}`).toBe(false);
      for (const circle of [motor, drive]) expect(meets(box, circle), `${name} on a pulley`).toBe(false);
      expect(box.x).toBeGreaterThanOrEqual(0);
      expect(box.x + box.w).toBeLessThanOrEqual(widthPx);
      expect(box.y + box.h).toBeLessThanOrEqual(heightPx);
    }
    for (const { x, y, r } of [motor, drive]) {
      expect(x - r).toBeGreaterThanOrEqual(0);
      expect(x + r).toBeLessThanOrEqual(widthPx);
      expect(y - r).toBeGreaterThanOrEqual(0);
    }
    expect(drive.r / motor.r).toBeCloseTo(driveMm / motorMm, 6);
  },
);
