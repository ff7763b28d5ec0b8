import { scaleLinear } from 'd3-scale';
import type { Score } from '@loose-pulley/lab/population';
import { useWidth } from '../../parts/draw/useWidth';

/** Who chooses, in the order in which more is known. */
export const PLAYERS: ReadonlyArray<readonly [player: string, name: string, ours: boolean]> = [
  ['rule:likeForLike', 'like for like', false],
  ['rule:oneUnderString', 'one size under the string', false],
  ['rule:oneUnderBelt', 'one size under the old belt', false],
  ['rule:slightlySmaller', 'a twentieth under the old belt', false],
  ['rule:tenthOff', 'a tenth off the doubled length', false],
  ['single:oldBelt', 'best fixed percentage, old belt', false],
  ['single:string', 'best fixed percentage, string', false],
  ['single:pulleys', 'best fixed percentage, pulleys', false],
  ['ours:oldBelt', 'by chance, old belt alone', true],
  ['ours:string', 'by chance, string only', true],
  ['ours:pulleys', 'by chance, and both pulleys', true],
  ['ours:pull', 'by chance, and the tray’s pull', true],
  ['ours:held', 'by chance, and the tray held', true],
  ['ours:travel', 'by chance, and the tray’s travel', true],
  ['oracle', 'knowing the drive', false],
  ['hindsight', 'knowing its belt too', false],
];
const ROW_PX = 34;
const TOP_PX = 28;

/** How often the first belt bought is right: a dot with two standard errors either way. */
export function ScoreChart({ scores }: { readonly scores: readonly Score[] }) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(760);
  const left = widthPx < 520 ? 14 : 240;
  const x = scaleLinear([0, 1], [left, widthPx - 58]);
  const rows = PLAYERS.flatMap(([player, name, ours]) => {
    const score = scores.find((one) => one.player === player);
    return score ? [{ ...score, name, ours }] : [];
  });
  const heightPx = TOP_PX + rows.length * ROW_PX + (left < 100 ? rows.length * 14 : 0) + 8;
  const pitch = left < 100 ? ROW_PX + 14 : ROW_PX;
  return (
    <div ref={ref} className="min-w-0 overflow-hidden">
      <svg
        width={widthPx}
        height={heightPx}
        role="img"
        aria-label="How often the first belt bought is right, by way of choosing"
      >
        {x.ticks(5).map((tick) => (
          <g key={tick}>
            <path d={`M${x(tick)} ${TOP_PX - 6}V${heightPx}`} className="stroke-hair" />
            <text x={x(tick)} y={14} textAnchor="middle" className="fill-soft text-sm">
              {Math.round(100 * tick)}
            </text>
          </g>
        ))}
        {rows.map(({ player, name, ours, right, std }, index) => {
          const y = TOP_PX + index * pitch + pitch / 2 + (left < 100 ? 8 : 0);
          return (
            <g key={player}>
              <text
                x={left < 100 ? left : left - 12}
                y={left < 100 ? y - 13 : y + 5}
                textAnchor={left < 100 ? 'start' : 'end'}
                className={ours ? 'fill-ink text-[15px] font-bold' : 'fill-ink text-[15px]'}
              >
                {name}
              </text>
              <path
                d={`M${x(Math.max(0, right - 2 * std))} ${y}H${x(Math.min(1, right + 2 * std))}`}
                className={ours ? 'stroke-live' : 'stroke-ink'}
                strokeWidth="2"
              />
              <path
                d={
                  ours
                    ? `M${x(right) - 6} ${y - 6}h12v12h-12Z`
                    : `M${x(right)} ${y}m-5 0a5 5 0 1 0 10 0a5 5 0 1 0 -10 0`
                }
                className={ours ? 'fill-live' : 'fill-ink'}
              />
              <text x={widthPx - 4} y={y + 5} textAnchor="end" className="fill-ink text-[15px] font-semibold">
                {(100 * right).toFixed(0)}
              </text>
            </g>
          );
        })}
      </svg>
    </div>
  );
}
