import { refuse } from '../../../base/units';
import { newDrive } from '../drives/newDrive';
import { onDrive, type DrivesState } from '../drives/onDrive';
import { changes, upsert, without, type Reducers } from '../module';
import type { measureEvents } from './schema';

export const measureReducers: Reducers<DrivesState, typeof measureEvents> = {
  driveAdded: ({ drives }, { driveId, name }) =>
    drives.some(({ id }) => id === driveId)
      ? refuse(`Drive “${driveId}” is there already.`)
      : changes({ drives: [...drives, newDrive(driveId, name)] }),
  driveChanged: (state, event) => onDrive(state, event.driveId, (drive) => ({ ...drive, ...event.changes })),
  driveRemoved: ({ drives, wants }, { driveId }) =>
    drives.length === 1
      ? refuse('A ticket keeps at least one drive.')
      : changes({
          drives: without(drives, driveId),
          ...(wants.length > 0 && { wants: wants.filter((one) => one.driveId !== driveId) }),
        }),
  readingTaken: (state, event) =>
    onDrive(state, event.driveId, (drive) => ({ ...drive, readings: upsert(drive.readings, event.reading) })),
  readingRemoved: (state, event) =>
    onDrive(state, event.driveId, (drive) => ({ ...drive, readings: without(drive.readings, event.readingId) })),
};
