import {
  dryMinutesOf,
  isCure,
  lastOf,
  mayTreat,
  placeState,
  takesTime,
  type Leave,
  type Place,
  type PlaceTreatment,
  type Swab,
} from '../../work/cleaning';
import type { Agent, Compatibility, Dirt } from '../../work/compatibility';
import { driveFactsOf, type EventBody, type Ticket } from '../../record/ticket';
import { isOpen, newChange } from '../../work/strip';
import type { PlaceNamed, TreatmentDeed, TreatmentTold } from '../../work/treatmentLine';
import { tellUpon, type Telling, type ToldBy } from './telling';
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

export interface CleanBy extends ToldBy {
  readonly table: Compatibility;
  readonly line: string;
  /** Materials that were asked about and are not known. */
  readonly materialAsked?: boolean;
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

/** One more swab of the treatment that is going on there, which wets it anew. */
function swabbed(telling: Telling, by: CleanBy, place: Place, swab: Swab): void {
  const now = telling.now();
  const last = now.cleaning.treatments.findLast((one) => one.placeId === place.id);
  const going = last && ['wipe', 'wash', 'strokes', 'pick'].includes(last.deed) ? last : undefined;
  telling.put({
    type: 'treated',
    treatment: going
      ? { ...going, at: by.at, swabs: [...going.swabs, swab].slice(-60) }
      : { ...BLANK, id: by.newId(), at: by.at, placeId: place.id, deed: 'wipe', way: 'swab', swabs: [swab] },
  });
  const dry = dryMinutesOf(by.table, going?.agent ?? null, place.kind, 'wipe');
  if (dry > 0) telling.runTimer(place, takesTime(place.name, 'dry'), dry);
  telling.surfaced(place);
}

/** What was seen on a place. */
function seen(telling: Telling, by: CleanBy, place: Place, dirt: Dirt): void {
  telling.change(place, { seen: [...place.seen, { dirt, at: by.at }].slice(-60) });
  telling.surfaced(place);
}

/** A belt was tried by finger: before the first treatment of its drive, or after. */
function slipped(telling: Telling, by: CleanBy, place: Place, slip: 'slips' | 'slipsHard' | 'holds'): void {
  const now = telling.now();
  if (place.driveId === null) {
    telling.refuse('Which drive’s belt is it? Say it at its place on the map.');
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
  telling.put({
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

/** A belt is warmed, to shrink. */
function warmed(telling: Telling, by: CleanBy, place: Place): void {
  const now = telling.now();
  const drive = now.drives.find(({ id }) => id === place.driveId);
  const facts = drive && driveFactsOf(drive);
  const length = facts?.warmedBelt ?? facts?.oldBelt;
  if (!drive || !length) {
    telling.refuse('Measure the belt first: what warming did is told by its length before and after.');
    return;
  }
  telling.put({
    type: 'shrinkPut',
    shrink: { id: by.newId(), at: by.at, driveId: drive.id, beforeMm: length.value, afterMm: null },
  });
  telling.runTimer(place, takesTime(place.name, 'warm'), WARM_MINUTES);
}

/** The levers of the switches are taken out, or put back. */
function levers(telling: Telling, by: CleanBy, out: boolean): void {
  const now = telling.now();
  const open = now.strip.temporaryChanges.findLast((one) => one.kind === 'switchLeversOff' && isOpen(one));
  if (out && !open)
    telling.put({
      type: 'temporaryChangePut',
      change: newChange('switchLeversOff', 'switch levers out', now.strip, by.newId(), by.at),
    });
  if (!out) {
    if (open) telling.put({ type: 'temporaryChangePut', change: { ...open, closedAt: by.at } });
    else telling.refuse('No switch levers are out, by what was said here.');
  }
}

/** A treatment, unless it may harm. @returns what is asked first; undefined where it was put */
function treat(
  telling: Telling,
  by: CleanBy,
  named: PlaceNamed | null,
  told: TreatmentTold,
  cautions: string[],
): Blocked | undefined {
  const place = named && telling.placed(named);
  if (place && told.agent && told.deed !== 'spotTest' && told.outcome !== 'harmed') {
    const state = placeState(place, telling.now().cleaning.treatments, null);
    const leave = mayTreat(by.table, told.agent, place, state, by.materialAsked);
    if (!leave.may) {
      return { place, agent: told.agent, leave };
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
  telling.put({ type: 'treated', treatment });
  if (!place) return undefined;
  if (told.deed === 'dried') {
    for (const timer of telling.now().timers.filter(({ placeId, endedAt }) => placeId === place.id && endedAt === null))
      telling.put({ type: 'timerPut', timer: { ...timer, endedAt: by.at } });
    return undefined;
  }
  const soaks = told.deed === 'soak' && minutes !== undefined;
  if (soaks) telling.runTimer(place, takesTime(place.name, 'soak'), minutes);
  const dry = dryMinutes ?? dryMinutesOf(by.table, told.agent, place.kind, told.deed);
  if (!soaks && dry > 0) telling.runTimer(place, takesTime(place.name, 'dry'), dry);
  if (isCure(treatment)) telling.surfaced(place);
  return undefined;
}

/** What needs no leave. */
function tell(telling: Telling, by: CleanBy, deed: Exclude<TreatmentDeed, { readonly type: 'treat' }>): undefined {
  if (deed.type === 'levers') {
    levers(telling, by, deed.out);
    return;
  }
  const place = telling.placed(deed.place);
  if (deed.type === 'seen') seen(telling, by, place, deed.dirt);
  if (deed.type === 'slip') slipped(telling, by, place, deed.slip);
  if (deed.type === 'warm') warmed(telling, by, place);
  if (deed.type === 'swab') swabbed(telling, by, place, deed.swab);
  if (deed.type === 'left')
    telling.change(place, {
      left: [place.left, deed.words]
        .filter((one) => one !== '')
        .join('; ')
        .slice(0, 400),
    });
}

/**
 * What the deeds of a line make happen: places get their number, surfaces reach Measure, drying starts its timer, and
 * what may harm is asked about first. All of it or nothing.
 *
 * @example cleanEventsOf(ticket, [], { table: COMPATIBILITY, newId, at, line: '' }).kind // 'bodies'
 */
export function cleanEventsOf(ticket: Ticket, deeds: readonly TreatmentDeed[], by: CleanBy): CleanOutcome {
  const telling = tellUpon(ticket, by);
  const cautions: string[] = [];
  for (const deed of deeds) {
    const blocked =
      deed.type === 'treat' ? treat(telling, by, deed.place, deed.told, cautions) : tell(telling, by, deed);
    if (blocked) return { kind: 'blocked', blocked };
    const problem = telling.problem();
    if (problem !== '') return { kind: 'refused', problem };
  }
  return { kind: 'bodies', bodies: telling.bodies, cautions: [...new Set(cautions)] };
}

/** Warmed for so long, then left to cool for so long before it is measured. From memory, no source. */
export const WARM_MINUTES = 3;
export const COOL_MINUTES = 5;
