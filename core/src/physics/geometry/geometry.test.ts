import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { polygonHull, polygonLength } from 'd3-polygon';
import {
  asPathPulleys,
  beltPath,
  checkPulleys,
  ovalPerimeterMm,
  sagMm,
  twoPulleyPath,
  type PathPulley,
  type TwoPulleys,
} from '.';

const lengthOf = (drive: TwoPulleys): number => {
  const path = twoPulleyPath(drive);
  if (!path.ok) throw new Error(path.problem);
  return path.value.lengthMm;
};
const open = (
  motorRadiusMm: number,
  drivenRadiusMm: number,
  centreDistanceMm: number,
  crossed = false,
): TwoPulleys => ({
  motorRadiusMm,
  drivenRadiusMm,
  centreDistanceMm,
  crossed,
});
const drives = fc
  .record({
    r: fc.double({ min: 0.5, max: 40, noNaN: true }),
    R: fc.double({ min: 0.5, max: 40, noNaN: true }),
    gap: fc.double({ min: 0.2, max: 200, noNaN: true }),
  })
  .map(({ r, R, gap }) => open(r, R, r + R + gap));
/** Pulleys round a large circle, small enough that every one lies on the hull, counter-clockwise. */
const convexSets = fc.array(fc.double({ min: 0.5, max: 6, noNaN: true }), { minLength: 3, maxLength: 8 }).map((radii) =>
  radii.map((radiusMm, index): PathPulley => {
    const angle = (2 * Math.PI * index) / radii.length;
    return { name: `pulley ${index}`, xMm: 60 * Math.cos(angle), yMm: 60 * Math.sin(angle), radiusMm, side: 1 };
  }),
);

describe('laws', () => {
  test('the offset rule: a convex path moved outward by δ grows by 2πδ', () => {
    fc.assert(
      fc.property(convexSets, fc.double({ min: 0.1, max: 3, noNaN: true }), (pulleys, delta) => {
        const before = beltPath(pulleys);
        const after = beltPath(pulleys.map((pulley) => ({ ...pulley, radiusMm: pulley.radiusMm + delta })));
        if (!before.ok || !after.ok) throw new Error('convex sets are possible');
        expect(after.value.lengthMm - before.value.lengthMm).toBeCloseTo(2 * Math.PI * delta, 8);
      }),
    );
  });
  test('swapping the pulleys changes nothing', () => {
    fc.assert(
      fc.property(drives, fc.boolean(), (drive, crossed) => {
        const swapped = { ...drive, motorRadiusMm: drive.drivenRadiusMm, drivenRadiusMm: drive.motorRadiusMm, crossed };
        expect(lengthOf({ ...drive, crossed })).toBeCloseTo(lengthOf(swapped), 8);
      }),
    );
  });
  test('wraps of an open belt add up to one turn; a crossed belt wraps both pulleys alike', () => {
    fc.assert(
      fc.property(drives, (drive) => {
        const straight = twoPulleyPath(drive);
        const crossed = twoPulleyPath({ ...drive, crossed: true });
        if (!straight.ok || !crossed.ok) throw new Error('these drives are possible');
        expect(straight.value.wrapsRad.reduce((a, b) => a + b, 0)).toBeCloseTo(2 * Math.PI, 8);
        expect(crossed.value.wrapsRad[0]).toBeCloseTo(crossed.value.wrapsRad[1] ?? 0, 8);
        expect(crossed.value.lengthMm).toBeGreaterThan(straight.value.lengthMm);
      }),
    );
  });
});

describe('against outside figures', () => {
  test('an open path is the convex hull of its circles (reference: d3-polygon on 4,000 points a circle)', () => {
    fc.assert(
      fc.property(convexSets, (pulleys) => {
        const points = pulleys.flatMap(({ xMm, yMm, radiusMm }) =>
          Array.from({ length: 4000 }, (_, i): [number, number] => {
            const a = (2 * Math.PI * i) / 4000;
            return [xMm + radiusMm * Math.cos(a), yMm + radiusMm * Math.sin(a)];
          }),
        );
        const hull = polygonLength(polygonHull(points) ?? []);
        const path = beltPath(pulleys);
        expect(path.ok && path.value.lengthMm).toBeCloseTo(hull, 3);
      }),
      { numRuns: 20 },
    );
  });
  test('wrap of a 6 in driver and 18 in driven pulley 8 ft apart: 3.0165 rad (Shigley, flat-belt example; from memory)', () => {
    const path = twoPulleyPath(open(3 * 25.4, 9 * 25.4, 96 * 25.4));
    expect(path.ok && path.value.wrapsRad[0]).toBeCloseTo(3.0165, 4);
  });
  test('length follows the handbook series 2C + π(D+d)/2 + (D−d)²/4C (Machinery’s Handbook) while D − d is small', () => {
    const [d, D, C] = [20, 26, 80];
    expect(lengthOf(open(d / 2, D / 2, C))).toBeCloseTo(2 * C + (Math.PI * (D + d)) / 2 + (D - d) ** 2 / (4 * C), 3);
  });
  test('equal pulleys: two straight runs and one circumference', () => {
    expect(lengthOf(open(5, 5, 30))).toBeCloseTo(60 + 10 * Math.PI, 10);
  });
  test('the working paper’s own check: 3 / 12.5 / 40 gives 130.962 open and 134.780 crossed', () => {
    expect(lengthOf(open(3, 12.5, 40))).toBeCloseTo(130.962, 3);
    expect(lengthOf(open(3, 12.5, 40, true))).toBeCloseTo(134.78, 3);
    expect(lengthOf(open(3.6, 13.1, 40, true)) - lengthOf(open(3, 12.5, 40, true))).toBeCloseTo(4.764, 3);
  });
  test('an ellipse twice as long as wide: 4·a·E(e), complete elliptic integral 1.2110560 (Abramowitz & Stegun 17.1)', () => {
    expect(ovalPerimeterMm(40, 20)).toBeCloseTo(4 * 20 * 1.211056, 3);
  });
  test('sag of a parabola takes up its excess: 8s²/3L', () => {
    expect((8 * sagMm(38, 1) ** 2) / (3 * 38)).toBeCloseTo(1, 9);
    expect(sagMm(38, -1)).toBe(0);
  });
});

describe('what no mechanism can be', () => {
  test.each([
    [open(0, 12, 40), 'motor pulley'],
    [open(3, -1, 40), 'driven pulley'],
    [open(3, 12, 0), 'distance'],
    [open(10, 12, 15), 'overlap'],
    [open(Number.NaN, 12, 40), 'motor pulley'],
  ])('is refused by name', (drive, words) => {
    const possible = checkPulleys(drive);
    expect(!possible.ok && possible.problem).toContain(words);
  });
  test('rims that all but touch are possible, even with a belt thicker than the gap: it lies on the far sides', () => {
    expect(checkPulleys(open(3, 12, 15.2)).ok).toBe(true);
    expect(twoPulleyPath(open(3.6, 12.6, 15.2)).ok).toBe(true);
    expect(twoPulleyPath(open(3.6, 12.6, 15.2, true)).ok).toBe(false);
  });
  test('a path names the two pulleys that cannot be joined', () => {
    const [motor, drive] = asPathPulleys(open(3, 12, 5));
    const path = beltPath([motor, drive]);
    expect(!path.ok && path.problem).toMatch(/motor pulley and the driven pulley/);
  });
});
