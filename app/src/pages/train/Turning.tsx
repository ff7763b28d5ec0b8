import { Slider } from '../../parts/ui/Slider';
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
      <span className="font-semibold">Turn by hand</span>
      <Slider
        label="Turn by hand"
        value={turns}
        min={0}
        max={most}
        step={0.05}
        valueText={`${turns.toFixed(1)} turns of the motor`}
        className="min-w-48 grow"
        onValue={onTurns}
      />
      <span className="tabular-nums">
        {turns.toFixed(1)} of {most} turns{whole ? `, ${moved} end to end` : ''}
      </span>
      {!calm && <Button onClick={() => setPlays(!plays)}>{plays ? 'Stop' : 'Play'}</Button>}
    </div>
  );
}
