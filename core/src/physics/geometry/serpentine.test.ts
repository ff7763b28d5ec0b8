import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { beltPath, type BeltPath, type PathPulley } from '.';

/*
 * Changes in which some pulleys touch the belt's back: no hull, so the reference is the definition itself. Every run must
 * be tangent to both of its pulleys, every arc must join two runs, and the length must answer to a radius by its wrap.
 */
const TURN = 2 * Math.PI;
/** Two large pulleys apart and up to three small ones in the runs between, each on the face or pressed in from behind. */
const loops = fc
  .record({
    r: fc.double({ min: 2, max: 6, noNaN: true }),
    R: fc.double({ min: 8, max: 15, noNaN: true }),
    apart: fc.double({ min: 60, max: 120, noNaN: true }),
    guides: fc.array(
      fc.record({
        along: fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        height: fc.double({ min: 3, max: 30, noNaN: true }),
        radiusMm: fc.double({ min: 1.5, max: 4, noNaN: true }),
        back: fc.boolean(),
        upper: fc.boolean(),
      }),
      { maxLength: 2 },
    ),
  })
  .map(({ r, R, apart, guides }): PathPulley[] => {
    const guide = ({ along, height, radiusMm, back, upper }: (typeof guides)[number], at: number): PathPulley => ({
      name: `guide ${at}`,
      xMm: along * apart,
      // Pressed in from behind it lies near the middle; on the face it props the run outwards.
      yMm: (upper ? 1 : -1) * (back ? height / 5 + radiusMm : 16 + height),
      radiusMm,
      side: back ? -1 : 1,
    });
    const [first, second] = guides;
    return [
      { name: 'motor', xMm: 0, yMm: 0, radiusMm: r, side: 1 },
      ...(first ? [guide({ ...first, upper: false }, 1)] : []),
      { name: 'drive', xMm: apart, yMm: 0, radiusMm: R, side: 1 },
      ...(second ? [guide({ ...second, upper: true }, 2)] : []),
    ];
  });
const laid = (pulleys: readonly PathPulley[]): BeltPath | undefined => {
  const path = beltPath(pulleys);
  return path.ok ? path.value : undefined;
};

describe('loops with pulleys at the belt’s back', () => {
  test('most of them can be laid', () => {
    const some = fc.sample(loops, { numRuns: 200, seed: 5 });
    expect(some.filter(laid).length).toBeGreaterThan(150);
  });
  test('every run touches both its pulleys, square to the radius, on the side that it should', () => {
    fc.assert(
      fc.property(loops, (pulleys) => {
        const path = laid(pulleys);
        path?.spans.forEach((span, i) => {
          const ends = [
            [pulleys[i], span.fromX, span.fromY],
            [pulleys[(i + 1) % pulleys.length], span.toX, span.toY],
          ] as const;
          for (const [pulley, x, y] of ends) {
            if (!pulley) throw new Error('a run without a pulley');
            const [dx, dy] = [x - pulley.xMm, y - pulley.yMm];
            expect(Math.hypot(dx, dy)).toBeCloseTo(pulley.radiusMm, 8);
            expect(dx * Math.cos(span.angleRad) + dy * Math.sin(span.angleRad)).toBeCloseTo(0, 8);
            // The pulley's centre lies to the left of the run where its face is touched.
            const left = -dx * -Math.sin(span.angleRad) + -dy * Math.cos(span.angleRad);
            expect(Math.sign(left)).toBe(pulley.side);
          }
        });
      }),
    );
  });
  test('the length is its runs and its arcs, the arcs taken from where the runs touch', () => {
    fc.assert(
      fc.property(loops, (pulleys) => {
        const path = laid(pulleys);
        if (!path) return;
        const arcs = pulleys.map((pulley, i) => {
          const into = path.spans[(i + pulleys.length - 1) % pulleys.length];
          const out = path.spans[i];
          if (!into || !out) throw new Error('a pulley without its runs');
          const at = (x: number, y: number): number => Math.atan2(y - pulley.yMm, x - pulley.xMm);
          const swept = pulley.side * (at(out.fromX, out.fromY) - at(into.toX, into.toY));
          return pulley.radiusMm * (((swept % TURN) + TURN) % TURN);
        });
        const runs = path.spans.map((span) => Math.hypot(span.toX - span.fromX, span.toY - span.fromY));
        const sum = [...arcs, ...runs].reduce((total, one) => total + one, 0);
        expect(path.lengthMm).toBeCloseTo(sum, 6);
      }),
    );
  });
  test('wraps taken with their sense add up to one turn', () => {
    fc.assert(
      fc.property(loops, (pulleys) => {
        const path = laid(pulleys);
        if (!path) return;
        const turned = path.wrapsRad.reduce((sum, wrap, i) => sum + (pulleys[i]?.side ?? 0) * wrap, 0);
        // A guide that only just leaves its run may be wrapped nearly once round: then whole turns come off.
        expect(Math.cos(turned)).toBeCloseTo(1, 9);
      }),
    );
  });
  test('a radius that grows lengthens the path by its wrap, face or back (central difference)', () => {
    const STEP_MM = 1e-4;
    fc.assert(
      fc.property(loops, fc.nat(3), (pulleys, which) => {
        const path = laid(pulleys);
        // A run of next to nothing bends the length too sharply for a difference to follow.
        if (!path || path.spans.some(({ lengthMm }) => lengthMm < 3)) return;
        const i = which % pulleys.length;
        const grown = (by: number) =>
          laid(pulleys.map((pulley, at) => (at === i ? { ...pulley, radiusMm: pulley.radiusMm + by } : pulley)));
        const [more, less] = [grown(STEP_MM), grown(-STEP_MM)];
        const wrap = path.wrapsRad[i];
        if (!more || !less || wrap === undefined || wrap > TURN - 0.01 || wrap < 0.01) return;
        expect((more.lengthMm - less.lengthMm) / (2 * STEP_MM)).toBeCloseTo(wrap, 4);
      }),
    );
  });
});
