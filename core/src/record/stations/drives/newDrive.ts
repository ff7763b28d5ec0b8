import { firstValue } from '../../../base/schema';
import { driveRecord, type DriveRecord } from './schema';

/** A drive as it is before anything is known of it. */
export const newDrive = (id: string, name: string): DriveRecord => ({ ...firstValue(driveRecord), id, name });
