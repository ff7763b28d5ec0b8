import { lazy, Suspense } from 'react';
import { beltOrder, touchedSide } from '@loose-pulley/core/physics/drive';
import { asPathPulleys, sagMm, type PathPulley } from '@loose-pulley/core/physics/geometry';
import { formatLength, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltOutline } from './beltOutline';
import type { Box, Circle } from './driveLayout';
import type { DrawnDrive } from './drawnDrive';
import type { DrawnIdler } from './drawnIdler';
import type { LaidOut } from './layOutDrive';

// Few drives have more than two pulleys.
const IdlerDrawing = lazy(async () => ({ default: (await import('./IdlerDrawing')).IdlerDrawing }));

interface Props {
  readonly drawn: DrawnDrive;
  readonly laid: LaidOut;
  readonly unit: LengthUnit;
  readonly widthPx: number;
  readonly heightPx: number;
  readonly onMove?: ((id: string, xMm: number, yMm: number) => void) | undefined;
}

/** A dimension through a circle: from its label, through the centre, arrows at both rims. */
function Diameter({
  circle,
  from,
  ghost,
}: {
  readonly circle: Circle;
  readonly from: { x: number; y: number };
  readonly ghost: boolean;
}) {
  const dx = circle.x - from.x;
  const dy = circle.y - from.y;
  const length = Math.hypot(dx, dy) || 1;
  const [ux, uy] = [dx / length, dy / length];
  const near = { x: circle.x - ux * circle.r, y: circle.y - uy * circle.r };
  const far = { x: circle.x + ux * circle.r, y: circle.y + uy * circle.r };
  const small = circle.r < 14;
  const arrow = (at: { x: number; y: number }, way: 1 | -1) => {
    const back = { x: at.x - way * ux * 9, y: at.y - way * uy * 9 };
    return `M${at.x} ${at.y}L${back.x - uy * 2.6} ${back.y + ux * 2.6}L${back.x + uy * 2.6} ${back.y - ux * 2.6}Z`;
  };
  const end = small ? { x: far.x + ux * 20, y: far.y + uy * 20 } : far;
  return (
    <g className={ghost ? 'text-soft' : 'text-ink'} opacity={ghost ? 0.6 : 1}>
      <path d={`M${from.x} ${from.y}L${end.x} ${end.y}`} className="stroke-current" />
      <path d={arrow(near, small ? 1 : -1)} className="fill-current" />
      <path d={arrow(far, small ? -1 : 1)} className="fill-current" />
    </g>
  );
}

/** A pulley: groove bottom, rim hinted, shaft and chain-dotted centre lines. */
function PulleyCircle({
  circle,
  ghost,
  wrong,
}: {
  readonly circle: Circle;
  readonly ghost: boolean;
  readonly wrong: boolean;
}) {
  const reach = circle.r + 12;
  return (
    <g>
      <path
        d={`M${circle.x - reach} ${circle.y}H${circle.x + reach}M${circle.x} ${circle.y - reach}V${circle.y + reach}`}
        className="stroke-soft"
        strokeWidth="0.8"
        strokeDasharray="12 3 2 3"
      />
      <circle
        cx={circle.x}
        cy={circle.y}
        r={circle.r}
        fill="none"
        className={wrong ? 'stroke-live' : ghost ? 'stroke-soft' : 'stroke-ink'}
        strokeWidth="1.6"
        strokeDasharray={ghost ? '5 4' : undefined}
      />
      <circle
        cx={circle.x}
        cy={circle.y}
        r={Math.max(2, Math.min(9, circle.r * 0.16))}
        className={ghost ? 'fill-soft' : 'fill-ink'}
      />
    </g>
  );
}

/** All pulleys in belt order, the idlers grown as the motor's line is. */
function withIdlers(
  [motor, driven]: readonly PathPulley[],
  idlers: readonly DrawnIdler[],
  grownMm: number,
): PathPulley[] {
  if (!motor || !driven) return [];
  return beltOrder(motor, driven, idlers, ({ after }) => after).map((one) =>
    'side' in one
      ? one
      : {
          name: one.name,
          xMm: one.xMm,
          yMm: one.yMm,
          radiusMm: one.radiusMm + grownMm,
          side: touchedSide(driven.side === -1, one),
        },
  );
}

