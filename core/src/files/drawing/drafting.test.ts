import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fitBelt, innerPath, type Drive } from '../../physics/drive';
import {
  alongOf,
  draftBar,
  draftBelt,
  draftDrive,
  draftScale,
  extentOf,
  gapAt,
  tiles,
  writeDxf,
  writeSvg,
  type Drafting,
  type Figure,
} from '.';

const flat = { form: 'flat' } as const;
const drive: Drive = {
  motorPulley: { bottomDiameterMm: 6, groove: flat },
  drivenPulley: { bottomDiameterMm: 25, groove: flat },
  centreDistanceMm: 40,
  crossed: false,
};
const lift: Drive = {
  ...drive,
  idlers: [
    { name: 'guide', xMm: 20, yMm: 2, bottomDiameterMm: 5, groove: flat, back: true, driven: false, after: 'driven' },
    { name: 'cam', xMm: 22, yMm: -18, bottomDiameterMm: 8, groove: flat, back: false, driven: true, after: 'motor' },
  ],
};
const drafted = (of: Drive, belt?: Parameters<typeof draftDrive>[1]): Drafting => {
  const done = draftDrive(of, belt, 'drive A');
  if (!done.ok) throw new Error(done.problem);
  return done.value;
};
const TURN = 2 * Math.PI;
/** Lines and arcs of the belt, added up: crosses at the shafts are 4 mm long and left out. */
const lengthOf = (figures: readonly Figure[]): number =>
  figures.reduce((sum, figure) => {
    if (figure.type === 'arc') return sum + figure.r * ((((figure.toRad - figure.fromRad) % TURN) + TURN) % TURN);
    if (figure.type !== 'line') return sum;
    const length = Math.hypot(figure.x2 - figure.x1, figure.y2 - figure.y1);
    return Math.abs(length - 4) < 1e-9 ? sum : sum + length;
  }, 0);

describe('the drive drawn', () => {
  test.each([
    ['open', drive],
    ['crossed', { ...drive, crossed: true }],
    ['of four pulleys, one on its back', lift],
  ])('%s: its lines and arcs are as long as its path', (_, of) => {
    const path = innerPath(of);
    expect(path.ok).toBe(true);
    expect(lengthOf(drafted(of).figures)).toBeCloseTo(path.ok ? path.value.lengthMm : 0, 6);
  });
  test('a third pulley in a vee, and a belt in it: no arc is lost, on paper and in both files', () => {
    const vee = { form: 'vee', angleRad: Math.PI / 3 } as const;
    const of: Drive = {
      ...drive,
      motorPulley: { bottomDiameterMm: 6, groove: vee },
      idlers: [
        { name: 'cam', xMm: 22, yMm: -18, bottomDiameterMm: 8, groove: vee, back: false, driven: true, after: 'motor' },
      ],
    };
    const belt = { shape: 'round', thicknessMm: 1.78, innerLengthMm: 118 } as const;
    const fitted = fitBelt(of, belt);
    if (!fitted.ok) throw new Error(fitted.problem);
    const done = drafted(of, belt);
    expect(done.figures.filter(({ type }) => type === 'arc')).toHaveLength(3);
    expect(lengthOf(done.figures)).toBeCloseTo(fitted.value.centreLine.lengthMm, 6);
    const arcs = new DxfParser().parseSync(writeDxf(done))?.entities.filter(({ type }) => type === 'ARC');
    expect(arcs).toHaveLength(3);
    expect(writeSvg(done).match(/A\d/g)).toHaveLength(3);
  });
  test('with a belt its line runs half a section outside the bottoms', () => {
    const { figures } = drafted(drive, { shape: 'square', thicknessMm: 1.2, innerLengthMm: 118 });
    const radii = figures.flatMap((figure) => (figure.type === 'arc' ? [figure.r] : []));
    expect(radii.every((r) => r > 3)).toBe(true);
    expect(Math.min(...radii)).toBeCloseTo(3 + 0.57, 2);
  });
  test('a drive that cannot be is refused', () => {
    expect(draftDrive({ ...drive, centreDistanceMm: 8 }, undefined, '').ok).toBe(false);
  });
});

describe('files', () => {
  const belt = draftBelt({ shape: 'square', thicknessMm: 1.2, innerLengthMm: 116 }, '1.2 × 116 & more');
  test('DXF, read by a general parser (dxf-parser): the same figures in millimetres', () => {
    const read = new DxfParser().parseSync(writeDxf(belt));
    expect(read?.header.$INSUNITS).toBe(4);
    const kinds = read?.entities.map(({ type }) => type).sort();
    expect(kinds).toEqual(['CIRCLE', 'CIRCLE', 'LINE', 'LINE', 'LINE', 'LINE', 'LINE', 'TEXT']);
    const circles = read?.entities.flatMap((one) => ('radius' in one ? [Number(one.radius)] : []));
    expect(circles?.[0]).toBeCloseTo(116 / TURN, 9);
    const arcs = new DxfParser().parseSync(writeDxf(drafted(drive)))?.entities.filter(({ type }) => type === 'ARC');
    expect(arcs).toHaveLength(2);
  });
  test('SVG at 1:1: its size in millimetres is that of its view, and words are escaped', () => {
    const svg = writeSvg(belt);
    const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? [];
    expect(svg).toContain(`${width} ${height}">`);
    expect(svg).toContain('1.2 × 116 &amp; more');
    expect(svg).not.toMatch(/NaN/);
  });
});

describe('sheets', () => {
  test('cover the whole drawing, and overlap where they meet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 900, noNaN: true }),
        fc.double({ min: 20, max: 900, noNaN: true }),
        (width, height) => {
          const extent = { left: -30, bottom: 12, width, height };
          const cut = tiles(extent, { widthMm: 180, heightMm: 240 });
          const right = Math.max(...cut.map((tile) => tile.left + tile.width));
          expect(right).toBeGreaterThanOrEqual(extent.left + width - 1e-9);
          expect(Math.min(...cut.map(({ bottom }) => bottom))).toBeLessThanOrEqual(extent.bottom + 1e-9);
          for (const one of cut) {
            const next = cut.find(({ column, row }) => column === one.column + 1 && row === one.row);
            if (next) expect(next.left).toBeLessThanOrEqual(one.left + one.width - 9.9);
          }
        },
      ),
    );
  });
  test('the bar is as long as it says', () => {
    expect(extentOf(draftBar(0, 0, 100), 0).width).toBeGreaterThanOrEqual(100);
    expect(draftBar(0, 0, 100)[0]).toMatchObject({ x1: 0, x2: 100 });
  });
});

describe('the paper scale', () => {
  const { figures } = draftScale();
  test('fits one sheet of A4 or Letter with its bar', () => {
    const { left, bottom } = extentOf(figures);
    const whole = extentOf([...figures, ...draftBar(left + 4, bottom - 6, 100)]);
    expect(tiles(whole, { widthMm: 180, heightMm: 215 })).toHaveLength(1);
  });
  test('where a belt just fills the wedge its section is written', () => {
    for (const section of [0.5, 1.2, 1.78, 4]) expect(gapAt(alongOf(section))).toBeCloseTo(section, 12);
    const mark = figures.find((one) => one.type === 'text' && one.text === '1.5');
    expect(mark?.type === 'text' && gapAt(mark.x)).toBeCloseTo(1.5, 1);
  });
  test('law: each circle is as wide as it says, from 4 to 60 mm', () => {
    const drawn = figures.flatMap((one) => (one.type === 'circle' ? [2 * one.r] : []));
    expect(drawn).toEqual(Array.from({ length: 29 }, (_, at) => 4 + 2 * at));
  });
});
