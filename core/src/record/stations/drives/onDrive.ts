import { ok, refuse, type Result } from '../../../base/units';
import type { StateOf } from '../module';
import type { DriveRecord, drivesState } from './schema';

export type DrivesState = StateOf<typeof drivesState>;

/** Replaces one drive. Refuses where the ticket has none of that id. */
export function onDrive(
  { drives }: DrivesState,
  driveId: string,
  change: (drive: DriveRecord) => DriveRecord,
): Result<Partial<DrivesState>> {
  if (!drives.some(({ id }) => id === driveId)) return refuse(`There is no drive “${driveId}” on this ticket.`);
  return ok({ drives: drives.map((drive) => (drive.id === driveId ? change(drive) : drive)) });
}
