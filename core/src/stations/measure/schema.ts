import { reading } from '../../measuring';
import { id, some, text } from '../../schema';
import { driveSettings } from '../drives/schema';

export const measureEvents = {
  driveAdded: { driveId: id(), name: text(40) },
  driveChanged: { driveId: id(), changes: some(driveSettings) },
  driveRemoved: { driveId: id() },
  readingTaken: { driveId: id(), reading },
  readingRemoved: { driveId: id(), readingId: id() },
};
