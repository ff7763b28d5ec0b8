import { DRIVEN, isTurned, type Driven } from '@loose-pulley/core/base/loaders';
import type { Cycle, CycleMachine } from '@loose-pulley/core/physics/cycle';
import { beltOutline } from '../../parts/draw/beltOutline';

export const MECHANISM_PX = 176;
const SHAFT = { x: 46, y: 84 } as const;
const SPOKES = 3;
/** How far the strand that is not pulled hangs where the belt passes all that it can. */
const HANGS_PX = 5;
const RPM = (2 * Math.PI) / 60;

/** Angles of the motor and the driven pulley at each sample, rad, summed up from their speeds. */
export function anglesOf({ trace }: Cycle): { readonly motor: Float64Array; readonly driven: Float64Array } {
  const sum = (rpm: Float64Array | undefined): Float64Array => {
    const made = new Float64Array(trace.timeS.length);
    for (let i = 1; i < made.length; i++) {
      const dt = (trace.timeS[i] ?? 0) - (trace.timeS[i - 1] ?? 0);
      made[i] = (made[i - 1] ?? 0) + (((rpm?.[i] ?? 0) + (rpm?.[i - 1] ?? 0)) / 2) * RPM * dt;
    }
    return made;
  };
  return { motor: sum(trace.motorRpm), driven: sum(trace.pulleyRpm[0]) };
}

function Pulley({
  x,
  y,
  r,
  angle,
}: {
  readonly x: number;
  readonly y: number;
  readonly r: number;
  readonly angle: number;
}) {
  return (
    <g>
      <circle cx={x} cy={y} r={r} className="fill-sheet stroke-ink" strokeWidth={1.5} />
      {Array.from({ length: SPOKES }, (_, i) => {
        const at = -angle + (i * 2 * Math.PI) / SPOKES;
        return (
          <line key={i} x1={x} y1={y} x2={x + r * Math.cos(at)} y2={y + r * Math.sin(at)} className="stroke-soft" />
        );
      })}
      <circle cx={x} cy={y} r={2.5} className="fill-ink" />
    </g>
  );
}

