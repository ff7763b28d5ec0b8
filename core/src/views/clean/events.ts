import {
  dryMinutesOf,
  isCure,
  lastOf,
  mayTreat,
  newPlace,
  nextPlaceNumber,
  numbered,
  placeState,
  surfaceOf,
  takesTime,
  type Leave,
  type Swab,
  type Place,
  type PlaceTreatment,
} from '../../work/cleaning';
import type { Agent, Compatibility, Dirt, Material } from '../../work/compatibility';
import type { Surface } from '../../physics/drive';
import { applyEvent, type EventBody, type Ticket } from '../../record/ticket';
import { isOpen, newChange } from '../../work/strip';
import type { Timer } from '../../base/timers';
import type { PlaceNamed, TreatmentDeed, TreatmentTold } from '../../work/treatmentLine';
import { driveFactsOf } from '../../record/ticket';
import { cleanView } from './view';

/** What is asked or said before something may be done at a place. */
export interface Blocked {
  readonly place: Place;
  readonly agent: Agent;
  readonly leave: Extract<Leave, { may: false }>;
}

/** What a line comes to: events that happen together, a question, or a sentence. */
export type CleanOutcome =
  | { readonly kind: 'bodies'; readonly bodies: readonly EventBody[]; readonly cautions: readonly string[] }
  | { readonly kind: 'blocked'; readonly blocked: Blocked }
  | { readonly kind: 'refused'; readonly problem: string };

export interface CleanBy {
  readonly table: Compatibility;
  readonly newId: () => string;
  /** Now, ISO 8601 in UTC. */
  readonly at: string;
  readonly line: string;
  /** Materials that were asked about and are not known. */
  readonly materialAsked?: boolean;
  /** What was answered of the materials, by place. */
  readonly materials?: Readonly<Record<string, Material>>;
}

const BLANK = {
  agent: null,
  way: '',
  strokes: 0,
  amount: '',
  swabs: [],
  outcome: 'unknown',
  line: '',
} as const;

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

/**
 * What the deeds of a line make happen: places get their number, surfaces reach Measure, drying starts its timer, and
 * what may harm is asked about first. All of it or nothing.
 *
 * @example cleanEventsOf(ticket, deeds, by).kind // 'bodies'
 */
