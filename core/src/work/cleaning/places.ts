import type { Loader } from '../../base/loaders';
import type { Step } from '../strip';
import { PLACE_KNOWN } from './kinds';
import { kindNamed } from './placeWords';
import type { Cleaning, Place, PlaceKind } from './schema';
import { STARTING_MAP } from './startingMap';
import type { MappedDrive } from './surfaceAt';

/** What the map of a machine is made from. */
export interface MapOf {
  readonly cleaning: Cleaning;
  readonly drives: readonly MappedDrive[];
  readonly strip: { readonly steps: readonly Step[]; readonly lastNumber: number };
  readonly loader: Loader;
}

/** A place on the map: said, or only suggested by the drives, the strip and the kind of loader. */
export interface MapPlace {
  readonly place: Place;
  /** Nobody said anything of it yet: its balloon is dotted, and it has a number only where it came off at Strip. */
  readonly suggested: boolean;
}

const blank = (id: string, kind: PlaceKind, name: string, more: Partial<Place> = {}): Place => ({
  id,
  number: 0,
  kind,
  name: name.slice(0, 80),
  material: 'unknown',
  driveId: null,
  stepId: null,
  seen: [],
  left: '',
  nearBelt: null,
  ...more,
});

/** A place of a kind as it is before anything was said of it. */
export const newPlace = (id: string, kind: PlaceKind, name = PLACE_KNOWN[kind].name): Place => blank(id, kind, name);

/** Kinds of step that are a place of the machine rather than what holds it together. */
const STEP_PLACES: ReadonlySet<Step['kind']> = new Set(['gear', 'part', 'belt', 'springs']);

/** The pulleys and the belt of each drive; named by the drive where there are several. */
function ofDrives({ drives, strip }: MapOf): Place[] {
  return drives.flatMap((drive) => {
    const called = (name: string): string =>
      drives.length === 1 ? name : `${name} ${drive.name}${drive.role === '' ? '' : `, ${drive.role}`}`;
    const at = { driveId: drive.id };
    const beltStep = strip.steps.findLast(
      ({ kind, what, where, line }) =>
        kind === 'belt' &&
        (drives.length === 1 ||
          new RegExp(String.raw`\b${drive.name}\b`, 'i').test(`${what} ${where}`) ||
          (drive.role !== '' && line.toLowerCase().includes(drive.role.toLowerCase()))),
    );
    return [
      blank(`${drive.id}-motor`, 'motorPulley', called('motor pulley'), at),
      blank(`${drive.id}-belt`, 'belt', called('belt'), {
        ...at,
        ...(beltStep && { stepId: beltStep.id, number: beltStep.number }),
      }),
      blank(`${drive.id}-driven`, 'drivenPulley', called('drive pulley'), at),
      ...drive.idlers.map((idler) => blank(`${drive.id}-${idler.id}`, 'idler', called(idler.name || 'idler'), at)),
    ];
  });
}

/** Places that every drive has by itself. */
const PULLEYS: ReadonlySet<PlaceKind> = new Set(['motorPulley', 'drivenPulley']);

/**
 * Every place of the machine: what was said of, then what the drives, the strip and the kind of loader suggest.
 *
 * @example placesOf(ticket).map(({ place }) => place.name)[0] // 'motor pulley'
 */
export function placesOf(of: MapOf): readonly MapPlace[] {
  const { cleaning, strip, loader } = of;
  const said = new Map(cleaning.places.map((place) => [place.id, place]));
  const drives = ofDrives(of);
  const taken = new Set([...cleaning.places, ...drives].flatMap(({ stepId }) => stepId ?? []));
  const steps = strip.steps.flatMap((step): Place[] => {
    if (taken.has(step.id) || !STEP_PLACES.has(step.kind) || step.kind === 'belt') return [];
    const kind = kindNamed(`${step.what}`) ?? (step.kind === 'gear' ? 'gear' : undefined);
    // What was only seen of a pulley is seen of the drive's own, which is on the map already.
    if (step.fate === 'noted' || drives.some((one) => one.kind === kind && PULLEYS.has(one.kind))) return [];
    return kind && kind !== 'belt'
      ? [blank(`step-${step.id}`, kind, step.what || PLACE_KNOWN[kind].name, { stepId: step.id, number: step.number })]
      : [];
  });
  const there = new Set([...cleaning.places, ...steps].map(({ kind }) => kind));
  const loaders = STARTING_MAP[loader].flatMap(([kind, name], at): Place[] => {
    const id = `map-${kind}-${at}`;
    if (said.has(id)) return [blank(id, kind, name ?? '')];
    return there.has(kind) ? [] : [blank(id, kind, name ?? PLACE_KNOWN[kind].name)];
  });
  const suggested = [...drives, ...steps, ...loaders].map((place): MapPlace => {
    const own = said.get(place.id);
    return own ? { place: own, suggested: false } : { place, suggested: true };
  });
  const shown = new Set(suggested.map(({ place }) => place.id));
  return [
    ...suggested,
    ...cleaning.places.filter(({ id }) => !shown.has(id)).map((place): MapPlace => ({ place, suggested: false })),
  ];
}

/** The next free number: what Strip would give next, as one numbering serves both. */
export const nextPlaceNumber = ({ cleaning, strip }: Pick<MapOf, 'cleaning' | 'strip'>): number =>
  Math.max(strip.lastNumber, ...cleaning.places.map(({ number }) => number)) + 1;

/** A place as it is kept once something is said of it: with its number. */
export const numbered = (place: Place, next: number): Place =>
  place.number === 0 ? { ...place, number: next } : place;
