import { beltPath, sagMm, type BeltPath, type PathPulley } from '@loose-pulley/core/physics/geometry';

const n = (value: number): string => value.toFixed(2);

/**
 * An SVG path of a belt: taut runs as lines, a slack belt's excess shared by its runs as shallow arcs hanging down.
 *
 * @param pulleys in the order in which the belt meets them, with the radius of the line that is drawn
 * @param excessMm by how much the belt is too long
 * @param at where the motor's shaft lies on the sheet, px
 * @param hangsPx by how much a run hangs although the belt is taut: the one that is not pulled; by its height, mm
 * @returns undefined where the pulleys cannot be joined
 */
export function beltOutline(
  pulleys: readonly PathPulley[],
  excessMm: number,
  at: { x: number; y: number },
  pxPerMm: number,
  hangsPx: (middleYMm: number) => number = () => 0,
): { d: string; path: BeltPath } | undefined {
  const found = beltPath(pulleys);
  if (!found.ok) return undefined;
  const { spans, wrapsRad } = found.value;
  // y up in the core, down on the sheet.
  const px = (xMm: number, yMm: number): [number, number] => [at.x + xMm * pxPerMm, at.y - yMm * pxPerMm];
  const parts: string[] = [];
  spans.forEach((span, index) => {
    const [x0, y0] = px(span.fromX, span.fromY);
    const [x1, y1] = px(span.toX, span.toY);
    if (index === 0) parts.push(`M${n(x0)} ${n(y0)}`);
    const sagPx =
      excessMm > 0 ? sagMm(span.lengthMm, excessMm / spans.length) * pxPerMm : hangsPx((span.fromY + span.toY) / 2);
    parts.push(
      sagPx > 0 ? `Q${n((x0 + x1) / 2)} ${n((y0 + y1) / 2 + 2 * sagPx)} ${n(x1)} ${n(y1)}` : `L${n(x1)} ${n(y1)}`,
    );
    const next = (index + 1) % spans.length;
    const pulley = pulleys[next];
    const leaving = spans[next];
    if (!leaving || !pulley) return;
    const r = pulley.radiusMm * pxPerMm;
    const [x2, y2] = px(leaving.fromX, leaving.fromY);
    const large = (wrapsRad[next] ?? 0) > Math.PI ? 1 : 0;
    parts.push(`A${n(r)} ${n(r)} 0 ${large} ${pulley.side === 1 ? 0 : 1} ${n(x2)} ${n(y2)}`);
  });
  return { d: `${parts.join('')}Z`, path: found.value };
}
