import { describe, expect, test } from 'vitest';
import { asPathPulleys, twoPulleyPath } from '@loose-pulley/core/physics/geometry';
import { beltOutline } from './beltOutline';

const drive = { motorRadiusMm: 3, drivenRadiusMm: 12.5, centreDistanceMm: 40, crossed: false };
const outlined = (of: typeof drive, excessMm = 0) => beltOutline(asPathPulleys(of), excessMm, at, 8);
const at = { x: 100, y: 200 };

/** Length of an outline of lines and arcs, from its own text. */
function drawnLength(d: string): number {
  let [x, y, length] = [0, 0, 0];
  for (const [, command, rest] of d.matchAll(/([MLA])([^MLAZQ]*)/g)) {
    const n = (rest ?? '').trim().split(/\s+/).map(Number);
    const [toX = 0, toY = 0] = n.slice(-2);
    const chord = Math.hypot(toX - x, toY - y);
    if (command === 'L') length += chord;
    if (command === 'A') {
      const [r = 0, , , large = 0] = n;
      const angle = 2 * Math.asin(Math.min(1, chord / 2 / r));
      length += r * (large ? 2 * Math.PI - angle : angle);
    }
    [x, y] = [toX, toY];
  }
  return length;
}

describe('the drawn belt', () => {
  test.each([false, true])('is as long as the computed path, at scale (crossed: %s)', (crossed) => {
    const path = twoPulleyPath({ ...drive, crossed });
    const outline = outlined({ ...drive, crossed });
    expect(drawnLength(outline?.d ?? '') / 8).toBeCloseTo(path.ok ? path.value.lengthMm : 0, 1);
  });
  test('closes where it began', () => {
    const d = outlined(drive)?.d ?? '';
    const [, x0, y0] = /^M([\d.]+) ([\d.]+)/.exec(d) ?? [];
    expect(d.endsWith(`${x0} ${y0}Z`)).toBe(true);
  });
  test('turns outward round an open belt’s pulleys, and the other way round the second of a crossed one', () => {
    const sweeps = (d = '') => [...d.matchAll(/A[\d.]+ [\d.]+ 0 \d (\d)/g)].map(([, sweep]) => sweep);
    expect(sweeps(outlined(drive)?.d)).toEqual(['0', '0']);
    expect(new Set(sweeps(outlined({ ...drive, crossed: true })?.d)).size).toBe(2);
  });
  test('hangs in arcs below its runs when it is too long, and is taut when it is too short', () => {
    const slack = outlined(drive, 2)?.d ?? '';
    const taut = outlined(drive, -2)?.d ?? '';
    expect(slack.match(/Q/g)).toHaveLength(2);
    expect(taut).not.toContain('Q');
    // The point that pulls the first run's arc lies lower on the sheet than the run's own middle.
    const [, , pullY = '0', , endY = '0'] = /Q([\d.]+) ([\d.]+) ([\d.]+) ([\d.]+)/.exec(slack) ?? [];
    const startY = Number(/^M[\d.]+ ([\d.]+)/.exec(slack)?.[1]);
    expect(Number(pullY)).toBeGreaterThan((startY + Number(endY)) / 2);
  });
  test('is not drawn where no belt can run', () => {
    expect(outlined({ ...drive, centreDistanceMm: 5 })).toBeUndefined();
  });
});
