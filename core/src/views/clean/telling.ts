import { newPlace, nextPlaceNumber, numbered, placeState, surfaceOf, type Place } from '../../work/cleaning';
import type { Material } from '../../work/compatibility';
import type { Surface } from '../../physics/drive';
import { applyEvent, type EventBody, type Ticket } from '../../record/ticket';
import type { PlaceNamed } from '../../work/treatmentLine';
import { cleanView } from './view';

/** By whom and when something is told. */
export interface ToldBy {
  readonly newId: () => string;
  /** Now, ISO 8601 in UTC. */
  readonly at: string;
  /** What was answered of the materials, by place. */
  readonly materials?: Readonly<Record<string, Material>> | undefined;
}

/** A line being told: each event lies upon the ticket that those before it have made. */
export interface Telling {
  /** The ticket with all that was told so far. */
  now(): Ticket;
  readonly bodies: readonly EventBody[];
  /** Why it cannot go on; empty while it can. */
  problem(): string;
  refuse(problem: string): void;
  put(body: EventBody): void;
  /** The place as it is kept: put on the map with its number where nobody said anything of it yet. */
  placed(named: PlaceNamed): Place;
  change(place: Place, changes: Partial<Place>): void;
  /** Lets Measure know what a pulley's surface has become. */
  surfaced(place: Place): void;
  runTimer(place: Place, what: string, minutes: number): void;
}

/** The drive’s change that a pulley’s surface is; undefined where the place is no pulley, or nothing changes. */
function surfaceChange(ticket: Ticket, place: Place, surface: Surface): EventBody | undefined {
  const drive = ticket.drives.find(({ id }) => id === place.driveId);
  if (!drive) return undefined;
  const change = (changes: object): EventBody => ({ type: 'driveChanged', driveId: drive.id, changes });
  if (place.kind === 'motorPulley')
    return drive.motorSurface === surface ? undefined : change({ motorSurface: surface });
  if (place.kind === 'drivenPulley')
    return drive.drivenSurface === surface ? undefined : change({ drivenSurface: surface });
  if (place.kind !== 'idler' || !drive.idlers.some(({ id }) => place.id.endsWith(`-${id}`))) return undefined;
  return change({
    idlers: drive.idlers.map((idler) => (place.id.endsWith(`-${idler.id}`) ? { ...idler, surface } : idler)),
  });
}

const later = (at: string, minutes: number): string => new Date(Date.parse(at) + minutes * 60_000).toISOString();

/** Begins a telling upon a ticket. */
export function tellUpon(ticket: Ticket, by: ToldBy): Telling {
  const bodies: EventBody[] = [];
  const added = new Map<string, string>();
  let now = ticket;
  let problem = '';
  const viewOf = (id: string | undefined) =>
    id === undefined ? undefined : cleanView(now).places.find(({ place }) => place.id === id);
  const put = (body: EventBody): void => {
    const next = applyEvent(now, { ...body, id: by.newId(), at: by.at });
    if (!next.ok) {
      problem ||= next.problem;
      return;
    }
    bodies.push(body);
    now = next.value;
  };
  return {
    now: () => now,
    bodies,
    problem: () => problem,
    refuse: (why) => void (problem ||= why),
    put,
    placed(named) {
      // A place that this very line adds is one place, however often the line speaks of it.
      const key = `${named.kind} ${named.name}`;
      const known = viewOf(named.id ?? added.get(key));
      const fresh = known?.place ?? newPlace(by.newId(), named.kind, named.name);
      const place = { ...numbered(fresh, nextPlaceNumber(now)), material: by.materials?.[fresh.id] ?? fresh.material };
      if (named.id === null) added.set(key, place.id);
      // What another station saw of it is not on the map yet: it has no number.
      const fromElsewhere = known?.place.number === 0;
      if (!known || known.suggested || fromElsewhere || place.material !== known.place.material)
        put({ type: 'placePut', place });
      return place;
    },
    change: (place, changes) => put({ type: 'placePut', place: { ...place, ...changes } }),
    surfaced(place) {
      const view = viewOf(place.id);
      if (!view || view.surface === null) return;
      // Judged by what was seen and done there, not by what Measure said before.
      const { standing } = placeState(view.place, now.cleaning.treatments, null);
      const body = surfaceChange(now, place, surfaceOf(standing));
      if (body) put(body);
    },
    runTimer: (place, what, minutes) =>
      put({
        type: 'timerPut',
        timer: {
          id: viewOf(place.id)?.timer?.id ?? by.newId(),
          what: what.slice(0, 80),
          startedAt: by.at,
          endsAt: later(by.at, minutes),
          endedAt: null,
          placeId: place.id,
        },
      }),
  };
}
