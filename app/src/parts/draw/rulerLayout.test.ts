import { expect, test } from 'vitest';
import { ZONE_NAMES, type RulerZone } from '@loose-pulley/core/belts/sizing';
import { rulerLayout, type Placed, type RulerRow } from './rulerLayout';

const zonesAt = (pathMm: number, ...bounds: number[]): RulerZone[] => {
  const names = ['tooTight', 'firm', 'snug', 'easy', 'slips'] as const;
  const ends = [0.6, ...bounds, 1.4].map((share) => share * pathMm);
  return names.map((zone, i) => ({ zone, fromMm: ends[i] ?? 0, toMm: ends[i + 1] ?? 0 }));
};
const rows = (pathMm: number): RulerRow[] => [
  { id: '1', label: 'old belt, doubled flat 66.4', valueMm: pathMm * 1.008, halfMm: 1.6, kind: 'reading' },
  { id: '2', label: 'old belt, over a cap 40.8', valueMm: pathMm * 1.0081, halfMm: 1.9, kind: 'reading' },
  { id: '3', label: 'string 129.8', valueMm: pathMm, halfMm: 1.4, kind: 'path' },
  { id: '4', label: 'a tenth off → 120.0', valueMm: pathMm * 0.944, kind: 'rule' },
  { id: '5', label: 'one size down → 124.0', valueMm: pathMm * 0.976, kind: 'rule' },
  { id: '6', label: 'slightly smaller → 120.0', valueMm: pathMm * 0.944, kind: 'rule' },
];
const extent = ({ x, w, anchor }: Placed): readonly [number, number] =>
  anchor === 'start' ? [x, x + w] : anchor === 'end' ? [x - w, x] : [x - w / 2, x + w / 2];
const meet = (a: Placed, b: Placed): boolean => {
  const [[a0, a1], [b0, b1]] = [extent(a), extent(b)];
  return a0 < b1 && b0 < a1 && Math.abs(a.y - b.y) < 14;
};

const cases = [776, 1000, 480, 358, 320].flatMap((widthPx) =>
  (
    [
      [20, 'thinnest'],
      [127.1, 'booth deck'],
      [690, 'large lift player'],
    ] as const
  ).flatMap(([pathMm, name]) =>
    (
      [
        [0.83, 0.86, 0.945, 0.96],
        [0.83, 0.831, 0.832, 0.98],
        [0.94, 0.95, 0.955, 0.96],
      ] as const
    ).map((bounds) => [name, widthPx, pathMm, bounds] as const),
  ),
);

test.each(cases)('%s on %i px: no label of the ruler meets another', (_, widthPx, pathMm, bounds) => {
  for (const perUnit of [1, 25.4]) {
    const layout = rulerLayout(
      {
        widthPx,
        rows: rows(pathMm),
        zones: zonesAt(pathMm, ...bounds),
        stockMm: [],
        pathMm,
        pickedMm: pathMm * 0.91,
        perUnit,
      },
      ZONE_NAMES,
    );
    const labels = [...layout.zoneNames, layout.pathName, ...layout.rows.map(({ label }) => label)];
    labels.forEach((label, i) => {
      const [from, to] = extent(label);
      expect(from, label.text).toBeGreaterThanOrEqual(0);
      expect(to, label.text).toBeLessThanOrEqual(widthPx);
      for (const other of labels.slice(i + 1)) expect(meet(label, other), `${label.text} on ${other.text}`).toBe(false);
    });
    const written = layout.ticks.filter(({ label }) => label);
    written.slice(1).forEach((tick, i) => expect(tick.x - (written[i]?.x ?? 0)).toBeGreaterThan(20));
    expect(written.length).toBeGreaterThanOrEqual(2);
  }
});
