import { polygonArea, polygonContains } from 'd3-polygon';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import {
  centreDistanceMm,
  diameters,
  gearOutline,
  identify,
  inv,
  invInverse,
  leastShift,
  meshCheck,
  meshing,
  SIZES,
  spanMm,
  spanTeeth,
  toothProfile,
  type Gear,
  type Point,
} from '.';

const gear = (teeth: number, moduleMm = 1, shift = 0): Gear => ({ teeth, moduleMm, shift });

describe('the involute function', () => {
  // Tables of involute functions, as handbooks print them to six places.
  test.each([
    [14.5, 0.0055448],
    [15, 0.0061498],
    [20, 0.0149044],
    [22, 0.0200538],
    [25, 0.0299753],
    [30, 0.0537515],
  ])('of %f° is %f', (degrees, value) => expect(inv((degrees * Math.PI) / 180)).toBeCloseTo(value, 6));
  test('and its inverse undo each other', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.001, max: 1.4, noNaN: true }), (angle) => {
        expect(invInverse(inv(angle))).toBeCloseTo(angle, 9);
      }),
    );
    expect(invInverse(0)).toBe(0);
  });
});

describe('spans and diameters', () => {
  // Tables of base tangent lengths for module 1 at 20°, no shift, from handbooks of gear measurement, from memory.
  test.each([
    [12, 2, 4.5963],
    [17, 2, 4.6663],
    [20, 3, 7.6604],
    [24, 3, 7.7165],
    [30, 4, 10.7526],
    [40, 5, 13.8448],
    [60, 7, 20.0292],
    [100, 12, 35.3501],
  ])('%d teeth over %d: %f', (teeth, k, value) => expect(spanMm(gear(teeth), k)).toBeCloseTo(value, 3));
  test('shift adds 2·x·sin α a module, and the count of teeth is the one that handbooks give', () => {
    expect(spanMm(gear(20, 1, 0.5), 3) - spanMm(gear(20), 3)).toBeCloseTo(2 * 0.5 * Math.sin((20 * Math.PI) / 180), 9);
    expect([12, 20, 30, 40].map((z) => spanTeeth(gear(z)))).toEqual([2, 3, 4, 5]);
    expect(diameters(gear(20, 0.5, 0.2))).toMatchObject({ pitchMm: 10, tipMm: 11.2, rootMm: 8.95 });
  });
  test('undercut begins at 17 teeth without shift; ten teeth want 0.415', () => {
    expect(leastShift(gear(18))).toBeLessThan(0);
    expect(leastShift(gear(17))).toBeGreaterThan(0);
    expect(leastShift(gear(10))).toBeCloseTo(0.415, 3);
  });
});

describe('pairs, by worked examples after ISO 21771', () => {
  test('12 and 24 teeth, module 3, shifts 0.6 and 0.36: 56.4999 mm apart at a working angle of 26.0886°', () => {
    const pair = { first: gear(12, 3, 0.6), second: gear(24, 3, 0.36) };
    // A worked example of handbooks of gear design: αw = 26.0886°, a = 56.4999 mm.
    expect(centreDistanceMm(pair)).toBeCloseTo(56.4999, 3);
    expect(meshing(pair)?.contactRatio).toBeGreaterThan(1.1);
  });
  test.each([
    [20, 0, 40, 0, 1.635],
    [17, 0, 17, 0, 1.515],
    [30, 0, 30, 0, 1.654],
    [25, 0, 100, 0, 1.732],
  ])('contact ratio of %d, %f with %d, %f is %f', (z1, x1, z2, x2, ratio) =>
    // By the closed formula for standard gears, tables of handbooks to three places (from memory for the last two).
    expect(meshing({ first: gear(z1, 1, x1), second: gear(z2, 1, x2) })?.contactRatio).toBeCloseTo(ratio, 2),
  );
  test('no contact lies beyond the base tangents: 7 with 63 teeth have 1.04 and not 1.52', () =>
    expect(meshing({ first: gear(7), second: gear(63) })?.contactRatio).toBeCloseTo(1.04, 2));
  test('further apart there is more play and less contact; too near they do not fit', () => {
    const pair = { first: gear(12, 0.8, 0.3), second: gear(30, 0.8) };
    const a = centreDistanceMm(pair);
    const [at, far, near] = [meshing(pair, a), meshing(pair, a + 0.2), meshing(pair, a - 0.1)];
    expect(at?.backlashMm).toBeCloseTo(0, 9);
    expect(far?.backlashMm).toBeGreaterThan(0.1);
    expect(far?.contactRatio ?? 9).toBeLessThan(at?.contactRatio ?? 0);
    expect(near?.backlashMm).toBeLessThan(0);
    expect(meshing(pair, 10)).toBeUndefined();
    expect(meshing({ first: gear(12, 0.8), second: gear(30, 0.5) })).toBeUndefined();
  });
});

