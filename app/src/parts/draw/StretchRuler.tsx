import { useMemo } from 'react';
import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { ZONE_NAMES, type RulerZone } from '@loose-pulley/core/belts/sizing';
import { formatLength, MM_PER_INCH, type LengthUnit } from '@loose-pulley/core/base/units';
import { rulerLayout, type RulerRow } from './rulerLayout';
import { BeltTick, RulerReading } from './RulerMarks';
import { useRulerWalk } from './useRulerWalk';
import { useWidth } from './useWidth';

interface Props {
  readonly rows: readonly RulerRow[];
  readonly zones: readonly RulerZone[];
  readonly stock: readonly CatalogueBelt[];
  readonly pathMm: number;
  readonly picked: CatalogueBelt | undefined;
  readonly pickedWords: string;
  readonly bestId: string | undefined;
  /** Belts that are in the drawer: their ticks are solid. */
  readonly owned: ReadonlyMap<string, unknown>;
  /** Belts that the bench has ruled out here. */
  readonly forbidden: ReadonlySet<string>;
  readonly unit: LengthUnit;
  readonly onPick: (belt: CatalogueBelt) => void;
  /** The length under the finger while it drags between belts; null once a belt itself is meant. */
  readonly onFree: (lengthMm: number | null) => void;
  readonly freeMm: number | null;
}

const ZONE_FILL: Readonly<Record<RulerZone['zone'], string>> = {
  tooTight: 'fill-none',
  firm: 'fill-zone1',
  snug: 'fill-zone2',
  easy: 'fill-zone1',
  slips: 'fill-none',
};

/** Stretches of a list that hold. @example runsOf([true, true, false, true]) // [[0, 1], [3, 3]] */
function runsOf(list: readonly boolean[]): Array<[first: number, last: number]> {
  const runs: Array<[number, number]> = [];
  list.forEach((holds, index) => {
    const last = runs.at(-1);
    if (!holds) return;
    if (last?.[1] === index - 1) last[1] = index;
    else runs.push([index, index]);
  });
  return runs;
}

/**
 * The stretch ruler: relaxed inner length from left to right. Bars are readings, the heavy line the path, flags the
 * rulesOfThumb' picks, ticks the belts to be had; zones are bounded by the limits. Arrow keys walk the belts; dragging, or
 * Shift with the arrows, goes through every length between.
 */
