import { useEffect, useState } from 'react';
import { Button } from '../../parts/ui/Button';
import { useMedia } from '../../parts/ui/useMedia';

/** Turned by hand or played: by whole turns of the motor pulley. */
export function Turning({
  most,
  turns,
  onTurns,
  moved,
  whole,
}: {
  readonly most: number;
  readonly turns: number;
  readonly onTurns: (turns: number) => void;
  readonly moved: string;
  /** The slider runs from end to end. */
  readonly whole: boolean;
}) {
  const calm = useMedia('(prefers-reduced-motion: reduce)');
  const [plays, setPlays] = useState(false);
  useEffect(() => {
    if (!plays) return undefined;
    let last = performance.now();
    let now = turns;
    let frame = requestAnimationFrame(function step(at) {
      // A quarter of a turn a second: what it does can be seen.
      now = (now + (at - last) / 4000) % most;
      last = at;
      onTurns(now);
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
    // Played from where it stands; what it is drawn at meanwhile is its own doing.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [plays, most]);
  return (
    <div className="flex flex-wrap items-center gap-4">
      <label htmlFor="by-hand" className="font-semibold">
        Turn by hand
      </label>
      <input
        id="by-hand"
        type="range"
        min={0}
        max={most}
        step={0.05}
        value={turns}
        className="h-11 min-w-48 grow accent-live"
        aria-valuetext={`${turns.toFixed(1)} turns of the motor`}
        onChange={(event) => onTurns(Number(event.target.value))}
      />
      <span className="tabular-nums">
        {turns.toFixed(1)} of {most} turns{whole ? `, ${moved} end to end` : ''}
      </span>
      {!calm && <Button onClick={() => setPlays(!plays)}>{plays ? 'Stop' : 'Play'}</Button>}
    </div>
  );
}
