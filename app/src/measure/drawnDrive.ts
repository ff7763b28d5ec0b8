import type { Judgement } from '@loose-pulley/core/sizing';
import { fitBelt } from '@loose-pulley/core/drive';
import type { DriveRecord } from '@loose-pulley/core/ticket';
import type { DriveFacts } from '@loose-pulley/core/measuring';
import { beltLabel } from '@loose-pulley/core/units';
import { formatPercent, type LengthUnit } from '@loose-pulley/core/units';
import type { DrawnDrive } from '../draw/DriveDrawing';

/** What the drive drawing shows of a drive's facts, and of a belt where one is chosen. */
export function drawnDrive(
  facts: DriveFacts,
  { crossed, others }: Pick<DriveRecord, 'crossed' | 'others'>,
  unit: LengthUnit,
  judgement?: Judgement,
): DrawnDrive {
  const fit = facts.drive && judgement ? fitBelt(facts.drive, judgement.belt) : undefined;
  const excessMm = facts.oldBelt && facts.path ? facts.oldBelt.value - facts.path.value : undefined;
  return {
    motorMm: facts.motorDiameter?.value,
    driveMm: facts.driveDiameter?.value,
    centreMm: facts.centreDistance?.value,
    crossed,
    others: others.map(({ id, name, xMm, yMm, diameterMm, back, after }) => ({
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
          driveRadiusMm: fit.value.driveRadiusMm,
          words:
            judgement.strain > 0
              ? `${beltLabel(judgement.belt, unit).size}, stretch ${formatPercent(judgement.strain)}`
              : 'hangs slack',
        },
      }),
    ...(excessMm !== undefined && { old: { thicknessMm: facts.section?.value ?? 1, excessMm } }),
  };
}
