import { memo, startTransition, useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { railsOf, type BeltFields, type Item } from '@loose-pulley/core/shop/drawer';
import { formatLength, MM_PER_INCH, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltLabel, shapeOf } from '@loose-pulley/core/base/shapes';
import { LEFT_PX, railLayout, type Hung, type HungRail } from '../../parts/book/railLayout';
import { useWidth } from '../../parts/draw/useWidth';

/** A length that something needs: a ticket, or the belt in the hand. */
export interface Needed {
  readonly words: string;
  readonly lengthMm: number;
  readonly belt: BeltFields | null;
}

function railName({ section }: HungRail['rail'], unit: LengthUnit): string {
  const mm = (value: number): string =>
    unit === 'in' ? (value / MM_PER_INCH).toFixed(3) : String(Math.round(100 * value) / 100);
  const width = shapeOf(section.shape).hasWidth && section.widthMm !== null ? `${mm(section.widthMm)} × ` : '';
  return `${section.band ? 'band' : shapeOf(section.shape).short} ${width}${mm(section.thicknessMm)}`;
}

/** So many rails fill a screen. */
const FIRST_RAILS = 8;

/** What a glyph stands for, in words. */
function hungWords({ items, quantity }: Hung): string {
  const [one] = items;
  if (!one) return '';
  return items.length > 1
    ? `${items.length} sizes about ${beltLabel(one, 'mm').size}, ${quantity} in the drawer`
    : `${beltLabel(one, 'mm').size}, ${quantity === 0 ? 'none' : quantity} in the drawer${one.label ? `, ${one.label}` : ''}`;
}

/**
 * A belt hanging from its rail: solid where there is one, dashed where there is none. One element each, since a full drawer
 * has a thousand of them; what they share is drawn once for the rail.
 */
const Belt = memo(function Belt({
  hung,
  y,
  picked,
  first,
  onPick,
}: {
  readonly hung: Hung;
  readonly y: number;
  readonly picked: boolean;
  readonly first: boolean;
  readonly onPick: (items: readonly Item[]) => void;
}) {
  const { x, items, owned } = hung;
  return (
    <path
      role="button"
      tabIndex={picked || first ? 0 : -1}
      aria-label={hungWords(hung)}
      aria-pressed={picked}
      data-hung
      d={`M${(x - 6.5).toFixed(1)} ${y + 22}a6.5 14 0 1 1 13 0a6.5 14 0 1 1 -13 0`}
      className={picked ? 'hung hung-picked' : owned ? 'hung hung-owned' : 'hung'}
      onClick={() => onPick(items)}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onPick(items);
        }
      }}
    />
  );
});

/** How many hang there: of one size the pieces, of several the sizes; nothing where it is one. */
const countOf = ({ items, quantity }: Hung): string =>
  items.length > 1 ? String(items.length) : quantity > 99 ? '+' : quantity > 1 ? String(quantity) : '';

