import { memo, useMemo } from 'react';
import { layersOf, openRemoval, type Step } from '@loose-pulley/core/work/strip';
import { useSeen } from '../../parts/draw/useSeen';
import { useWidth } from '../../parts/draw/useWidth';
import { BALLOON_PX, stackLayout, type Slab } from './stackLayout';

/** The top and the two faces of a slab, drawn from the front left. */
function Body({ slab, ground }: { readonly slab: Slab; readonly ground: boolean }) {
  const { x, y, widthPx, depthPx, heightPx } = slab;
  const rise = depthPx * 0.6;
  return (
    <g className={ground ? 'fill-zone2 stroke-ink' : 'fill-sheet stroke-ink'} strokeWidth="1.3" strokeLinejoin="round">
      <path d={`M${x} ${y}l${depthPx} ${-rise}h${widthPx - depthPx}l${-depthPx} ${rise}Z`} />
      <path d={`M${x} ${y}v${heightPx}h${widthPx - depthPx}v${-heightPx}Z`} />
      <path d={`M${x + widthPx - depthPx} ${y}l${depthPx} ${-rise}v${heightPx}l${-depthPx} ${rise}Z`} />
    </g>
  );
}

/** The machine as it comes apart: a slab for what came free, balloons for what freed it. Each balloon leads to its step. */
export const StackDrawing = memo(function StackDrawing({
  steps,
  onChoose,
}: {
  readonly steps: readonly Step[];
  readonly onChoose: (stepId: string) => void;
}) {
  const [ref, widthPx] = useWidth<HTMLDivElement>(320);
  const layers = useMemo(() => layersOf(steps), [steps]);
  const stack = useMemo(() => stackLayout(layers, widthPx), [layers, widthPx]);
  const off = useMemo(() => new Set(steps.filter((step) => openRemoval(step)).map(({ id }) => id)), [steps]);
  const [fromPx, toPx] = useSeen(ref, stack.heightPx);
  const centre = stack.widthPx / 2;
  const seen = (y: number): boolean => y > fromPx && y < toPx;
  return (
    <div ref={ref} className="min-w-0 overflow-hidden">
      <svg
        width={stack.widthPx}
        height={stack.heightPx}
        role="group"
        aria-label={`The machine as it comes apart, ${layers.length} ${layers.length === 1 ? 'layer' : 'layers'}`}
      >
        <path
          d={`M${centre} 4V${stack.heightPx - 4}`}
          className="stroke-soft"
          strokeDasharray="12 4 2 4"
          strokeWidth="0.8"
        />
        {stack.slabs.map((slab, index) => (
          <g key={slab.name + String(index)}>
            {seen(slab.y) && <Body slab={slab} ground={index === stack.slabs.length - 1} />}
            {slab.balloons
              .filter(({ y }) => seen(y))
              .map(({ stepId, number, kind, x, y, toX, toY }) => {
                const isOff = off.has(stepId);
                const screw = kind === 'screws';
                return (
                  <g
                    key={stepId}
                    role="button"
                    tabIndex={0}
                    aria-label={`Number ${number}`}
                    className="cursor-pointer"
                    onClick={() => onChoose(stepId)}
                    onKeyDown={(event) => {
                      if (event.key === 'Enter' || event.key === ' ') {
                        event.preventDefault();
                        onChoose(stepId);
                      }
                    }}
                  >
                    <path d={`M${x} ${y}L${toX} ${toY}`} className="stroke-soft" strokeWidth="0.9" />
                    {screw ? (
                      <path
                        d={`M${toX - 4} ${toY - 7}h8l-2.5 4h-3Z M${toX} ${toY - 3}V${toY + 3}`}
                        className="fill-ink stroke-ink"
                      />
                    ) : (
                      <circle cx={toX} cy={toY} r="2.6" className={kind === 'connector' ? 'fill-live' : 'fill-ink'} />
                    )}
                    <circle
                      cx={x}
                      cy={y}
                      r={BALLOON_PX}
                      strokeWidth="1.5"
                      strokeDasharray={isOff ? undefined : '3 3'}
                      className={kind === 'connector' ? 'fill-sheet stroke-live' : 'fill-sheet stroke-ink'}
                    />
                    <text x={x} y={y + 5} textAnchor="middle" className="fill-ink text-[14px] font-semibold">
                      {number}
                    </text>
                  </g>
                );
              })}
          </g>
        ))}
      </svg>
    </div>
  );
});
