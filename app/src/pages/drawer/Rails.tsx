import { useMemo, type KeyboardEvent } from 'react';
import { railsOf, type BeltFields, type Item } from '@loose-pulley/core/drawer';
import { beltLabel, formatLength, MM_PER_INCH, type LengthUnit } from '@loose-pulley/core/units';
import { LEFT_PX, RAIL_PX, railLayout, type Hung, type HungRail } from '../../parts/book/railLayout';
import { useWidth } from '../../parts/draw/useWidth';

/** A length that something needs: a ticket, or the belt in the hand. */
export interface Needed {
  readonly words: string;
  readonly lengthMm: number;
  readonly belt: BeltFields | null;
}

const SHAPE_WORDS = { square: 'square', round: 'ring', flat: 'flat' } as const;

function railName({ section }: HungRail['rail'], unit: LengthUnit): string {
  const mm = (value: number): string =>
    unit === 'in' ? (value / MM_PER_INCH).toFixed(3) : String(Math.round(100 * value) / 100);
  const width = section.shape === 'flat' && section.widthMm !== null ? `${mm(section.widthMm)} × ` : '';
  return `${section.band ? 'band' : SHAPE_WORDS[section.shape]} ${width}${mm(section.thicknessMm)}`;
}

/** A belt hanging from its rail: solid where there is one, dashed where there is none; how many, and of how many sizes. */
function Belt({
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
  readonly onPick: () => void;
}) {
  const { x, items, quantity, owned } = hung;
  const [one] = items;
  if (!one) return null;
  const several = items.length > 1;
  const words = several
    ? `${items.length} sizes about ${beltLabel(one, 'mm').size}, ${quantity} in the drawer`
    : `${beltLabel(one, 'mm').size}, ${quantity === 0 ? 'none' : quantity} in the drawer${one.label ? `, ${one.label}` : ''}`;
  return (
    <g
      role="button"
      tabIndex={picked || first ? 0 : -1}
      aria-label={words}
      aria-pressed={picked}
      className="drawn-button"
      data-hung
      onClick={onPick}
      onKeyDown={(event) => {
        if (event.key === 'Enter' || event.key === ' ') {
          event.preventDefault();
          onPick();
        }
      }}
    >
      <rect x={x - 9} y={y - 4} width={18} height={RAIL_PX - 10} className="fill-transparent" />
      <path d={`M${x} ${y}v8`} className="stroke-ink" strokeWidth={1} />
      <path
        d={`M${x - 6.5} ${y + 22}a6.5 14 0 1 1 13 0a6.5 14 0 1 1 -13 0`}
        className={picked ? 'fill-sheet stroke-live' : owned ? 'fill-sheet stroke-rubber' : 'fill-sheet stroke-soft'}
        strokeWidth={owned ? 3.2 : 1.3}
        strokeDasharray={owned ? undefined : '2.5 2.5'}
      />
      {(quantity > 1 || several) && (
        <text x={x} y={y + 26.5} textAnchor="middle" className="fill-ink text-[12px] font-semibold">
          {several ? items.length : quantity > 99 ? '+' : quantity}
        </text>
      )}
      {several && <path d={`M${x - 6} ${y + 41}h12`} className="stroke-ink" strokeWidth={2} />}
    </g>
  );
}

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
      ...rail.querySelectorAll<SVGGElement>('[data-hung]'),
    ]);
    const row = groups.findIndex((group) => group.includes(here as SVGGElement));
    const at = groups[row]?.indexOf(here as SVGGElement) ?? 0;
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
        {hung.map(({ rail, y, hung: glyphs }) => (
          <g key={rail.key} data-rail role="group" aria-label={railName(rail, unit)}>
            <text x={LEFT_PX - 6} y={y + 5} textAnchor="end" className="fill-ink text-[15px]">
              {railName(rail, unit)}
            </text>
            <path d={`M${LEFT_PX + 6} ${y}H${widthPx - 8}`} className="stroke-hair" />
            {glyphs.map((one, index) => (
              <Belt
                key={one.items[0]?.id}
                hung={one}
                y={y}
                first={index === 0}
                picked={one.items.some(({ id }) => id === pickedId)}
                onPick={() => onPick(one.items)}
              />
            ))}
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
              <path d={`M${x} ${20 + 0 * index}V${axisY}`} className="stroke-live" strokeWidth={1.6} />
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
