import { useMemo, useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { CatalogueBelt } from '@loose-pulley/core/belts/catalogue';
import { ZONE_NAMES, type RulerZone } from '@loose-pulley/core/belts/sizing';
import { formatLength, MM_PER_INCH, type LengthUnit } from '@loose-pulley/core/base/units';
import { rulerLayout, type RulerRow } from './rulerLayout';
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

/** What Shift and an arrow key move by, between the belts. */
const FREE_STEP_MM = 0.5;
/** A tap that trembles by less than this still means the belt. */
const DRAG_PX = 5;

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
  const index = inside.findIndex(({ id }) => id === picked?.id);
  const downX = useRef(0);
  const pick = (at: number): void => {
    const belt = inside[Math.max(0, Math.min(inside.length - 1, at))];
    if (belt) onPick(belt);
  };
  const nearest = (mm: number): number => {
    const distances = inside.map(({ innerLengthMm }) => Math.abs(innerLengthMm - mm));
    return distances.indexOf(Math.min(...distances));
  };
  const free = (mm: number): void => {
    const within = Math.max(scale.invert(left), Math.min(scale.invert(right), mm));
    onFree(Math.round(within * 10) / 10);
    pick(nearest(within));
  };
  const onKeyDown = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -FREE_STEP_MM, ArrowRight: FREE_STEP_MM }[event.key];
    if (event.shiftKey && by !== undefined) {
      event.preventDefault();
      return free((freeMm ?? picked?.innerLengthMm ?? pathMm) + by);
    }
    if (event.key === 'Escape') return onFree(null);
    const to = {
      ArrowLeft: index - 1,
      ArrowDown: index - 1,
      ArrowRight: index + 1,
      ArrowUp: index + 1,
      Home: 0,
      End: inside.length - 1,
    }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    onFree(null);
    pick(to);
  };
  const onPointer = (event: PointerEvent<HTMLDivElement>): void => {
    const mm = scale.invert(event.clientX - event.currentTarget.getBoundingClientRect().left);
    if (event.type === 'pointerdown') {
      downX.current = event.clientX;
      onFree(null);
      pick(nearest(mm));
    } else if (event.buttons === 1 && (freeMm !== null || Math.abs(event.clientX - downX.current) > DRAG_PX)) free(mm);
  };
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
      onKeyDown={onKeyDown}
      onPointerDown={onPointer}
      onPointerMove={onPointer}
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
        {layout.rows.map(({ row, y, label }) => {
          const x = scale(row.valueMm);
          const off = x < left ? 'left' : x > right ? 'right' : undefined;
          const tone = row.kind === 'odd' ? 'text-live' : 'text-ink';
          return (
            <g key={row.id} className={tone}>
              <text
                x={label.x}
                y={label.y}
                textAnchor={label.anchor}
                className={`text-sm ${row.kind === 'rule' ? 'fill-soft' : 'fill-current'} ${label.anchor === 'start' ? 'stroke-sheet [stroke-width:4px] [paint-order:stroke]' : ''}`}
              >
                {label.text}
                {row.kind === 'odd' ? ' (odd one)' : ''}
              </text>
              <path d={`M${left} ${y}H${right}`} className="stroke-hair" strokeWidth="0.6" />
              {off && (
                <path
                  d={off === 'left' ? `M${left} ${y}l8 -5v10Z` : `M${right} ${y}l-8 -5v10Z`}
                  className="fill-current"
                />
              )}
              {!off && row.kind === 'bound' && (
                <path
                  d={`M${x} ${y - 6}v12M${x} ${y}h26m-7 -4l7 4l-7 4`}
                  fill="none"
                  className="stroke-current"
                  strokeWidth="2"
                />
              )}
              {!off && row.kind !== 'bound' && row.halfMm !== undefined && (
                <>
                  <path
                    d={`M${clip(scale(row.valueMm - row.halfMm))} ${y}H${clip(scale(row.valueMm + row.halfMm))}`}
                    className="stroke-soft"
                    strokeWidth="5"
                    opacity="0.55"
                  />
                  {row.kind === 'path' ? (
                    <path d={`M${x} ${y - 5.5}l5.5 5.5l-5.5 5.5l-5.5 -5.5Z`} className="fill-current" />
                  ) : (
                    <circle cx={x} cy={y} r="4.5" className="fill-current" />
                  )}
                </>
              )}
              {!off && row.halfMm === undefined && (
                <>
                  <path d={`M${x} ${y - 8}V${axisY}`} className="stroke-soft" strokeWidth="0.8" strokeDasharray="2 2" />
                  <path d={`M${x} ${y - 8}h10l-3 4l3 4h-10Z`} className="fill-soft" />
                </>
              )}
            </g>
          );
        })}
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
        {inside.map((belt) => {
          const x = scale(belt.innerLengthMm);
          const chosen = belt.id === picked?.id;
          return (
            <path
              key={belt.id}
              d={`M${x} ${axisY}l-5 -9h10Z`}
              strokeDasharray={forbidden.has(belt.id) ? '2 2' : undefined}
              strokeWidth={belt.id === bestId ? 2.4 : 1}
              className={
                chosen
                  ? owned.has(belt.id)
                    ? 'fill-live stroke-live'
                    : 'fill-sheet stroke-live'
                  : owned.has(belt.id)
                    ? 'fill-ink stroke-ink'
                    : 'fill-sheet stroke-ink'
              }
            />
          );
        })}
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
