import { fitBelt, pulleysInOrder, seatedRadiusMm, type Belt } from '@loose-pulley/core/physics/drive';
import type { DriveFacts } from '@loose-pulley/core/belts/measuring';
import { formatLength, type LengthUnit } from '@loose-pulley/core/base/units';
import { beltOutline } from '../../parts/draw/beltOutline';

/** Widest and highest that a drawing may be on either paper, mm. */
const WIDEST_MM = 170;
const HIGHEST_MM = 70;
const SCALES = [1, 1 / 2, 1 / 5, 1 / 10];

/** The drive on paper: at 1:1 where it fits, else at the next drawing scale (ISO 5455), said beside it. */
export function PaperDrawing({
  facts,
  belt,
  unit,
}: {
  readonly facts: DriveFacts;
  readonly belt: Belt | undefined;
  readonly unit: LengthUnit;
}) {
  const { drive } = facts;
  if (!drive) return null;
  const r1 = drive.motorPulley.bottomDiameterMm / 2;
  const r2 = drive.drivenPulley.bottomDiameterMm / 2;
  const c = drive.centreDistanceMm;
  const others = (drive.idlers ?? []).map(({ xMm, yMm, bottomDiameterMm }) => ({
    x: xMm,
    y: yMm,
    r: bottomDiameterMm / 2,
  }));
  const leftMm = Math.max(r1, r2 - c, ...others.map(({ x, r }) => r - x));
  const rightMm = Math.max(r2, r1 - c, ...others.map(({ x, r }) => x + r - c));
  const upMm = Math.max(r1, r2, ...others.map(({ y, r }) => y + r));
  const downMm = Math.max(r1, r2, ...others.map(({ y, r }) => r - y));
  const wideMm = leftMm + c + rightMm + 6;
  const highMm = upMm + downMm + 6;
  const scale = SCALES.find((one) => wideMm * one + 12 <= WIDEST_MM && highMm * one + 16 <= HIGHEST_MM) ?? 1 / 20;
  const w = Math.max(wideMm * scale + 12, 60);
  const h = highMm * scale + 16;
  const at = { x: 6 + (leftMm + 3) * scale, y: 3 + (upMm + 3) * scale };
  const x2 = at.x + c * scale;
  const fit = belt && fitBelt(drive, belt);
  const thicknessMm = fit?.ok ? fit.value.thicknessMm : 0;
  const outline = beltOutline(
    pulleysInOrder(drive, (pulley) => seatedRadiusMm(pulley, thicknessMm)),
    0,
    at,
    scale,
  );
  const baseY = 3 + highMm * scale + 4;
  const write = (mm: number) => formatLength(mm, unit);
  return (
    <svg
      width={`${w}mm`}
      height={`${h}mm`}
      viewBox={`0 0 ${w} ${h}`}
      role="img"
      aria-label={`The drive at scale 1 to ${Math.round(1 / scale)}`}
      className="mx-auto my-1 max-w-full print:max-w-none"
    >
      <path
        d={outline?.d}
        fill="none"
        className="stroke-rubber"
        strokeWidth={fit?.ok ? Math.max(0.4, fit.value.thicknessMm * scale) : 0.25}
      />
      {[
        { x: at.x, y: at.y, r: r1 * scale },
        { x: x2, y: at.y, r: r2 * scale },
        ...others.map(({ x, y, r }) => ({ x: at.x + x * scale, y: at.y - y * scale, r: r * scale })),
      ].map(({ x, y, r }) => (
        <g key={`${x} ${y}`}>
          <circle cx={x} cy={y} r={r} fill="none" className="stroke-ink" strokeWidth="0.3" />
          <path
            d={`M${x - r - 2} ${y}h${2 * r + 4}M${x} ${y - r - 2}v${2 * r + 4}`}
            className="stroke-soft"
            strokeWidth="0.13"
            strokeDasharray="3 0.8 0.5 0.8"
          />
        </g>
      ))}
      <path d={`M${at.x} ${at.y}V${baseY + 1}M${x2} ${at.y}V${baseY + 1}`} className="stroke-soft" strokeWidth="0.13" />
      <path d={`M${at.x} ${baseY}H${x2}`} className="stroke-ink" strokeWidth="0.2" />
      <path d={`M${at.x} ${baseY}l2 -0.6v1.2ZM${x2} ${baseY}l-2 -0.6v1.2Z`} className="fill-ink" />
      <text x={(at.x + x2) / 2} y={baseY + 4} textAnchor="middle" fontSize="3.2" className="fill-ink">
        {write(c)} · Ø {write(2 * r1)} motor, Ø {write(2 * r2)} driven
      </text>
      <text x={(at.x + x2) / 2} y={baseY + 8} textAnchor="middle" fontSize="2.8" className="fill-soft">
        scale 1:{Math.round(1 / scale)}, printed at 100 %; distances in {unit}
      </text>
    </svg>
  );
}
