import type { Judgement } from '@loose-pulley/core/belts/sizing';
import { fitBelt } from '@loose-pulley/core/physics/drive';
import type { DriveFacts } from '@loose-pulley/core/belts/measuring';
import { beltLabel } from '@loose-pulley/core/base/shapes';
import { formatPercent, type LengthUnit } from '@loose-pulley/core/base/units';
import type { DrawnDrive } from '../draw/drawnDrive';
import type { DriveRecord } from '@loose-pulley/core/record/stations';

/** What the drive drawing shows of a drive's facts, and of a belt where one is chosen. */
export function driveGeometry(
  facts: DriveFacts,
  { crossed, idlers }: Pick<DriveRecord, 'crossed' | 'idlers'>,
  unit: LengthUnit,
  judgement?: Judgement,
): DrawnDrive {
  const fit = facts.drive && judgement ? fitBelt(facts.drive, judgement.belt) : undefined;
  const excessMm = facts.oldBelt && facts.path ? facts.oldBelt.value - facts.path.value : undefined;
  return {
    motorMm: facts.motorDiameter?.value,
    driveMm: facts.drivenDiameter?.value,
    centreMm: facts.centreDistance?.value,
    crossed,
    others: idlers.map(({ id, name, xMm, yMm, diameterMm, back, after }) => ({
      id,
      name,
      xMm,
      yMm,
      radiusMm: diameterMm / 2,
      back,
      after,
    })),
    impossible: facts.driveProblem !== undefined,
    ...(fit?.ok &&
      judgement && {
        belt: {
          thicknessMm: fit.value.thicknessMm,
          motorRadiusMm: fit.value.motorRadiusMm,
          drivenRadiusMm: fit.value.drivenRadiusMm,
          words:
            judgement.strain > 0
              ? `${beltLabel(judgement.belt, unit).size}, stretch ${formatPercent(judgement.strain)}`
              : 'hangs slack',
        },
      }),
    ...(excessMm !== undefined && { old: { thicknessMm: facts.section?.value ?? 1, excessMm } }),
  };
}
