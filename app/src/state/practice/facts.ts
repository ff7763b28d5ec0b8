import { loaderOf } from '@loose-pulley/core/base/loaders';
import { CATALOGUE } from '@loose-pulley/core/belts/catalogue';
import type { EventBody, Ticket } from '@loose-pulley/core/record/ticket';
import { soldTry } from '@loose-pulley/core/views/drive';
import { fittingOf } from '@loose-pulley/core/views/machine';
import {
  newPlace,
  nextPlaceNumber,
  numbered,
  placesOf,
  type Place,
  type PlaceKind,
  type PlaceTreatment,
} from '@loose-pulley/core/work/cleaning';
import type { Dirt } from '@loose-pulley/core/work/compatibility';
import { causeName, KNOWLEDGE } from '@loose-pulley/core/work/diagnosis';
import { mayBeginCleanRun, type CycleAction, type CycleResult } from '@loose-pulley/core/work/proving';
import type { Cleaned, Hand } from '@loose-pulley/lab/hidden';
import type { Seen } from '../../workers/practice';

/* What a hand saw, as the facts that every station reads: the same that fingers and eyes would have typed. */

export interface When {
  readonly at: string;
  readonly newId: () => string;
}

/** The kinds of place that a swab of that name goes to, the first that the machine has. */
const PLACES: Readonly<Record<Cleaned, ReadonlyArray<readonly PlaceKind[]>>> = {
  pulleys: [['motorPulley'], ['drivenPulley']],
  guides: [['guide', 'rod', 'rack']],
  switch: [['switch']],
  rollers: [['roller']],
  lens: [['lens', 'head']],
};
type Deed = Pick<PlaceTreatment, 'deed' | 'agent'>;
const DEEDS: Readonly<Record<Cleaned, readonly Deed[]>> = {
  pulleys: [{ deed: 'wipe', agent: 'isopropanol' }],
  guides: [
    { deed: 'oldGreaseOff', agent: 'isopropanol' },
    { deed: 'lubricate', agent: 'ptfeGrease' },
  ],
  switch: [{ deed: 'wash', agent: 'contactCleaner' }],
  rollers: [{ deed: 'wipe', agent: 'isopropanol' }],
  lens: [{ deed: 'wipe', agent: 'isopropanol' }],
};
/** Slower than this many times the usual is slow, and kept as that. */
const SLOW_S = 6;

/** The places that are meant, with their numbers. */
function placesAt(ticket: Ticket, cleaned: Cleaned, newId: () => string): readonly Place[] {
  const map = placesOf(ticket);
  let next = nextPlaceNumber(ticket);
  return PLACES[cleaned].map((kinds) => {
    const known = map.find(({ place }) => kinds.includes(place.kind))?.place;
    const place = numbered(known ?? newPlace(newId(), kinds[0] ?? 'part'), next);
    if (place.number === next) next += 1;
    return place;
  });
}

const putPlaces = (places: readonly Place[], dirt: Dirt | null, at: string): readonly EventBody[] =>
  places.map((place) => ({
    type: 'placePut',
    place: dirt ? { ...place, seen: [...place.seen, { dirt, at }].slice(-60) } : place,
  }));

/** The clean run that a cycle belongs to: one that runs, one that begins with it, or none before anything was done. */
function runFor(
  ticket: Ticket,
  { at, newId }: When,
): { readonly id: string | null; readonly begun: readonly EventBody[] } {
  const { cleanRuns, treatments, cycles } = ticket;
  const last = cleanRuns.at(-1);
  if (treatments.length === 0 || !mayBeginCleanRun(cleanRuns, treatments, cycles))
    return { id: last?.id ?? null, begun: [] };
  const id = newId();
  return { id, begun: [{ type: 'cleanRunBegun', cleanRun: { id, startedAt: at } }] };
}

/** Of ten cycles so many are empty, where one can be: what failed empty is proved empty. The others have a worthless disc in. */
const EMPTY_FIRST = 6;

function cyclesOf(
  ticket: Ticket,
  results: readonly CycleResult[],
  seconds: number | null,
  when: When,
): readonly EventBody[] {
  // A slot takes in what it is given, and a disk drive turns nothing without a disk.
  const { has } = loaderOf(ticket.loader);
  const actions = loaderOf(ticket.loader).actions.slice(0, 2) as readonly CycleAction[];
  const run = runFor(ticket, when);
  return [
    ...run.begun,
    ...results.map((result, index): EventBody => {
      const empty = has.tray && index < EMPTY_FIRST;
      return {
        type: 'cycleLogged',
        cycle: {
          id: when.newId(),
          at: when.at,
          action: actions[index % actions.length] ?? 'open',
          result,
          seconds,
          loaded: !empty,
          disc: empty ? 'none' : 'junk',
          place: '',
          conditions: ticket.lid?.state === 'off' ? ['lid off'] : [],
          cleanRunId: run.id,
        },
      };
    }),
  ];
}

