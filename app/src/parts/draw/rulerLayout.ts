import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { RulerZone } from '@loose-pulley/core/belts/sizing';

/** One line of the ruler: a reading as a bar of its uncertainty, or a rule's pick as a flag. */
export interface RulerRow {
  readonly id: string;
  readonly label: string;
  readonly valueMm: number;
  /** Half the bar, two standard uncertainties; absent for a flag. */
  readonly halfMm?: number;
  readonly kind: 'reading' | 'odd' | 'path' | 'bound' | 'rule';
}

export interface RulerInput {
  readonly widthPx: number;
  readonly rows: readonly RulerRow[];
  readonly zones: readonly RulerZone[];
  readonly stockMm: readonly number[];
  readonly pathMm: number;
  readonly pickedMm: number | undefined;
  /** What the ticks are written in. */
  readonly perUnit: number;
}

/** A label with the place it got. */
export interface Placed {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly anchor: 'start' | 'middle' | 'end';
}

export interface RulerLayout {
  readonly scale: ScaleLinear<number, number>;
  readonly heightPx: number;
  readonly left: number;
  readonly right: number;
  readonly axisY: number;
  readonly bandTop: number;
  readonly zoneNames: readonly Placed[];
  readonly pathName: Placed;
  readonly rows: ReadonlyArray<{ readonly row: RulerRow; readonly y: number; readonly label: Placed }>;
  readonly ticks: ReadonlyArray<{ readonly valueMm: number; readonly x: number; readonly label: string | undefined }>;
}

/** Width of a text set condensed: a little generous, so that a real font never overruns it. */
export const textWidth = (text: string, sizePx: number): number => text.length * sizePx * 0.5 + 2;

/** The stretch of lengths that a ruler has to show: path, readings, stock about the pick, a little air. */
export function rulerSpan(
  pathMm: number,
  valuesMm: readonly number[],
  zones: readonly RulerZone[],
): readonly [number, number] {
  // Far-off readings, a wrong belt say, are clipped rather than squeezing everything else.
  const near = valuesMm.filter((mm) => mm > pathMm * 0.7 && mm < pathMm * 1.3);
  const firm = zones.find(({ zone }) => zone !== 'tooTight')?.fromMm ?? pathMm * 0.85;
  const low = Math.min(firm, ...near, pathMm * 0.9);
  const high = Math.max(pathMm * 1.02, ...near);
  const air = (high - low) * 0.07;
  return [low - air, high + air];
}

const NARROW_PX = 560;

/**
 * Lays out the stretch ruler. Wide, every row's label has the left gutter to itself; narrow, it stands above its row.
 * Zone names take a second line where they would meet, so no label can collide.
 */
export function rulerLayout(input: RulerInput, names: Readonly<Record<RulerZone['zone'], string>>): RulerLayout {
  const { widthPx, rows, zones, pathMm, perUnit } = input;
  const wide = widthPx >= NARROW_PX;
  const gutter = Math.max(...rows.map(({ label }) => textWidth(label, 14)), 100) + 22;
  const left = wide ? Math.min(gutter, widthPx * 0.45) : 14;
  const right = widthPx - 18;
  const span = rulerSpan(
    pathMm,
    [...rows.map(({ valueMm }) => valueMm), ...(input.pickedMm ? [input.pickedMm] : [])],
    zones,
  );
  const scale = scaleLinear().domain(span).range([left, right]);

  // Zone names, two lines at most.
  const lines: Placed[][] = [[], []];
  for (const zone of zones) {
    const from = Math.max(scale(zone.fromMm), left);
    const to = Math.min(scale(zone.toMm), right);
    if (to - from < 3) continue;
    const text = names[zone.zone];
    const w = textWidth(text, 14);
    const x = Math.max(left + w / 2, Math.min((from + to) / 2, right - w / 2));
    const line = lines.findIndex((placed) => placed.every((other) => Math.abs(other.x - x) > (other.w + w) / 2 + 6));
    lines[line]?.push({ text, x, y: 15 + line * 17, w, anchor: 'middle' });
  }
  const nameLines = (lines[1]?.length ?? 0) > 0 ? 2 : 1;
  const bandTop = 10 + nameLines * 17;

  // The path's own name, on the side with room.
  const pathX = scale(pathMm);
  const pathText = 'path';
  const pathW = textWidth(`${pathText} 000.0`, 15);
  const pathName: Placed = {
    text: pathText,
    x: pathX + (pathX + pathW + 8 < right ? 7 : -7),
    y: bandTop + 17,
    w: pathW,
    anchor: pathX + pathW + 8 < right ? 'start' : 'end',
  };

  const rowH = wide ? 21 : 38;
  let y = bandTop + 26;
  const placedRows = rows.map((row) => {
    const w = textWidth(row.label, 14);
    const rowY = y + (wide ? rowH / 2 : rowH - 9);
    const label: Placed = wide
      ? { text: row.label, x: left - 14, y: rowY + 5, w, anchor: 'end' }
      : { text: row.label, x: left, y: y + 15, w, anchor: 'start' };
    y += rowH;
    return { row, y: rowY, label };
  });

  const axisY = y + 18;
  const tickMm = scale.ticks(wide ? 9 : 5);
  const unitScale = scaleLinear().domain([span[0] / perUnit, span[1] / perUnit]);
  const values = perUnit === 1 ? tickMm : unitScale.ticks(wide ? 7 : 4).map((value) => value * perUnit);
  let lastEnd = -Infinity;
  const ticks = values.map((valueMm) => {
    const x = scale(valueMm);
    const text = perUnit === 1 ? String(Number(valueMm.toFixed(1))) : (valueMm / perUnit).toFixed(2);
    const w = textWidth(text, 14);
    const fits = x - w / 2 > lastEnd + 6 && x + w / 2 <= widthPx && x - w / 2 >= 0;
    if (fits) lastEnd = x + w / 2;
    return { valueMm, x, label: fits ? text : undefined };
  });
  return {
    scale,
    heightPx: axisY + 72,
    left,
    right,
    axisY,
    bandTop,
    zoneNames: lines.flat(),
    pathName,
    rows: placedRows,
    ticks,
  };
}
