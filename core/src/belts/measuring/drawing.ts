/* Strokes of the methods' small drawings, as SVG path data. */

export const circle = (x: number, y: number, r: number): string =>
  `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0`;
export const loop = (left: number, right: number, y: number, r: number): string =>
  `M${left} ${y - r}H${right}a${r} ${r} 0 0 1 0 ${2 * r}H${left}a${r} ${r} 0 0 1 0 ${-2 * r}`;
export const jaws = (x1: number, x2: number, y: number, deep: number): string =>
  `M${x1} ${y - deep}V${y + deep}M${x2} ${y - deep}V${y + deep}M${x1 - 14} ${y - deep}H${x2 + 14}`;
