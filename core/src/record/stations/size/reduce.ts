import { onDrive, type DrivesState } from '../drives/onDrive';
import type { DriveRecord, Try } from '../drives/schema';
import { changes, upsert, without, type Reducers } from '../module';
import type { sizeEvents } from './schema';

/** A drive with one of its tries changed. */
const onTry = (drive: DriveRecord, tryId: string, of: Partial<Try>): DriveRecord => ({
  ...drive,
  tries: drive.tries.map((one) => (one.id === tryId ? { ...one, ...of } : one)),
});

export const sizeReducers: Reducers<DrivesState, typeof sizeEvents> = {
  tryLogged: (state, event) =>
    onDrive(state, event.driveId, (drive) => ({ ...drive, tries: upsert(drive.tries, event.try) })),
  tryJudged: (state, { driveId, tryId, verdict, note }) =>
    onDrive(state, driveId, (drive) => onTry(drive, tryId, { verdict, note })),
  tryLabelled: (state, { driveId, tryId, changes: label }) =>
    onDrive(state, driveId, (drive) => onTry(drive, tryId, label)),
  wantPut: (state, { want }) => {
    const known = onDrive(state, want.driveId, (drive) => drive);
    return known.ok ? changes({ wants: upsert(state.wants, want) }) : known;
  },
  wantRemoved: ({ wants }, { wantId }) => changes({ wants: without(wants, wantId) }),
};