/** The lines of the drive drawing. What is not measured yet is a ghost; what cannot be is drawn as far as it can. */
export function DriveSheet({ drawn, laid, unit, widthPx, heightPx, onMove }: Props) {
  const { layout, motorMm, driveMm, centreMm, oldExcessMm } = laid;
  const { pxPerMm, motor, drive, motorLabel, driveLabel, centreLineY, bar, beltLabel, legend } = layout;
  const complete =
    drawn.motorMm !== undefined && drawn.driveMm !== undefined && drawn.centreMm !== undefined && !drawn.impossible;
  const outline = (motorRadiusMm: number, drivenRadiusMm: number, excessMm: number) =>
    complete
      ? beltOutline(
          withIdlers(
            asPathPulleys({ motorRadiusMm, drivenRadiusMm, centreDistanceMm: centreMm, crossed: drawn.crossed }),
            drawn.others,
            motorRadiusMm - motorMm / 2,
          ),
          excessMm,
          motor,
          pxPerMm,
        )
      : undefined;
  const half = (drawn.old?.thicknessMm ?? 0) / 2;
  const bare = outline(motorMm / 2, driveMm / 2, 0);
  const belt = drawn.belt && outline(drawn.belt.motorRadiusMm, drawn.belt.drivenRadiusMm, 0);
  const old = drawn.old && outline(motorMm / 2 + half, driveMm / 2 + half, oldExcessMm);
  const upper = (belt ?? old ?? bare)?.path.spans[1];
  const target = upper && {
    x: motor.x + ((upper.fromX + upper.toX) / 2) * pxPerMm,
    y:
      motor.y -
      ((upper.fromY + upper.toY) / 2) * pxPerMm +
      (belt ? 0 : sagMm(upper.lengthMm, oldExcessMm / 2) * pxPerMm),
  };
  const balloon = { x: beltLabel.x + 18, y: beltLabel.y + 20 };
  const wide = motorLabel.y !== 60 || widthPx >= 560;
  const leaderFrom = (box: Box, end: 'left' | 'right') =>
    wide
      ? { x: end === 'right' ? box.x + box.w : box.x, y: box.y + box.h / 2 }
      : { x: box.x + box.w / 2, y: box.y + box.h };

  return (
    <svg
      width={widthPx}
      height={heightPx}
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      className="absolute inset-0"
      role={drawn.others.length > 0 && onMove ? 'group' : 'img'}
      aria-label={describeDrawing(drawn, unit)}
    >
      <PulleyCircle circle={motor} ghost={drawn.motorMm === undefined} wrong={drawn.impossible} />
      <PulleyCircle circle={drive} ghost={drawn.driveMm === undefined} wrong={drawn.impossible} />
      <Suspense fallback={null}>
        {drawn.others.map((other, index) => {
          const circle = layout.others[index];
          return (
            circle && (
              <IdlerDrawing
                key={other.id}
                other={other}
                circle={circle}
                pxPerMm={pxPerMm}
                wrong={drawn.impossible}
                onMove={onMove}
              />
            )
          );
        })}
      </Suspense>
      {!belt && bare && <path d={bare.d} fill="none" className="stroke-soft" strokeWidth="1" />}
      {belt && drawn.belt && (
        <>
          <path
            d={belt.d}
            fill="none"
            className="stroke-rubber"
            strokeLinejoin="round"
            strokeWidth={Math.max(2.5, drawn.belt.thicknessMm * pxPerMm)}
          />
          <path d={belt.d} fill="none" className="stroke-paper" strokeWidth="0.8" strokeDasharray="3 4" opacity="0.6" />
        </>
      )}
      {old && <path d={old.d} fill="none" className="stroke-live" strokeWidth="2" strokeDasharray="7 5" />}
      <Diameter circle={motor} from={leaderFrom(motorLabel, 'right')} ghost={drawn.motorMm === undefined} />
      <Diameter circle={drive} from={leaderFrom(driveLabel, 'left')} ghost={drawn.driveMm === undefined} />
      <g className={drawn.impossible ? 'text-live' : 'text-ink'}>
        <path
          d={`M${motor.x} ${motor.y + 8}V${centreLineY + 8}M${drive.x} ${drive.y + 8}V${centreLineY + 8}`}
          className="stroke-soft"
          strokeWidth="0.8"
        />
        <path d={`M${motor.x} ${centreLineY}H${drive.x}`} className="stroke-current" />
        <path d={`M${motor.x} ${centreLineY}l9 -3v6ZM${drive.x} ${centreLineY}l-9 -3v6Z`} className="fill-current" />
      </g>
      {target && (belt || old) && (
        <g>
          <path
            d={`M${balloon.x} ${balloon.y}${wide ? '' : `L${widthPx / 2} 56V106`}L${target.x} ${target.y}`}
            fill="none"
            className="stroke-ink"
            strokeWidth="0.9"
          />
          <circle cx={target.x} cy={target.y} r="2.5" className="fill-ink" />
          <circle cx={balloon.x} cy={balloon.y} r="13" className="fill-sheet stroke-ink" strokeWidth="1.4" />
          <text x={balloon.x} y={balloon.y + 5} textAnchor="middle" className="fill-ink text-[15px] font-semibold">
            3
          </text>
          <text x={balloon.x + 22} y={balloon.y + 5} className="fill-ink text-[15px]">
            {belt && drawn.belt ? drawn.belt.words : 'old belt'}
          </text>
        </g>
      )}
      <path
        d={`M${bar.x} ${bar.y - 5}v10M${bar.x} ${bar.y}h${bar.mm * pxPerMm}m0 -5v10`}
        className="stroke-ink"
        fill="none"
      />
      <text x={bar.x + bar.mm * pxPerMm + 8} y={bar.y + 5} className="fill-soft text-sm">
        {unit === 'mm' ? `${bar.mm} mm` : `${formatLength(bar.mm, 'in')} in`}
      </text>
      {old && (
        <g>
          <path
            d={`M${legend.x + legend.w - 166} ${legend.y + 16}h26`}
            className="stroke-live"
            strokeWidth="2"
            strokeDasharray="7 5"
          />
          <text x={legend.x + legend.w - 132} y={legend.y + 21} className="fill-live text-sm">
            {oldExcessMm > 0 ? 'old belt, as it hangs' : 'old belt, still taut'}
          </text>
        </g>
      )}
    </svg>
  );
}

/** The drawing in a sentence, for those who hear it. */
function describeDrawing(drawn: DrawnDrive, unit: LengthUnit): string {
  const say = (name: string, mm: number | undefined) =>
    `${name} ${mm === undefined ? 'not measured' : `${formatLength(mm, unit)} ${unit}`}`;
  const belt = drawn.belt ? `, belt fitted, ${drawn.belt.words}` : '';
  const old = drawn.old && drawn.old.excessMm > 0 ? ', the old belt hangs slack' : '';
  const wrong = drawn.impossible ? ', which cannot be: the pulleys overlap' : '';
  return `Drive drawing: ${say('motor pulley', drawn.motorMm)}, ${say('driven pulley', drawn.driveMm)}, shafts ${say('apart', drawn.centreMm)}${belt}${old}${wrong}.`;
}