/** The width between parallel jaws over k teeth, as a caliper finds it on the outline. */
function spanOf(outline: readonly Point[], of: Gear, k: number): number {
  const base = diameters(of).baseMm / 2;
  // The flanks that face outwards of the first and the last of k teeth; the jaws are square to a tangent of the base circle.
  const middle = ((k - 1) / 2) * ((2 * Math.PI) / of.teeth);
  const direction = [Math.cos(middle), Math.sin(middle)] as const;
  const along = outline.flatMap(([x, y]) => {
    const [high, across] = [-x * Math.sin(middle) + y * Math.cos(middle), x * direction[0] + y * direction[1]];
    // Near the tangent line, and of these teeth alone.
    const own = Math.abs(Math.atan2(across, high)) < (k * Math.PI) / of.teeth;
    return own && Math.abs(high - base) < 0.35 * of.moduleMm ? [across] : [];
  });
  return Math.max(...along) - Math.min(...along);
}

describe('the outline', () => {
  test('is closed, simple and anticlockwise, for every size and 6 to 200 teeth', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 200 }),
        fc.constantFrom(...SIZES.map(({ moduleMm }) => moduleMm)),
        fc.double({ min: 0, max: 0.5, noNaN: true }),
        (teeth, moduleMm, shift) => {
          const outline = gearOutline(gear(teeth, moduleMm, shift), {}, 6);
          expect(outline.every(([x, y]) => Number.isFinite(x) && Number.isFinite(y))).toBe(true);
          // d3-polygon: negative is anticlockwise with y upwards.
          const area = Math.abs(polygonArea(outline as Array<[number, number]>));
          const { rootMm, tipMm } = diameters(gear(teeth, moduleMm, shift));
          expect(area).toBeGreaterThan((Math.PI * rootMm ** 2) / 4);
          expect(area).toBeLessThan((Math.PI * tipMm ** 2) / 4);
          expect(polygonContains(outline as Array<[number, number]>, [0, 0])).toBe(true);
          // Round the centre the outline never turns back further than an undercut does: no loop.
          const whole = outline.reduce((sum, [x, y], at) => {
            const [nx, ny] = outline[(at + 1) % outline.length] ?? [x, y];
            return sum + Math.atan2(x * ny - y * nx, x * nx + y * ny);
          }, 0);
          expect(Math.abs(whole)).toBeCloseTo(2 * Math.PI, 6);
        },
      ),
      { numRuns: 60 },
    );
  });
  test.each([
    [20, 1, 0],
    [30, 0.5, 0.2],
    [24, 0.8, -0.1],
    [40, 0.4, 0],
    [60, 0.3, 0.3],
    [18, 0.6, 0.1],
  ])('of %d teeth, module %f, shift %f has the span of the formula', (teeth, moduleMm, shift) => {
    const of = gear(teeth, moduleMm, shift);
    const { halfAngleRad } = toothProfile(of);
    const k = spanTeeth(of);
    const { baseMm } = diameters(of);
    const half = spanMm(of, k) / 2;
    // The jaws touch where the tangent of the base circle, half the span out, meets the flank.
    const radius = Math.hypot(baseMm / 2, half);
    const angle = ((k - 1) * Math.PI) / teeth + halfAngleRad(radius);
    expect(radius * Math.sin(angle)).toBeCloseTo(half, 6);
    // And as a caliper would find it on the points.
    expect(spanOf(gearOutline(of, {}, 400), of, k)).toBeCloseTo(2 * half, 3);
  });
  /**
   * How wide a tooth is that a rack has rolled out: a point is cut away where any place of the rolling tool covers it. By
   * search over all places, without any formula of the outline.
   */
  const rolled = ({ teeth: z, moduleMm: m, shift: x, pressureAngleRad: alpha = Math.PI / 9 }: Gear, radius: number) => {
    const r = (m * z) / 2;
    const widest = ((Math.PI / 4 - 1.25 * Math.tan(alpha)) * m * Math.cos(alpha)) / (1 - Math.sin(alpha));
    const rounding = Math.min(0.38 * m, widest);
    const [uc, vc] = [
      (Math.PI / 4) * m - 1.25 * m * Math.tan(alpha) - (rounding * (1 - Math.sin(alpha))) / Math.cos(alpha),
      rounding - 1.25 * m,
    ];
    /** Half the tool's width at a height above its reference line. */
    const wide = (v: number): number => {
      if (v < -1.25 * m) return -Infinity;
      if (v < vc - rounding * Math.sin(alpha)) return uc + Math.sqrt(Math.max(0, rounding ** 2 - (v - vc) ** 2));
      return (Math.PI / 4) * m + v * Math.tan(alpha);
    };
    const covers = (psi: number, theta: number): number => {
      const u = radius * Math.sin(psi + theta) - r * theta;
      const v = radius * Math.cos(psi + theta) - r - x * m;
      return v > 1.3 * m ? -Infinity : wide(v) - Math.abs(u);
    };
    const cut = (psi: number): boolean => {
      const span = Math.min(1.2, 14 / z);
      const steps = 400;
      let [best, at] = [-Infinity, 0];
      for (let i = -steps; i <= steps; i++) {
        const here = covers(psi, (span * i) / steps);
        if (here > best) [best, at] = [here, (span * i) / steps];
      }
      for (let width = span / steps; width > 1e-9; width *= 0.6)
        for (const to of [at - width, at + width]) {
          const here = covers(psi, to);
          if (here > best) [best, at] = [here, to];
        }
      return best > 0;
    };
    let [low, high] = [0, Math.PI / z];
    for (let turn = 0; turn < 34; turn++) {
      const middle = (low + high) / 2;
      if (cut(middle)) low = middle;
      else high = middle;
    }
    return Math.PI / z - low;
  };
  test.each([
    [7, 0, 20],
    [10, 0.45, 20],
    [14, 0, 14.5],
    [17, 0, 20],
    [24, 0.3, 20],
    [40, 0, 20],
    [60, 0, 25],
    [90, -0.3, 20],
    [120, 0.4, 14.5],
    [200, 0, 20],
  ])('of %d teeth shifted %f at %f° is what a rolling rack leaves, to 5 µm', (teeth, shift, degrees) => {
    const of: Gear = { teeth, moduleMm: 1, shift, pressureAngleRad: (degrees * Math.PI) / 180 };
    const { halfAngleRad, rootMm, tipMm } = toothProfile(of);
    for (let i = 1; i < 24; i++) {
      const radius = rootMm + ((tipMm - rootMm) * i) / 24;
      expect(Math.abs(radius * (halfAngleRad(radius) - rolled(of, radius))), `at ${radius}`).toBeLessThan(0.005);
    }
  });
  test('has arcs for lands: every point of tip and root lies on its circle, and so do the middles of its chords', () => {
    const of = gear(9, 1, 0.4);
    const { rootMm, tipMm } = toothProfile(of);
    const outline = gearOutline(of);
    const offs = outline.flatMap(([x, y], at) => {
      const [nx, ny] = outline[(at + 1) % outline.length] ?? [x, y];
      const [here, there] = [Math.hypot(x, y), Math.hypot(nx, ny)];
      const middle = Math.hypot((x + nx) / 2, (y + ny) / 2);
      return [rootMm, tipMm].flatMap((circle) =>
        Math.abs(here - circle) < 1e-9 && Math.abs(there - circle) < 1e-9 ? [circle - middle] : [],
      );
    });
    expect(offs.length).toBeGreaterThan(18);
    expect(Math.max(...offs)).toBeLessThan(0.0011);
  });
  test('grows by the shrink that is entered, and its teeth thin by the backlash', () => {
    const of = gear(20, 0.5);
    const [plain, grown] = [gearOutline(of), gearOutline(of, { shrinkPercent: 2 })];
    expect(Math.hypot(...(grown[0] ?? [0, 0]))).toBeCloseTo(1.02 * Math.hypot(...(plain[0] ?? [0, 0])), 9);
    const thin = toothProfile(of, { thinnedMm: 0.1 }).halfAngleRad(5);
    expect(2 * 5 * (toothProfile(of).halfAngleRad(5) - thin)).toBeCloseTo(0.1, 9);
  });
  test.each([
    [20, 0, 40, 0],
    [12, 0.3, 30, 0],
    [10, 0.42, 28, 0.1],
    [8, 0.54, 32, 0.2],
    [17, 0.05, 60, 0],
    [60, -0.2, 80, 0.1],
  ])(
    '%d teeth shifted %f turn with %d shifted %f through a pitch: conjugate to a micrometre, no interference',
    (z1, x1, z2, x2) => {
      const pair = { first: gear(z1, 0.8, x1), second: gear(z2, 0.8, x2) };
      const a = centreDistanceMm(pair);
      const tight = meshCheck(pair, a);
      expect(tight.unevenMm).toBeLessThan(0.001);
      expect(tight.interferes).toBe(false);
      // Thinned by 0.05 mm each, either flank has 0.05·cos 20° along the line of action.
      const { leastMm } = meshCheck(pair, a, [{ thinnedMm: 0.05 }, { thinnedMm: 0.05 }]);
      // A pinion of eight has a tip that comes near its mate’s fillet first.
      if (z1 > 8) expect(leastMm).toBeCloseTo(0.05 * Math.cos((20 * Math.PI) / 180), 4);
      else expect(leastMm).toBeGreaterThan(0.02);
      expect(meshCheck(pair, a - 0.2).interferes).toBe(true);
    },
  );
});

