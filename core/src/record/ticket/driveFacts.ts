import { driveFacts, type DriveFacts } from '../../belts/measuring';
import type { Groove } from '../../physics/drive';

import { type DriveRecord, type GrooveRecord } from '../stations';

/** The geometry's groove of a kept groove. */
export function grooveOf(record: GrooveRecord): Groove {
  return record.form === 'vee'
    ? { form: 'vee', angleRad: ((record.veeAngleDeg ?? 60) * Math.PI) / 180 }
    : { form: record.form };
}

/** The facts of a kept drive. */
export function driveFactsOf(drive: DriveRecord): DriveFacts {
  return driveFacts(drive.readings, {
    crossed: drive.crossed,
    motorGroove: grooveOf(drive.motorGroove),
    drivenGroove: grooveOf(drive.drivenGroove),
    idlers: drive.idlers.map((one) => ({
      name: one.name,
      xMm: one.xMm,
      yMm: one.yMm,
      bottomDiameterMm: one.diameterMm,
      groove: grooveOf(one.groove),
      back: one.back,
      driven: one.driven,
      after: one.after,
    })),
  });
}
