import { placesOf, placeState, surfaceOf, type DirtyPlace, stillDirty, type Place } from '../../work/cleaning';
import type { Surface } from '../../physics/drive';
import type { DriveRecord } from '../stations';
import { isEnded, knownOf, showsThoseOf, type Finding, type Found } from './ledger';
import { FINDING_KINDS, rowOf } from './rows';

/** What was seen at places of the map elsewhere than at Clean, by the id of the place. */
function seenElsewhere(found: Found): ReadonlyMap<string, Place['seen']> {
  const seen = new Map<string, Place['seen']>();
  for (const { kind, placeId, station, at } of knownOf(found)) {
    const { dirt } = rowOf(kind);
    if (dirt === null || placeId === null || station === 'clean' || station === 'measure') continue;
    const before = seen.get(placeId) ?? [];
    if (!before.some((one) => one.dirt === dirt)) seen.set(placeId, [...before, { dirt, at: at || NEVER }]);
  }
  return seen;
}
/** What nobody knows the time of came before everything. */
const NEVER = '1970-01-01T00:00:00.000Z';

const ofBelt = ({ thing, driveId }: Finding, drive: DriveRecord): boolean => thing === 'belt' && driveId === drive.id;

/** How the old belt of a drive was found, where Measure does not say it; nothing where what was found cannot all be so. */
function oldStateOf(found: Found, drive: DriveRecord): DriveRecord['oldState'] {
  const dropped = (found.settled ?? []).some(
    ({ thing, driveId, dropped: kind }) =>
      thing === 'belt' &&
      driveId === drive.id &&
      FINDING_KINDS.some((one) => one === kind && rowOf(one).belt === drive.oldState),
  );
  if (drive.oldState !== 'unknown' && !dropped) return drive.oldState;
  const states = knownOf(found).flatMap((one) => {
    const { belt } = rowOf(one.kind);
    return belt !== null && ofBelt(one, drive) ? [belt] : [];
  });
  const [state] = states;
  return state && states.every((one) => one === state) ? state : 'unknown';
}

const surfacesOf = (
  found: Found,
  drive: DriveRecord,
  seen: ReadonlyMap<string, Place['seen']>,
): Pick<DriveRecord, 'motorSurface' | 'drivenSurface'> => {
  const surface = (id: string, said: Surface): Surface => {
    const elsewhere = seen.get(id);
    if (said !== 'clean' || !elsewhere) return said;
    const place = { ...blankPlace(found, id), seen: elsewhere };
    return surfaceOf(placeState(place, found.cleaning.treatments, null).standing);
  };
  return {
    motorSurface: surface(`${drive.id}-motor`, drive.motorSurface),
    drivenSurface: surface(`${drive.id}-driven`, drive.drivenSurface),
  };
};
function blankPlace(found: Found, id: string): Place {
  const place = placesOf(found).find((one) => one.place.id === id)?.place;
  if (!place) throw new Error(`The map has no place ${id}.`);
  return place;
}

/** A drive that nothing was found of stays the very object that it is, so that what hangs on it is not worked out anew. */
const drives = new WeakMap<DriveRecord, DriveRecord>();
function driveAsFound(found: Found, drive: DriveRecord, seen: ReadonlyMap<string, Place['seen']>): DriveRecord {
  const changes = { oldState: oldStateOf(found, drive), ...surfacesOf(found, drive, seen) };
  const same = (one: DriveRecord): boolean =>
    one.oldState === changes.oldState &&
    one.motorSurface === changes.motorSurface &&
    one.drivenSurface === changes.drivenSurface;
  if (same(drive)) return drive;
  const known = drives.get(drive);
  if (known && same(known)) return known;
  const made = { ...drive, ...changes };
  drives.set(drive, made);
  return made;
}

/** The link on the train, where the train does not say it: off, or on again. */
function linkAsFound(found: Found): Partial<Pick<Found, 'train'>> {
  const off = knownOf(found).find(({ kind }) => kind === 'linkOff');
  if (found.train.rollers.link !== 'unknown' || !off) return {};
  const link = isEnded(found, off) ? ('engaged' as const) : ('off' as const);
  return { train: { ...found.train, rollers: { ...found.train.rollers, link } } };
}

const tickets = new WeakMap<object, Found>();

/**
 * A ticket with every finding where its station looks for it: the old belt's state and the surfaces at Measure, dirt on
 * Clean's map, the link on the train, wherever each was said. Nothing is stored: what was said stays where it was said.
 *
 * @example asFound(ticket).drives.length === ticket.drives.length // true
 */
export function asFound<T extends Found>(found: T): T {
  const known = tickets.get(found);
  if (known) return known as T;
  const seen = seenElsewhere(found);
  const link = linkAsFound(found);
  const changed = found.drives.map((drive) => driveAsFound(found, drive, seen));
  const made: T = {
    ...found,
    ...link,
    drives: changed.every((drive, at) => drive === found.drives[at]) ? found.drives : changed,
    cleaning: seen.size === 0 ? found.cleaning : { ...found.cleaning, places: placesAsFound(found, seen) },
  };
  showsThoseOf(made, found);
  tickets.set(found, made);
  tickets.set(made, made);
  return made;
}

const withSeen = (place: Place, seen: ReadonlyMap<string, Place['seen']>): Place => {
  const more = (seen.get(place.id) ?? []).filter(({ dirt }) => !place.seen.some((one) => one.dirt === dirt));
  return more.length === 0 ? place : { ...place, seen: [...more, ...place.seen] };
};

/**
 * The places of Clean with what was seen of them anywhere. One that Clean did not speak of yet has no number: it gets one
 * when something is done there.
 */
const placesAsFound = (found: Found, seen: ReadonlyMap<string, Place['seen']>): readonly Place[] => [
  ...found.cleaning.places.map((place) => withSeen(place, seen)),
  ...placesOf(found).flatMap(({ place, suggested }) =>
    suggested && seen.has(place.id) ? [withSeen(place, seen)] : [],
  ),
];

/**
 * The map with what was seen of it anywhere; places that Clean did not speak of yet are still only suggested.
 *
 * @example mapAsFound(ticket)[0]?.place.kind // 'motorPulley'
 */
export function mapAsFound(found: Found): ReturnType<typeof placesOf> {
  const seen = seenElsewhere(found);
  return placesOf(found).map((one) => ({ ...one, place: withSeen(one.place, seen) }));
}

/**
 * The places that were found dirty or dry, by any station, and are so still.
 *
 * @example dirtyAsFound(ticket).map(({ place }) => place.name) // []
 */
export function dirtyAsFound(found: Found): readonly DirtyPlace[] {
  return stillDirty(asFound(found));
}