describe('what gear it is', () => {
  const near = (value: number, std = 0.03) => ({ value, std });
  test('by its outside alone it stays open, and says what would tell', () => {
    const { candidates, parting } = identify({ teeth: 24, tipMm: near(13.4, 0.05) });
    expect(candidates.length).toBeGreaterThan(1);
    expect(candidates.reduce((sum, { probability }) => sum + probability, 0)).toBeGreaterThan(0.97);
    expect(parting?.what).toBe('span');
  });
  test('outside and span together name module and shift', () => {
    const truth = gear(24, 0.5, 0.3);
    const { candidates } = identify({
      teeth: 24,
      tipMm: near(diameters(truth).tipMm),
      spanMm: near(spanMm(truth, 4), 0.02),
      spanTeeth: 4,
    });
    expect(candidates[0]?.size.name).toBe('module 0.5');
    expect(candidates[0]?.probability).toBeGreaterThan(0.9);
    expect(candidates[0]?.gear.shift).toBeCloseTo(0.3, 1);
  });
  test('the mate and the distance do it without a span', () => {
    const [truth, mate] = [gear(12, 0.8, 0.3), gear(36, 0.8, 0)];
    const centre = centreDistanceMm({ first: truth, second: mate });
    const { candidates } = identify({
      teeth: 12,
      tipMm: near(diameters(truth).tipMm),
      centreMm: near(centre, 0.05),
      mateTeeth: 36,
      mateTipMm: near(diameters(mate).tipMm),
    });
    expect(candidates[0]?.size.name).toBe('module 0.8');
    expect(candidates[0]?.probability).toBeGreaterThan(0.8);
  });
  test('a true gear is among those named, and stated as sure as it is right', () => {
    let [right, stated, count] = [0, 0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom(0.3, 0.4, 0.5, 0.6, 0.8, 1),
        fc.integer({ min: 8, max: 60 }),
        fc.double({ min: -0.1, max: 0.45, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.double({ min: -1, max: 1, noNaN: true }),
        (moduleMm, teeth, shift, off1, off2) => {
          const truth = gear(teeth, moduleMm, shift);
          const k = spanTeeth(truth);
          const { candidates } = identify({
            teeth,
            tipMm: near(diameters(truth).tipMm + 0.03 * off1),
            spanMm: near(spanMm(truth, k) + 0.02 * off2, 0.02),
            spanTeeth: k,
          });
          expect(candidates.some(({ size }) => size.moduleMm === moduleMm)).toBe(true);
          count += 1;
          stated += candidates[0]?.probability ?? 0;
          right += candidates[0]?.size.moduleMm === moduleMm ? 1 : 0;
        },
      ),
      { numRuns: 200, seed: 20261127 },
    );
    expect(right / count).toBeGreaterThan(stated / count - 0.05);
  });
  test('readings that no size fits name none', () =>
    expect(identify({ teeth: 2, tipMm: near(400) }).candidates).toEqual([]));
});
