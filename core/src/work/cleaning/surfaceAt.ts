import type { Surface } from '../../physics/drive';
import type { Place } from './schema';

/** A drive, as far as the map needs it. */
export interface MappedDrive {
  readonly id: string;
  readonly name: string;
  readonly role: string;
  readonly motorSurface: Surface;
  readonly drivenSurface: Surface;
  readonly idlers: ReadonlyArray<{ readonly id: string; readonly name: string; readonly surface: Surface | null }>;
}

/** The surface of a pulley at a place; null where it is none, or nobody said. */
export function surfaceAt(place: Place, drives: readonly MappedDrive[]): Surface | null {
  const drive = drives.find(({ id }) => id === place.driveId);
  if (!drive) return null;
  if (place.kind === 'motorPulley') return drive.motorSurface;
  if (place.kind === 'drivenPulley') return drive.drivenSurface;
  if (place.kind === 'idler') return drive.idlers.find(({ id }) => place.id.endsWith(`-${id}`))?.surface ?? null;
  return null;
}
