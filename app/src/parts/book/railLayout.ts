import { scaleLinear } from 'd3-scale';
import { lengthOf, type Item, type Rail } from '@loose-pulley/core/shop/drawer';

/** One glyph on a rail: a size, or several that hang too near each other to be told apart. */
export interface Hung {
  readonly x: number;
  readonly items: readonly Item[];
  readonly quantity: number;
  /** At least one of them is in the drawer. */
  readonly owned: boolean;
}

export interface HungRail {
  readonly rail: Rail;
  readonly y: number;
  readonly hung: readonly Hung[];
}

export const RAIL_PX = 58;
export const LEFT_PX = 108;
const RIGHT_PX = 22;
const TOP_PX = 34;
/** Two glyphs nearer than this would lie over each other. */
const APART_PX = 17;
/** The axis reaches a little beyond its first and last belt. */
const MARGIN = 0.04;

/** The range of lengths that a drawer spans, in round tens of millimetres. */
export function spanOf(items: readonly Item[]): readonly [fromMm: number, toMm: number] {
  let [from, to] = [Infinity, -Infinity];
  for (const one of items) {
    const mm = lengthOf(one);
    if (mm < from) from = mm;
    if (mm > to) to = mm;
  }
  if (!Number.isFinite(from)) return [60, 220];
  const margin = Math.max(10, (to - from) * MARGIN);
  return [Math.max(0, Math.floor((from - margin) / 10) * 10), Math.ceil((to + margin) / 10) * 10];
}

/**
 * Where every belt hangs: x by its inner length, a rail for each section. Belts that would lie over each other hang as one.
 * Cost: linear in the items.
 *
 * @param widthPx of the whole drawing
 */
export function railLayout(rails: readonly Rail[], [fromMm, toMm]: readonly [number, number], widthPx: number) {
  const scale = scaleLinear([fromMm, toMm], [LEFT_PX + 14, widthPx - RIGHT_PX]);
  const hung = rails.map((rail, index): HungRail => {
    const glyphs: Array<{ x: number; items: Item[] }> = [];
    for (const item of rail.items) {
      const mm = lengthOf(item);
      if (mm < fromMm || mm > toMm) continue;
      const x = scale(mm);
      const last = glyphs.at(-1);
      if (last && x - last.x < APART_PX) last.items.push(item);
      else glyphs.push({ x, items: [item] });
    }
    return {
      rail,
      y: TOP_PX + index * RAIL_PX,
      hung: glyphs.map(({ x, items }) => {
        const quantity = items.reduce((sum, one) => sum + one.quantity, 0);
        return { x, items, quantity, owned: quantity > 0 };
      }),
    };
  });
  return { scale, rails: hung, heightPx: TOP_PX + rails.length * RAIL_PX + 40, axisY: TOP_PX + rails.length * RAIL_PX };
}
