import { reading } from '../../../belts/measuring';
import { id, some, text } from '../../../base/schema';
import { driveSettings } from '../drives/schema';

export const measureEvents = {
  driveAdded: { driveId: id(), name: text(40) },
  driveChanged: { driveId: id(), changes: some(driveSettings) },
  driveRemoved: { driveId: id() },
  readingTaken: { driveId: id(), reading },
  readingRemoved: { driveId: id(), readingId: id() },
};
