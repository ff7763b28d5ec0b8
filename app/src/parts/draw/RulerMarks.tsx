import type { RulerLayout } from './rulerLayout';

/** A reading on its line of the ruler: its bar, its sign, and on which side it lies where the ruler does not reach. */
export function RulerReading({
  laid: { row, y, label },
  layout: { scale, left, right, axisY },
}: {
  readonly laid: RulerLayout['rows'][number];
  readonly layout: RulerLayout;
}) {
  const clip = (at: number) => Math.max(left, Math.min(right, at));
  const x = scale(row.valueMm);
  const off = x < left ? 'left' : x > right ? 'right' : undefined;
  const tone = row.kind === 'odd' ? 'text-live' : 'text-ink';
  return (
    <g className={tone}>
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
        <path d={off === 'left' ? `M${left} ${y}l8 -5v10Z` : `M${right} ${y}l-8 -5v10Z`} className="fill-current" />
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
}

/** A belt to be had: solid where it is in the drawer, heavy where it is the best, broken where it is ruled out. */
export function BeltTick({
  x,
  y,
  chosen,
  owned,
  best,
  forbidden,
}: {
  readonly x: number;
  readonly y: number;
  readonly chosen: boolean;
  readonly owned: boolean;
  readonly best: boolean;
  readonly forbidden: boolean;
}) {
  return (
    <path
      d={`M${x} ${y}l-5 -9h10Z`}
      strokeDasharray={forbidden ? '2 2' : undefined}
      strokeWidth={best ? 2.4 : 1}
      className={
        chosen
          ? owned
            ? 'fill-live stroke-live'
            : 'fill-sheet stroke-live'
          : owned
            ? 'fill-ink stroke-ink'
            : 'fill-sheet stroke-ink'
      }
    />
  );
}
