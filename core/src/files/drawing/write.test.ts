import DxfParser from 'dxf-parser';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { extentOf, svgOf, writeDxf, writeSvg, type Drafting } from '.';

const TURN = 2 * Math.PI;
const arcs = fc.record({
  type: fc.constant('arc' as const),
  x: fc.double({ min: -50, max: 50, noNaN: true }),
  y: fc.double({ min: -50, max: 50, noNaN: true }),
  r: fc.double({ min: 0.5, max: 30, noNaN: true }),
  fromRad: fc.double({ min: -TURN, max: TURN, noNaN: true }),
  toRad: fc.double({ min: -TURN, max: TURN, noNaN: true }),
});
const sweepOf = (fromRad: number, toRad: number): number => (((toRad - fromRad) % TURN) + TURN) % TURN;

describe('arcs', () => {
  test('in SVG: both ends lie on the circle, y turned down; the long way round is said when it is the long way', () => {
    fc.assert(
      fc.property(arcs, (arc) => {
        const numbers =
          svgOf(arc)
            .match(/-?\d+(\.\d+)?(e-?\d+)?/g)
            ?.map(Number) ?? [];
        const [x0 = NaN, y0 = NaN, , , , large, clockwise, x1 = NaN, y1 = NaN] = numbers;
        for (const [x, y] of [
          [x0, y0],
          [x1, y1],
        ] as const)
          expect(Math.hypot(x - arc.x, -y - arc.y)).toBeCloseTo(arc.r, 2);
        expect(clockwise).toBe(0);
        const sweep = sweepOf(arc.fromRad, arc.toRad);
        if (Math.abs(sweep - Math.PI) > 1e-6) expect(large).toBe(sweep > Math.PI ? 1 : 0);
      }),
    );
  });
  test('in DXF: degrees between 0 and 360, counter-clockwise as the format has it', () => {
    fc.assert(
      fc.property(arcs, (arc) => {
        // Read by a general parser, which gives angles in radians.
        const [read] = new DxfParser().parseSync(writeDxf({ name: 'a', figures: [arc] }))?.entities ?? [];
        const { startAngle, endAngle } = read as unknown as { readonly startAngle: number; readonly endAngle: number };
        for (const angle of [startAngle, endAngle]) {
          expect(angle).toBeGreaterThanOrEqual(0);
          expect(angle).toBeLessThanOrEqual(TURN);
        }
        expect(Math.cos(endAngle - startAngle - (arc.toRad - arc.fromRad))).toBeCloseTo(1, 9);
      }),
    );
  });
});

test('a drawing’s room holds every figure of it', () => {
  const figures: Drafting['figures'] = [
    { type: 'line', x1: -4, y1: 0, x2: 10, y2: 3 },
    { type: 'circle', x: 20, y: -5, r: 6 },
    { type: 'text', x: 0, y: 12, heightMm: 3, text: '38.2' },
  ];
  const { left, bottom, width, height } = extentOf(figures);
  expect(left).toBeLessThanOrEqual(-4);
  expect(left + width).toBeGreaterThanOrEqual(26);
  expect(bottom).toBeLessThanOrEqual(-11);
  expect(bottom + height).toBeGreaterThanOrEqual(15);
});

test('words of a ticket stay words in the SVG', () => {
  const svg = writeSvg({ name: '"A" <b>', figures: [{ type: 'text', x: 0, y: 0, heightMm: 3, text: '<script>&' }] });
  const control = writeSvg({
    name: 'a\u0000b',
    figures: [{ type: 'text', x: 0, y: 0, heightMm: 3, text: 'c\u0007\nd' }],
  });
  expect(control.replaceAll('\n', '')).not.toMatch(/[\u0000-\u001f]/);
  expect(control).toContain('a b');
  expect(writeDxf({ name: 'x', figures: [{ type: 'text', x: 0, y: 0, heightMm: 3, text: 'c\u0007d' }] })).not.toContain(
    '\u0007',
  );
  expect(svg).toContain('&quot;A&quot; &lt;b&gt;');
  expect(svg).toContain('&lt;script&gt;&amp;');
  expect(svg).not.toContain('<script');
});
