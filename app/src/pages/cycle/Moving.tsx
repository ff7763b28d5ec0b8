import { useEffect, useMemo, useRef, useState } from 'react';
import type { Driven } from '@loose-pulley/core/base/loaders';
import type { Cycle, CycleMachine } from '@loose-pulley/core/physics/cycle';
import { eventWords, isTrouble, type Click } from '@loose-pulley/core/views/cycle';
import { useWidth } from '../../parts/draw/useWidth';
import { Button } from '../../parts/ui/Button';
import { Segments } from '../../parts/ui/Segments';
import { Slider } from '../../parts/ui/Slider';
import { useMedia } from '../../parts/ui/useMedia';
import { anglesOf, Mechanism, MECHANISM_PX } from './Mechanism';
import { Plots, PLOTS_PX, shownUntil, timeScale } from '../../parts/cycles/Plots';

const PACES = [
  ['0.25', '¼'],
  ['0.5', '½'],
  ['1', '1'],
] as const;
type Pace = (typeof PACES)[number][0];
const STEP_S = 0.01;
const NARROW_PX = 560;
const NARROW_WAY_PX = 92;

/** A cycle that moves: drawn from its own figures, played, scrubbed, or stood still at what happens in it. */
export function Moving({
  cycle,
  machine,
  driven,
  watchedS,
  svgId,
  clicks,
}: {
  readonly cycle: Cycle;
  readonly machine: CycleMachine;
  readonly driven: Driven;
  readonly watchedS: number | null;
  readonly svgId: string;
  /** Where a click was heard, as this cycle passes it. */
  readonly clicks: readonly Click[];
}) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(700);
  const still = useMedia('(prefers-reduced-motion: reduce)');
  const [pace, setPace] = useState<Pace>('0.5');
  const [playing, setPlaying] = useState(false);
  const { timeS: times } = cycle.trace;
  const endS = shownUntil(cycle, watchedS);
  const [now, setNow] = useState(0);
  const frame = useRef(0);
  const shownS = Math.min(now, endS);
  useEffect(() => {
    if (!playing) return undefined;
    let before = performance.now();
    const tick = (at: number): void => {
      const more = ((at - before) / 1000) * Number(pace);
      before = at;
      setNow((one) => {
        if (one + more >= endS) setPlaying(false);
        return Math.min(endS, one + more);
      });
      frame.current = requestAnimationFrame(tick);
    };
    frame.current = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame.current);
  }, [playing, pace, endS]);
  const angles = useMemo(() => anglesOf(cycle), [cycle]);
  const at = sampleAt(times, shownS);
  const x = timeScale(endS, widthPx);
  const narrow = widthPx < NARROW_PX;
  const abovePx = MECHANISM_PX + (narrow ? NARROW_WAY_PX : 0);
  const happened = cycle.events.filter(({ atS }) => atS <= shownS + 1e-9).at(-1);
  const lines = [
    ...cycle.events.map((event) => ({ atS: event.atS, words: eventWords(event, driven), trouble: isTrouble(event) })),
    ...clicks.map(({ atS, atMm }) => ({ atS, words: `The click at ${atMm.toFixed(0)} mm`, trouble: true })),
  ].sort((a, b) => a.atS - b.atS);
  const go = (): void => {
    if (!playing && shownS >= endS) setNow(0);
    setPlaying(!playing);
  };
  return (
    <div ref={ref} className="grid gap-2">
      <svg
        id={svgId}
        width={widthPx}
        height={abovePx + PLOTS_PX}
        viewBox={`0 0 ${widthPx} ${abovePx + PLOTS_PX}`}
        role="img"
        aria-label={`The cycle at ${shownS.toFixed(2)} s. ${happened ? eventWords(happened, driven) : 'Nothing has happened yet'}.`}
        className="max-w-full"
      >
        <Mechanism {...{ cycle, machine, driven, at, angles, widthPx }} />
        <g transform={`translate(0 ${abovePx})`}>
          <Plots {...{ cycle, machine, driven, endS, watchedS, widthPx }} />
          <line x1={x(shownS)} x2={x(shownS)} y1={6} y2={PLOTS_PX - 16} className="stroke-ink" strokeWidth={1} />
        </g>
      </svg>
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <Button disabled={still} onClick={go}>
          {playing ? 'Stop' : 'Play'}
        </Button>
        <Segments label="Speed" value={pace} options={PACES} onChoose={setPace} disabled={still} />
        <Slider
          label="Moment"
          value={shownS}
          min={0}
          max={Math.max(STEP_S, Math.floor(endS / STEP_S) * STEP_S)}
          step={STEP_S}
          valueText={`${shownS.toFixed(2)} s`}
          onValue={(value) => {
            setPlaying(false);
            setNow(value);
          }}
          className="min-w-44 grow"
        />
        <span className="w-16 text-right">{shownS.toFixed(2)} s</span>
      </div>
      <ol aria-label="What happens" className="grid gap-0.5">
        {lines.map(({ atS, words, trouble }) => (
          <li key={`${words} ${atS}`}>
            <button
              type="button"
              className="flex min-h-11 w-full items-center gap-4 border-b border-hair text-left hover:bg-paper"
              onClick={() => {
                setPlaying(false);
                setNow(atS);
              }}
            >
              <span className="w-16 shrink-0 text-soft">{atS.toFixed(2)} s</span>
              <span className={trouble ? 'text-live' : ''}>{words}</span>
            </button>
          </li>
        ))}
      </ol>
    </div>
  );
}

function sampleAt(times: Float64Array, timeS: number): number {
  let low = 0;
  let high = times.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((times[middle] ?? 0) <= timeS) low = middle;
    else high = middle - 1;
  }
  return low;
}