export function StretchRuler({
  rows,
  zones,
  stock,
  pathMm,
  picked,
  pickedWords,
  bestId,
  owned,
  forbidden,
  unit,
  onPick,
  onFree,
  freeMm,
}: Props) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(776);
  const layout = useMemo(
    () =>
      rulerLayout(
        {
          widthPx,
          rows,
          zones,
          stockMm: [],
          pathMm,
          pickedMm: picked?.innerLengthMm,
          perUnit: unit === 'mm' ? 1 : MM_PER_INCH,
        },
        ZONE_NAMES,
      ),
    [widthPx, rows, zones, pathMm, picked, unit],
  );
  const { scale, heightPx, left, right, axisY, bandTop } = layout;
  const inside = stock.filter(({ innerLengthMm }) => scale(innerLengthMm) >= left && scale(innerLengthMm) <= right);
  const walk = useRulerWalk({ inside, layout, picked, pathMm, freeMm, onPick, onFree });
  const pickedX = picked && scale(picked.innerLengthMm);
  const clip = (x: number) => Math.max(left, Math.min(right, x));
  const wordsW = pickedWords.length * 9;
  /** Where belts are ruled out, one after the other: from the first of a run to the last, and on to the ruler's end. */
  const hatched = runsOf(inside.map(({ id }) => forbidden.has(id))).map(
    ([first, last]) =>
      [
        first === 0 ? left : scale(inside[first]?.innerLengthMm ?? 0),
        last === inside.length - 1 ? right : scale(inside[last]?.innerLengthMm ?? 0),
      ] as const,
  );

  return (
    <div
      ref={ref}
      role="slider"
      tabIndex={0}
      aria-label="Stretch ruler, belts of this section by inner length"
      aria-valuemin={Math.round(inside[0]?.innerLengthMm ?? 0)}
      aria-valuemax={Math.round(inside[inside.length - 1]?.innerLengthMm ?? 0)}
      aria-valuenow={Math.round(picked?.innerLengthMm ?? 0)}
      aria-valuetext={pickedWords}
      className="relative w-full touch-pan-y"
      style={{ height: heightPx }}
      {...walk}
    >
      <svg
        width={widthPx}
        height={heightPx}
        viewBox={`0 0 ${widthPx} ${heightPx}`}
        className="absolute inset-0"
        aria-hidden
      >
        <defs>
          <pattern id="ruled-out" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0V7" className="stroke-soft" strokeWidth="1.6" />
          </pattern>
        </defs>
        {zones.map((zone) => {
          const [from, to] = [clip(scale(zone.fromMm)), clip(scale(zone.toMm))];
          return (
            <rect
              key={zone.zone + zone.fromMm}
              x={from}
              y={bandTop}
              width={Math.max(0, to - from)}
              height={axisY - bandTop}
              className={ZONE_FILL[zone.zone]}
            />
          );
        })}
        {hatched.map(([from, to]) => (
          <g key={from}>
            <rect x={from} y={bandTop} width={Math.max(0, to - from)} height={axisY - bandTop} fill="url(#ruled-out)" />
            <title>Ruled out on this machine</title>
          </g>
        ))}
        {layout.zoneNames.map((name) => (
          <text key={name.text + name.x} x={name.x} y={name.y} textAnchor="middle" className="fill-soft text-sm">
            {name.text}
          </text>
        ))}
        <path d={`M${scale(pathMm)} ${bandTop}V${axisY + 8}`} className="stroke-ink" strokeWidth="2.6" />
        <text
          x={layout.pathName.x}
          y={layout.pathName.y}
          textAnchor={layout.pathName.anchor}
          className="fill-ink text-[15px] font-semibold"
        >
          path {formatLength(pathMm, unit)}
        </text>
        {pickedX !== undefined && pickedX >= left && pickedX <= right && (
          <path d={`M${pickedX} ${bandTop}V${axisY}`} className="stroke-live" strokeWidth="1.8" />
        )}
        {freeMm !== null && (
          <path
            d={`M${scale(freeMm)} ${bandTop}V${axisY + 12}`}
            className="stroke-live"
            strokeWidth="1.4"
            strokeDasharray="3 3"
          />
        )}
        {layout.rows.map((laid) => (
          <RulerReading key={laid.row.id} laid={laid} layout={layout} />
        ))}
        <path d={`M${left} ${axisY}H${right}`} className="stroke-ink" strokeWidth="1.6" />
        {layout.ticks.map(({ x, label, valueMm }) => (
          <g key={valueMm}>
            <path d={`M${x} ${axisY}v${label ? 9 : 5}`} className="stroke-ink" />
            {label && (
              <text x={x} y={axisY + 24} textAnchor="middle" className="fill-ink text-sm">
                {label}
              </text>
            )}
          </g>
        ))}
        {inside.map((belt) => (
          <BeltTick
            key={belt.id}
            x={scale(belt.innerLengthMm)}
            y={axisY}
            chosen={belt.id === picked?.id}
            owned={owned.has(belt.id)}
            best={belt.id === bestId}
            forbidden={forbidden.has(belt.id)}
          />
        ))}
        {picked && pickedX !== undefined && pickedX >= left && pickedX <= right && (
          <g className="text-live">
            <path d={`M${pickedX} ${axisY + 32}l-8 12h16Z`} className="fill-current" />
            <text
              x={Math.max(wordsW / 2 + 4, Math.min(pickedX, widthPx - wordsW / 2 - 4))}
              y={axisY + 64}
              textAnchor="middle"
              className="fill-current text-lg font-semibold"
            >
              {pickedWords}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}
