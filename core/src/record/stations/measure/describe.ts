import { isForce } from '../../../belts/measuring';
import { formatEntered, formatNewton } from '../../../base/units';
import { namedFields, type Descriptions, type EventPlace } from '../module';
import type { measureEvents } from './schema';
import { readingName } from './words';

const place = ({ driveId }: { readonly driveId: string }): EventPlace => ({ station: 'measure', driveId });
const SETTINGS = {
  name: 'name',
  role: 'what it drives',
  mechanism: 'mechanism',
  normal: 'what is normal',
  codes: 'error codes',
  crossed: 'crossed belt',
  motorGroove: 'motor pulley’s groove',
  drivenGroove: 'driven pulley’s groove',
  motorSurface: 'motor pulley’s surface',
  drivenSurface: 'driven pulley’s surface',
  oldShape: 'old belt’s shape',
  oldState: 'how the old belt was found',
  idlers: 'idlers',
  speed: 'speed wanted',
  ownerWish: 'owner’s wish',
};

export const measureDescriptions: Descriptions<typeof measureEvents> = {
  driveAdded: { says: ({ name }) => `drive ${name} added`, place },
  driveChanged: {
    says: ({ driveId, changes }, on) => `drive ${on.driveName(driveId)}, ${namedFields(SETTINGS, changes)}`,
    place,
  },
  driveRemoved: { says: () => 'a drive removed', place },
  readingTaken: {
    says: ({ reading }, { unit }) => {
      const { measurand, amount } = reading;
      const figure = isForce(measurand) ? formatNewton(amount) : `${formatEntered(amount, unit)} ${unit}`;
      return `${readingName(reading)} ${figure}`;
    },
    place,
  },
  readingRemoved: { says: () => 'a reading removed', place },
};