export function cleanEventsOf(ticket: Ticket, deeds: readonly TreatmentDeed[], by: CleanBy): CleanOutcome {
  const bodies: EventBody[] = [];
  const cautions: string[] = [];
  let now = ticket;
  const addedIds = new Map<string, string>();
  let blocked: Blocked | undefined;
  let problem = '';
  const put = (body: EventBody): void => {
    const next = applyEvent(now, { ...body, id: by.newId(), at: by.at });
    if (!next.ok) {
      problem ||= next.problem;
      return;
    }
    bodies.push(body);
    now = next.value;
  };
  /** The place as it is kept: put on the map with its number where nobody said anything of it yet. */
  const placed = (named: PlaceNamed): Place => {
    // A place that this very line adds is one place, however often the line speaks of it.
    const added = named.id ?? addedIds.get(`${named.kind} ${named.name}`);
    const known = added === undefined ? undefined : cleanView(now).places.find(({ place }) => place.id === added);
    const fresh = known?.place ?? newPlace(by.newId(), named.kind, named.name);
    const place = { ...numbered(fresh, nextPlaceNumber(now)), material: by.materials?.[fresh.id] ?? fresh.material };
    if (named.id === null) addedIds.set(`${named.kind} ${named.name}`, place.id);
    if (!known || known.suggested || place.material !== known.place.material) put({ type: 'placePut', place });
    return place;
  };
  const change = (place: Place, changes: Partial<Place>): void =>
    put({ type: 'placePut', place: { ...place, ...changes } });
  const surfaced = (place: Place): void => {
    const view = cleanView(now).places.find((one) => one.place.id === place.id);
    if (!view || view.surface === null) return;
    // Judged by what was seen and done there, not by what Measure said before.
    const { standing } = placeState(view.place, now.cleaning.treatments, null);
    const body = surfaceChange(now, place, surfaceOf(standing));
    if (body) put(body);
  };
  const runTimer = (place: Place, what: string, minutes: number): void => {
    const running = cleanView(now).places.find((one) => one.place.id === place.id)?.timer;
    const timer: Timer = {
      id: running?.id ?? by.newId(),
      what: what.slice(0, 80),
      startedAt: by.at,
      endsAt: later(by.at, minutes),
      endedAt: null,
      placeId: place.id,
    };
    put({ type: 'timerPut', timer });
  };
  const treat = (named: PlaceNamed | null, told: TreatmentTold): void => {
    const place = named && placed(named);
    if (place && told.agent && told.deed !== 'spotTest' && told.outcome !== 'harmed') {
      const state = placeState(place, now.cleaning.treatments, null);
      const leave = mayTreat(by.table, told.agent, place, state, by.materialAsked);
      if (!leave.may) {
        blocked ??= { place, agent: told.agent, leave };
        return;
      }
      if (leave.caution !== '') cautions.push(leave.caution);
    }
    const { minutes, dryMinutes, ...rest } = told;
    const treatment: PlaceTreatment = {
      id: by.newId(),
      at: by.at,
      placeId: place?.id ?? null,
      ...rest,
      line: by.line.slice(0, 400),
      ...(minutes !== undefined && { minutes }),
    };
    put({ type: 'treated', treatment });
    if (!place) return;
    if (told.deed === 'dried') {
      for (const timer of now.timers.filter(({ placeId, endedAt }) => placeId === place.id && endedAt === null))
        put({ type: 'timerPut', timer: { ...timer, endedAt: by.at } });
      return;
    }
    const soaks = told.deed === 'soak' && minutes !== undefined;
    if (soaks) runTimer(place, takesTime(place.name, 'soak'), minutes);
    const dry = dryMinutes ?? dryMinutesOf(by.table, told.agent, place.kind, told.deed);
    if (!soaks && dry > 0) runTimer(place, takesTime(place.name, 'dry'), dry);
    if (isCure(treatment)) surfaced(place);
  };
  for (const deed of deeds) {
    switch (deed.type) {
      case 'place':
        placed(deed.place);
        break;
      case 'seen':
        seen(placed(deed.place), deed.dirt);
        break;
      case 'left': {
        const place = placed(deed.place);
        const words = [place.left, deed.words].filter((one) => one !== '').join('; ');
        change(place, { left: words.slice(0, 400) });
        break;
      }
      case 'slip':
        slipped(placed(deed.place), deed.slip);
        break;
      case 'warm':
        warmed(placed(deed.place));
        break;
      case 'swab':
        swabbed(placed(deed.place), deed.swab);
        break;
      case 'levers':
        levers(deed.out);
        break;
      case 'treat':
        treat(deed.place, deed.told);
        break;
    }
    if (blocked) return { kind: 'blocked', blocked };
    if (problem !== '') return { kind: 'refused', problem };
  }
  return { kind: 'bodies', bodies, cautions: [...new Set(cautions)] };

  /** One more swab of the treatment that is going on there, which wets it anew. */
  function swabbed(place: Place, swab: Swab): void {
    const last = now.cleaning.treatments.findLast((one) => one.placeId === place.id);
    const going = last && ['wipe', 'wash', 'strokes', 'pick'].includes(last.deed) ? last : undefined;
    put({
      type: 'treated',
      treatment: going
        ? { ...going, at: by.at, swabs: [...going.swabs, swab].slice(-60) }
        : { ...BLANK, id: by.newId(), at: by.at, placeId: place.id, deed: 'wipe', way: 'swab', swabs: [swab] },
    });
    const dry = dryMinutesOf(by.table, going?.agent ?? null, place.kind, 'wipe');
    if (dry > 0) runTimer(place, takesTime(place.name, 'dry'), dry);
    surfaced(place);
  }
  function seen(place: Place, dirt: Dirt): void {
    change(place, { seen: [...place.seen, { dirt, at: by.at }].slice(-60) });
    surfaced(place);
  }
  function slipped(place: Place, slip: 'slips' | 'slipsHard' | 'holds'): void {
    if (place.driveId === null) {
      problem = 'Which drive’s belt is it? Say it at its place on the map.';
      return;
    }
    const of = new Set(
      cleanView(now)
        .places.filter((one) => one.place.driveId === place.driveId)
        .map((one) => one.place.id),
    );
    const treated = now.cleaning.treatments.some((one) => one.placeId !== null && of.has(one.placeId) && isCure(one));
    const before = lastOf(
      now.cleaning.slipTests.filter(({ driveId }) => driveId === place.driveId),
      'before',
    );
    const stage = treated ? ('after' as const) : ('before' as const);
    put({
      type: 'slipTested',
      test: {
        id: stage === 'before' && before ? before.id : by.newId(),
        at: by.at,
        driveId: place.driveId,
        stage,
        slip,
        forceN: null,
      },
    });
  }
  function warmed(place: Place): void {
    const drive = now.drives.find(({ id }) => id === place.driveId);
    const facts = drive && driveFactsOf(drive);
    const length = facts?.warmedBelt ?? facts?.oldBelt;
    if (!drive || !length) {
      problem = 'Measure the belt first: what warming did is told by its length before and after.';
      return;
    }
    put({
      type: 'shrinkPut',
      shrink: { id: by.newId(), at: by.at, driveId: drive.id, beforeMm: length.value, afterMm: null },
    });
    runTimer(place, takesTime(place.name, 'warm'), WARM_MINUTES);
  }
  function levers(out: boolean): void {
    const open = now.strip.temporaryChanges.findLast((one) => one.kind === 'switchLeversOff' && isOpen(one));
    if (out && !open)
      put({
        type: 'temporaryChangePut',
        change: newChange('switchLeversOff', 'switch levers out', now.strip, by.newId(), by.at),
      });
    if (!out) {
      if (open) put({ type: 'temporaryChangePut', change: { ...open, closedAt: by.at } });
      else problem = 'No switch levers are out, by what was said here.';
    }
  }
}

/** Warmed for so long, then left to cool for so long before it is measured. From memory, no source. */
export const WARM_MINUTES = 3;
export const COOL_MINUTES = 5;
