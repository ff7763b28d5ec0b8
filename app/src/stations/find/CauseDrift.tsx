import { useState } from 'react';
import { causeName, chanceWords } from '@loose-pulley/core/work/diagnosis';
import { useWidth } from '../../parts/draw/useWidth';
import { useTicket } from '../../parts/ticket/useTicket';
import { Button } from '../../parts/ui/Button';
import { cx } from '../../parts/ui/cx';
import { driftAxis, driftScale } from './driftLayout';
import type { Advice } from './useAdviser';
import { VERDICT_STATE_NAMES } from '@loose-pulley/core/record/stations';

const SHOWN = 8;
const ROW_PX = 44;
const MID_PX = ROW_PX / 2;

/**
 * The causes, likeliest first, each on a line of chance: a ring where it stood before any answer, a dot for each answer
 * since, a disc where it stands now. What speaks for a cause moves it to the right, what speaks against it to the left.
 */
export function CauseDrift({
  advice,
  chosen,
  onChoose,
}: {
  readonly advice: Advice;
  readonly chosen: string;
  readonly onChoose: (causeId: string) => void;
}) {
  const { ticket } = useTicket();
  const [ref, widthPx] = useWidth<HTMLDivElement>(420);
  const [all, setAll] = useState(false);
  const { machine, ranked, trail } = advice;
  const rows = all ? ranked : ranked.slice(0, SHOWN);
  const x = driftScale(widthPx);
  const axis = driftAxis(widthPx);
  const latest = trail[ranked[0]?.causeId ?? '']?.length ?? 1;
  return (
    <section aria-labelledby="causes">
      <h3 id="causes" className="pb-1 text-lg">
        What it can be
      </h3>
      <div className="grid grid-cols-[minmax(0,11rem)_minmax(0,1fr)_5.5rem] border-b border-ink max-sm:grid-cols-[minmax(0,1fr)_5.5rem]">
        <span className="max-sm:hidden" />
        <div ref={ref} aria-hidden className="min-w-0">
          <svg width={widthPx} height="24" className="block">
            {axis.map(({ x: at, label }) => (
              <g key={at}>
                <path d={`M${at} 18V24`} className="stroke-soft" />
                {label && (
                  <text x={at} y="14" textAnchor="middle" className="fill-soft text-[13px]">
                    {label}
                  </text>
                )}
              </g>
            ))}
          </svg>
        </div>
        <span />
      </div>
      <ol>
        {rows.map(({ causeId, chance }, place) => {
          const cause = machine.causes.find(({ id }) => id === causeId);
          if (!cause) return null;
          const path = trail[causeId] ?? [];
          const start = x(path[0] ?? chance);
          const now = x(chance);
          const before = path[path.length - 2];
          const moved =
            before === undefined || Math.abs(now - x(before)) < 3 ? '' : now > x(before) ? 'up by it' : 'down by it';
          const verdict = ticket.verdicts.find((one) => one.causeId === causeId);
          const name = causeName(cause, machine.loader);
          const first = place === 0;
          return (
            <li key={causeId}>
              <button
                type="button"
                aria-pressed={chosen === causeId}
                onClick={() => onChoose(causeId)}
                className={cx(
                  'grid w-full grid-cols-[minmax(0,11rem)_minmax(0,1fr)_5.5rem] items-center border-b border-hair text-left max-sm:grid-cols-[minmax(0,1fr)_5.5rem]',
                  chosen === causeId && 'bg-zone1',
                )}
              >
                <span className={cx('py-1 pr-2 leading-tight max-sm:col-span-2', first && 'text-lg font-semibold')}>
                  {name}
                  {verdict && <strong className="block text-sm text-live">{VERDICT_STATE_NAMES[verdict.state]}</strong>}
                </span>
                <svg width={widthPx} height={ROW_PX} aria-hidden className="block min-w-0">
                  {axis.map(({ x: at }) => (
                    <path key={at} d={`M${at} 0V${ROW_PX}`} className="stroke-hair" strokeWidth="0.6" />
                  ))}
                  <path
                    d={`M${start} ${MID_PX}H${now}`}
                    className={first ? 'stroke-live' : 'stroke-ink'}
                    strokeWidth="2"
                  />
                  {path.slice(1, -1).map((step, index) => (
                    <circle key={index} cx={x(step)} cy={MID_PX} r="2" className={first ? 'fill-live' : 'fill-ink'} />
                  ))}
                  <circle cx={start} cy={MID_PX} r="4.5" className="fill-sheet stroke-soft" strokeWidth="1.4" />
                  <circle
                    cx="0"
                    cy={MID_PX}
                    r={first ? 8 : 6}
                    style={{ transform: `translateX(${now}px)` }}
                    className={cx('motion-safe:transition-transform', first ? 'fill-live' : 'fill-ink')}
                  />
                </svg>
                <span className={cx('text-right', first ? 'text-lg font-semibold' : '')}>
                  {chanceWords(chance)}
                  {latest > 1 && moved && <span className="sr-only">, moved {moved} by the last answer</span>}
                </span>
              </button>
            </li>
          );
        })}
      </ol>
      <div className="flex flex-wrap items-center justify-between gap-3 pt-2 text-sm text-soft">
        <span>
          Ring: before any answer. Dots: after each. Disc: now.
          {advice.soundChance > 0.005 && ` Nothing more wrong: ${chanceWords(advice.soundChance)}.`}
        </span>
        {ranked.length > SHOWN && (
          <Button look="quiet" onClick={() => setAll(!all)}>
            {all ? 'The likeliest only' : `All ${ranked.length}`}
          </Button>
        )}
      </div>
    </section>
  );
}