/** The mechanism at one moment, from its own figures: pulleys and belt to scale, what they move along its way. */
export function Mechanism({
  cycle,
  machine,
  driven,
  at,
  angles,
  widthPx,
}: {
  readonly cycle: Cycle;
  readonly machine: CycleMachine;
  readonly driven: Driven;
  /** The sample that is shown. */
  readonly at: number;
  readonly angles: ReturnType<typeof anglesOf>;
  readonly widthPx: number;
}) {
  const [belt] = machine.belts;
  const { trace, events } = cycle;
  const { load, endSwitch } = machine;
  const timeS = trace.timeS[at] ?? 0;
  const position = trace.position[at] ?? 0;
  const slipping = events.find((one) => one.kind === 'slips' && timeS >= one.atS && timeS <= one.untilS);
  const turned = isTurned(driven);
  const { word } = DRIVEN[driven];
  const pulleys = belt && drawnPulleys(belt);
  const scale = pulleys ? Math.min(3.2, 170 / pulleys.longMm, 62 / pulleys.tallMm) : 1;
  // The strand that the motor does not pull hangs by as much as it is relieved, drawn larger than it is.
  const pulled = belt && belt.limitN > 0 ? (trace.pullN[0]?.[at] ?? 0) / belt.limitN : 0;
  const hangsPx = (middleYMm: number): number => (middleYMm < 0 === pulled > 0 ? HANGS_PX * Math.abs(pulled) : 0);
  const outline =
    belt &&
    pulleys &&
    beltOutline(
      pulleys.list,
      belt.stretch <= 1 ? (1 - belt.stretch) * pulleys.longMm * 2 + 2 : 0,
      SHAFT,
      scale,
      hangsPx,
    );
  const pace = (angles.driven[at] ?? 0) * (belt?.drivenRadiusMm ?? 0) * scale;
  const wayFrom = widthPx < 560 ? 30 : 290;
  const wayY = widthPx < 560 ? 206 : 96;
  const wayPx = Math.max(60, widthPx - wayFrom - 60);
  const farMm = load.kind === 'travel' ? (load.stopAtMm ?? load.travelMm) : 1;
  const wayX = (mm: number): number => wayFrom + (Math.max(0, mm) / farMm) * (wayPx * 0.55);
  const body = wayPx * 0.4;
  return (
    <g className="text-[13px]">
      {belt && pulleys && (
        <>
          <Pulley x={SHAFT.x} y={SHAFT.y} r={belt.driverRadiusMm * scale} angle={angles.motor[at] ?? 0} />
          <Pulley
            x={SHAFT.x + pulleys.centreMm * scale}
            y={SHAFT.y}
            r={belt.drivenRadiusMm * scale}
            angle={angles.driven[at] ?? 0}
          />
          {outline && (
            <>
              <path d={outline.d} fill="none" className={slipping ? 'stroke-live' : 'stroke-ink'} strokeWidth={4} />
              {/* Marks on the belt go with the pulley that it drives: against the motor's spokes they show a slide. */}
              <path
                d={outline.d}
                fill="none"
                className="stroke-sheet"
                strokeWidth={2}
                strokeDasharray="5 17"
                strokeDashoffset={pace % 22}
              />
            </>
          )}
          <text x={4} y={MECHANISM_PX - 8} className={slipping ? 'fill-live' : 'fill-soft'}>
            {slipping ? 'slips: ' : ''}
            motor {((trace.motorRpm[at] ?? 0) / 60).toFixed(0)} turns a second, pulley{' '}
            {((trace.pulleyRpm[0]?.[at] ?? 0) / 60).toFixed(1)}
          </text>
        </>
      )}
      {turned ? (
        <text x={wayFrom} y={wayY} className="fill-ink">
          {word}, {position.toFixed(1)} turns, {(trace.pulleyRpm[0]?.[at] ?? 0).toFixed(0)} rpm
        </text>
      ) : (
        <g>
          <line x1={wayFrom} x2={wayFrom + wayPx} y1={wayY + 22} y2={wayY + 22} className="stroke-hair" />
          <rect
            x={wayX(position)}
            y={wayY}
            width={body}
            height={22}
            className="fill-sheet stroke-ink"
            strokeWidth={1.5}
          />
          <text x={wayX(position) + 6} y={wayY + 16} className="fill-ink">
            {word}
          </text>
          <text x={wayFrom} y={wayY - 10} className="fill-ink">
            {position.toFixed(0)} of {endSwitch.atMm.toFixed(0)} mm
          </text>
          <line
            x1={wayX(endSwitch.atMm) + body}
            x2={wayX(endSwitch.atMm) + body}
            y1={wayY + 22}
            y2={wayY + 38}
            className="stroke-ink"
          />
          <text x={wayX(endSwitch.atMm) + body - 4} y={wayY + 50} textAnchor="end" className="fill-soft">
            switch
          </text>
          {load.kind === 'travel' && load.stopAtMm !== null && (
            <line
              x1={wayX(load.stopAtMm) + body + 2}
              x2={wayX(load.stopAtMm) + body + 2}
              y1={wayY - 14}
              y2={wayY + 30}
              className="stroke-live"
              strokeWidth={2}
            />
          )}
        </g>
      )}
    </g>
  );
}

/** Pulleys as they are drawn, from spans and radii of the belt that runs on them. */
function drawnPulleys({ driverRadiusMm, drivenRadiusMm, spansMm, stretch }: CycleMachine['belts'][number]) {
  const spanMm = spansMm[0] * Math.max(1, stretch);
  const centreMm = Math.hypot(spanMm, drivenRadiusMm - driverRadiusMm);
  return {
    centreMm,
    longMm: centreMm + driverRadiusMm + drivenRadiusMm,
    tallMm: Math.max(driverRadiusMm, drivenRadiusMm),
    list: [
      { name: 'motor', xMm: 0, yMm: 0, radiusMm: driverRadiusMm, side: 1 as const },
      { name: 'driven', xMm: centreMm, yMm: 0, radiusMm: drivenRadiusMm, side: 1 as const },
    ],
  };
}