/** What is said of the machine by a hand; nothing where it could not be laid on it. */
function saidBy(hand: Hand, seen: Seen, ticket: Ticket, when: When): readonly EventBody[] {
  const { at, newId } = when;
  const drive = ticket.drives[0];
  if (!drive) return [];
  switch (hand.do) {
    case 'power': {
      const open = ticket.lid?.state === 'off' ? 'poweredOpen' : 'plugged';
      return [{ type: 'mainsSaid', mains: { state: hand.what === 'on' ? open : 'unplugged', since: at } }];
    }
    case 'open': {
      const off: readonly EventBody[] =
        ticket.lid?.state === 'off' ? [] : [{ type: 'lidSaid', lid: { state: 'off', since: at } }];
      const { oldShape = drive.oldShape, oldState = drive.oldState } = seen;
      return [...off, { type: 'driveChanged', driveId: drive.id, changes: { oldShape, oldState } }];
    }
    case 'close':
      return [{ type: 'lidSaid', lid: { state: 'on', since: at } }];
    case 'test': {
      const test = KNOWLEDGE.tests.find(({ id }) => id === hand.what);
      if (seen.outcome === undefined) return [];
      const driveId = test?.depth === 'lidOn' ? null : drive.id;
      const { outcome } = seen;
      return [{ type: 'observed', observation: { id: newId(), at, testId: hand.what, outcome, driveId } }];
    }
    case 'swab':
      return seen.dirt ? putPlaces(placesAt(ticket, hand.what as Cleaned, newId), seen.dirt, at) : [];
    case 'clean': {
      const places = placesAt(ticket, hand.what as Cleaned, newId);
      const treated = places.flatMap((place) =>
        DEEDS[hand.what as Cleaned].map((deed): EventBody => ({
          type: 'treated',
          treatment: {
            id: newId(),
            at,
            placeId: place.id,
            ...deed,
            way: 'cotton swab',
            strokes: 0,
            amount: '',
            swabs: deed.deed === 'lubricate' ? [] : ['grey', 'clean'],
            outcome: 'clean',
            line: '',
          },
        })),
      );
      return [...putPlaces(places, null, at), ...treated];
    }
    case 'measure': {
      // Read again, the same instrument in the same hand reads the same.
      const had = drive.readings.some(({ method }) => method === hand.what);
      return had
        ? []
        : (seen.readings ?? []).map((one) => ({
            type: 'readingTaken',
            driveId: drive.id,
            reading: { ...one, id: newId(), typed: one.amount.toFixed(2), amount: Number(one.amount.toFixed(2)) },
          }));
    }
    case 'cure': {
      const cause = KNOWLEDGE.causes.find(({ id }) => id === hand.what);
      if (!cause || seen.cured === undefined) return [];
      const words = causeName(cause, ticket.loader);
      const verdict = { causeId: cause.id, state: seen.cured ? 'cured' : 'ruledOut', words, at } as const;
      const done: readonly EventBody[] = seen.cured
        ? [{ type: 'treatmentRecorded', treatment: { id: newId(), at, what: `${words}: put right` } }]
        : [];
      return [{ type: 'verdictGiven', verdict }, ...done];
    }
    case 'fit': {
      const belt = CATALOGUE.find(({ id }) => id === hand.what);
      if (!belt || !seen.verdict) return [];
      const tried = { id: newId(), ...soldTry(belt, undefined) };
      const fitting = fittingOf(ticket, drive.id, tried, at);
      const tryId = fitting.find((one) => one.type === 'tryLogged')?.try.id ?? tried.id;
      return [...fitting, { type: 'tryJudged', driveId: drive.id, tryId, verdict: seen.verdict, note: '' }];
    }
    case 'eject': {
      if (seen.seconds === undefined) return [];
      const result = seen.seconds === null ? 'bad' : seen.seconds > SLOW_S ? 'slow' : 'good';
      const seconds = seen.seconds === null ? null : Math.round(seen.seconds * 100) / 100;
      return cyclesOf(ticket, [result], seconds, when);
    }
    case 'cycles':
      return cyclesOf(
        ticket,
        (seen.cycles ?? []).map((good) => (good ? 'good' : 'bad')),
        null,
        when,
      );
    default:
      return [];
  }
}

/**
 * The events of one hand: that it was laid, with what came of it, and what it says of the machine.
 *
 * For instance factsOf({ do: 'close', what: '' }, seen, ticket, when).map(({ type }) => type): lidSaid, handLaid
 */
export function factsOf(hand: Hand, seen: Seen, ticket: Ticket, when: When): readonly EventBody[] {
  const { words, minutes, mishaps } = seen;
  const laid = { id: when.newId(), at: when.at, do: hand.do, what: hand.what, words, minutes, mishaps };
  // Last, so that undo says which hand it takes back.
  return [...saidBy(hand, seen, ticket, when), { type: 'handLaid', hand: laid }];
}
