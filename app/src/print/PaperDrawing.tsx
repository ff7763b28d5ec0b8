import { fitBelt, type Belt } from '@loose-pulley/core/drive';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import { formatLength, type LengthUnit } from '@loose-pulley/core/units';
import { beltOutline } from '../draw/beltOutline';

/** Widest and highest that a drawing may be on either paper, mm. */
const WIDEST_MM = 170;
const HIGHEST_MM = 70;
const SCALES = [1, 1 / 2, 1 / 5, 1 / 10];

/** The drive on paper: at 1:1 where it fits, else at the next drawing scale (ISO 5455), said beside it. */
export function PaperDrawing({
  facts,
  crossed,
  belt,
  unit,
}: {
  readonly facts: DriveFacts;
  readonly crossed: boolean;
  readonly belt: Belt | undefined;
  readonly unit: LengthUnit;
}) {
  const { drive } = facts;
  if (!drive) return null;
  const r1 = drive.motor.bottomDiameterMm / 2;
  const r2 = drive.drive.bottomDiameterMm / 2;
  const c = drive.centreDistanceMm;
  const wideMm = Math.max(r1, r2 - c) + c + Math.max(r2, r1 - c) + 6;
  const highMm = 2 * Math.max(r1, r2) + 6;
  const scale = SCALES.find((one) => wideMm * one + 12 <= WIDEST_MM && highMm * one + 16 <= HIGHEST_MM) ?? 1 / 20;
  const w = Math.max(wideMm * scale + 12, 60);
  const h = highMm * scale + 16;
  const at = { x: 6 + (Math.max(r1, r2 - c) + 3) * scale, y: 3 + (highMm / 2) * scale };
  const x2 = at.x + c * scale;
  const fit = belt && fitBelt(drive, belt);
  const outline = fit?.ok
    ? beltOutline(
        {
          motorRadiusMm: fit.value.motorRadiusMm,
          driveRadiusMm: fit.value.driveRadiusMm,
          centreDistanceMm: c,
          crossed,
          excessMm: 0,
        },
        at,
        scale,
      )
    : beltOutline({ motorRadiusMm: r1, driveRadiusMm: r2, centreDistanceMm: c, crossed, excessMm: 0 }, at, scale);
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
        { x: at.x, r: r1 * scale },
        { x: x2, r: r2 * scale },
      ].map(({ x, r }) => (
        <g key={x}>
          <circle cx={x} cy={at.y} r={r} fill="none" className="stroke-ink" strokeWidth="0.3" />
          <path
            d={`M${x - r - 2} ${at.y}h${2 * r + 4}M${x} ${at.y - r - 2}v${2 * r + 4}`}
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
        {write(c)} · Ø {write(2 * r1)} motor, Ø {write(2 * r2)} drive
      </text>
      <text x={(at.x + x2) / 2} y={baseY + 8} textAnchor="middle" fontSize="2.8" className="fill-soft">
        scale 1:{Math.round(1 / scale)}, printed at 100 %; distances in {unit}
      </text>
    </svg>
  );
}