/** The drawer as it hangs: one axis of inner length, a rail for each section. Arrow keys go along a rail and between rails. */
export function Rails({
  items,
  span,
  needed,
  pickedId,
  unit,
  onPick,
}: {
  readonly items: readonly Item[];
  readonly span: readonly [number, number];
  readonly needed: readonly Needed[];
  readonly pickedId: string | null;
  readonly unit: LengthUnit;
  readonly onPick: (items: readonly Item[]) => void;
}) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(880);
  const rails = useMemo(() => railsOf(items), [items]);
  const {
    scale,
    rails: hung,
    heightPx,
    axisY,
  } = useMemo(() => railLayout(rails, span, widthPx), [rails, span, widthPx]);
  // What lies below the first screen is drawn a frame later.
  const [whole, setWhole] = useState(false);
  useEffect(() => {
    const frame = requestAnimationFrame(() => startTransition(() => setWhole(true)));
    return () => cancelAnimationFrame(frame);
  }, []);
  const perUnit = unit === 'mm' ? 1 : MM_PER_INCH;
  const ticks = scale
    .copy()
    .domain(span.map((mm) => mm / perUnit))
    .ticks(Math.max(3, Math.floor((widthPx - LEFT_PX) / 90)));
  /** Along a rail by left and right, between rails by up and down. */
  const onKeyDown = (event: KeyboardEvent<SVGSVGElement>): void => {
    const by = { ArrowLeft: [0, -1], ArrowRight: [0, 1], ArrowUp: [-1, 0], ArrowDown: [1, 0] }[event.key];
    const here = (event.target as Element).closest('[data-hung]');
    if (!by || !here) return;
    event.preventDefault();
    const groups = [...event.currentTarget.querySelectorAll('[data-rail]')].map((rail) => [
      ...rail.querySelectorAll<SVGElement>('[data-hung]'),
    ]);
    const row = groups.findIndex((group) => group.includes(here as SVGElement));
    const at = groups[row]?.indexOf(here as SVGElement) ?? 0;
    const next = groups[row + (by[0] ?? 0)];
    next?.[Math.max(0, Math.min(next.length - 1, at + (by[1] ?? 0)))]?.focus();
  };
  return (
    <div ref={ref} className="min-w-0">
      <svg
        width={widthPx}
        height={heightPx}
        role="group"
        aria-label="The drawer, belts by inner length"
        onKeyDown={onKeyDown}
        className="block"
      >
        {(whole ? hung : hung.slice(0, FIRST_RAILS)).map(({ rail, y, hung: glyphs }) => (
          <g key={rail.key} data-rail role="group" aria-label={railName(rail, unit)}>
            <text x={LEFT_PX - 6} y={y + 5} textAnchor="end" className="fill-ink text-[15px]">
              {railName(rail, unit)}
            </text>
            <path d={`M${LEFT_PX + 6} ${y}H${widthPx - 8}`} className="stroke-hair" />
            <path d={glyphs.map(({ x }) => `M${x.toFixed(1)} ${y}v8`).join('')} className="stroke-ink" />
            <path
              d={glyphs
                .flatMap(({ x, items: of }) => (of.length > 1 ? [`M${(x - 6).toFixed(1)} ${y + 41}h12`] : []))
                .join('')}
              className="stroke-ink"
              strokeWidth={2}
            />
            {glyphs.map((one, index) => (
              <Belt
                key={one.items[0]?.id}
                hung={one}
                y={y}
                first={index === 0}
                picked={pickedId !== null && one.items.some(({ id }) => id === pickedId)}
                onPick={onPick}
              />
            ))}
            <text
              aria-hidden
              y={y + 26.5}
              textAnchor="middle"
              className="pointer-events-none fill-ink text-[12px] font-semibold"
            >
              {glyphs.map((one) => {
                const count = countOf(one);
                return count === '' ? null : (
                  <tspan key={one.items[0]?.id} x={one.x.toFixed(1)}>
                    {count}
                  </tspan>
                );
              })}
            </text>
          </g>
        ))}
        <path d={`M${LEFT_PX + 6} ${axisY}H${widthPx - 8}`} className="stroke-ink" />
        {ticks.map((tick) => (
          <g key={tick}>
            <path d={`M${scale(tick * perUnit)} ${axisY}v6`} className="stroke-ink" />
            <text x={scale(tick * perUnit)} y={axisY + 22} textAnchor="middle" className="fill-soft text-[14px]">
              {tick}
            </text>
          </g>
        ))}
        <text x={8} y={axisY + 22} className="fill-soft text-[14px]">
          {`length, ${unit}`}
        </text>
        {needed.map(({ words, lengthMm }, index) => {
          const x = scale(lengthMm);
          if (lengthMm < span[0] || lengthMm > span[1]) return null;
          const end = x > widthPx * 0.62;
          return (
            <g key={`${words} ${lengthMm}`}>
              <path d={`M${x} 20V${axisY}`} className="stroke-live" strokeWidth={1.6} />
              <text
                x={end ? x - 7 : x + 7}
                y={15}
                textAnchor={end ? 'end' : 'start'}
                className="fill-live text-[14px] font-semibold"
              >
                {index === 0 ? `${words} ${formatLength(lengthMm, unit)}` : ''}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
