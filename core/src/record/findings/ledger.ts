import { placesOf, type Place } from '../../work/cleaning';
import { linkOff, memberWords } from '../../physics/train';
import type { StationId, StationsState } from '../stations';
import { FINDING_KINDS, rowOf, type FindingKind, type ThingKind } from './rows';
import { findingsTold } from './telling';

/** What is read for findings: a ticket has it. */
export type Found = Pick<
  StationsState,
  | 'complaints'
  | 'story'
  | 'loader'
  | 'drives'
  | 'strip'
  | 'cleaning'
  | 'train'
  | 'observations'
  | 'discs'
  | 'evidence'
  | 'settled'
>;

/** Something that was found, said once: of what, how it is known, when and where it was said. */
export interface Finding {
  readonly kind: FindingKind;
  readonly thing: ThingKind;
  /** The drive that it is of, where it is a belt or a pulley. */
  readonly driveId: string | null;
  /** The place of Clean's map, where it is one. */
  readonly placeId: string | null;
  /** Seen by eye, tried by hand, or told by the owner: what is told is asked about, and leads nothing. */
  readonly how: 'seen' | 'tried' | 'told';
  /** When it was said, ISO 8601; empty where that was not kept. */
  readonly at: string;
  readonly station: StationId;
  /** Where on its way, mm from where it is in; or as a share of it, in words: halfway. */
  readonly atMm?: number;
  readonly atShare?: number;
  /** It was left as it is, by what was said of its place. */
  readonly left?: true;
  /** Where it was said, in a few words. */
  readonly from: string;
}

const escaped = (words: string): string => words.replace(/[^\p{L}\p{N} ]/gu, '.');
const mentions = (words: string, one: string): boolean =>
  one.trim() !== '' && new RegExp(`(^|[^\\p{L}\\p{N}])${escaped(one)}($|[^\\p{L}\\p{N}])`, 'iu').test(words);

/** The drive that words are about: the only one, or the one that they name by what it drives or by its letter. */
function driveAbout({ drives }: Pick<Found, 'drives'>, words: string): string | null {
  if (drives.length === 1) return drives[0]?.id ?? null;
  return (
    drives.find(
      ({ role, name }) => mentions(words, role) || mentions(words, `drive ${name}`) || mentions(words, `belt ${name}`),
    )?.id ?? null
  );
}

const OF_DRIVE: ReadonlySet<ThingKind> = new Set(['belt', 'motorPulley', 'drivenPulley', 'idler']);

/** The place of the map that a thing is; none where the map has several of its kind and the words do not say which. */
function placeAbout(map: readonly Place[], thing: ThingKind, driveId: string | null, words: string): string | null {
  const all = map.filter(
    ({ kind, driveId: of }) => kind === thing && (driveId === null || of === null || of === driveId),
  );
  const named = all.filter(({ name }) => mentions(words, name));
  const [one] = named.length === 1 ? named : all;
  return one && (named.length === 1 || all.length === 1) ? one.id : null;
}

/** What one line tells, as it is known. */
const toldBy = (
  found: Found,
  map: readonly Place[],
  line: string,
  known: Pick<Finding, 'how' | 'at' | 'station' | 'from'>,
): Finding[] =>
  findingsTold(line).map(({ kind, thing, clause, about }): Finding => {
    const driveId = OF_DRIVE.has(thing) ? driveAbout(found, about) : null;
    const where = kind === 'trayBinds' ? onItsWay(clause) : {};
    return { kind, thing, driveId, placeId: placeAbout(map, thing, driveId, about), ...known, ...where };
  });

/** Where on its way a clause says that it binds. */
function onItsWay(clause: string): Pick<Finding, 'atMm' | 'atShare'> {
  const mm = /(\d+(?:[.,]\d+)?) ?mm\b/.exec(clause)?.[1];
  return mm === undefined ? { atShare: 0.5 } : { atMm: Number(mm.replace(',', '.')) };
}

/** What typed lines tell, each with when and where it was typed. */
function ofLines(found: Found, map: readonly Place[]): Finding[] {
  const { steps, found: lying } = found.strip;
  // One line of several steps says what it says once.
  const once = steps.filter(
    (step, index) => index === steps.findIndex(({ line, at }) => line === step.line && at === step.at),
  );
  return [
    ...once.flatMap(({ line, number, at }) =>
      toldBy(found, map, line, { how: 'seen', at, station: 'strip', from: `number ${number} at Strip` }),
    ),
    ...lying.flatMap(({ what, where }) =>
      toldBy(found, map, `${what} ${where}`.trim(), { how: 'seen', at: '', station: 'strip', from: 'found at Strip' }),
    ),
    // What Clean only kept as a note may tell of what is no place of its map.
    ...found.cleaning.treatments
      .filter(({ deed }) => deed === 'other')
      .flatMap(({ line, at }) =>
        toldBy(found, map, line, { how: 'seen', at, station: 'clean', from: 'noted at Clean' }),
      ),
  ];
}

/** What the owner told of it: known as told, and no more. */
function ofOwner(found: Found, map: readonly Place[]): Finding[] {
  const told = (line: string, from: string): Finding[] =>
    toldBy(found, map, line, { how: 'told', at: '', station: 'takeIn', from }).filter(
      ({ kind }) => rowOf(kind).nature !== 'deed',
    );
  return [
    ...found.complaints
      .filter(({ drivetrain, state }) => drivetrain && state !== 'anotherTrade')
      .flatMap(({ words, before }) => told(`${words}; ${before}`, `“${words}”, told at Take in`)),
    ...told(found.story, 'the story, told at Take in'),
  ];
}

/** What lay in the way: objects, discs, what was cleared at Clean. */
function ofPath({ strip, discs, cleaning: { jam } }: Found): Finding[] {
  const path = (kind: FindingKind, station: StationId, from: string): Finding => ({
    kind,
    thing: 'path',
    driveId: null,
    placeId: null,
    how: 'seen',
    at: '',
    station,
    from,
  });
  const object = strip.found.find(({ kind }) => kind === 'object');
  return [
    ...(discs.some(({ out }) => out === 'at Strip')
      ? [path('discInPath', 'strip', 'a disc that came out at Strip')]
      : []),
    ...(object ? [path('partInPath', 'strip', `found at Strip: ${object.what}`)] : []),
    ...(jam && jam.what.trim() !== ''
      ? [path(/\bdis[ck]s?\b/i.test(jam.what) ? 'discInPath' : 'partInPath', 'clean', `in the way: ${jam.what}`)]
      : []),
  ];
}

/** What was seen at the places of Clean: dirt, and what cleaning does not mend. */
function ofPlaces({ cleaning }: Found): Finding[] {
  return cleaning.places.flatMap((place) => {
    const base = {
      driveId: place.driveId,
      placeId: place.id,
      how: 'seen' as const,
      station: 'clean' as const,
      from: `number ${place.number}, ${place.name}, at Clean`,
    };
    const dirts = place.seen.flatMap(({ dirt, at }): Finding[] => {
      const kind = FINDING_KINDS.find((one) => rowOf(one).dirt === dirt);
      return kind ? [{ ...base, kind, thing: place.kind, at }] : [];
    });
    const left =
      place.left === '' ? [] : findingsTold(`${place.kind === 'part' ? place.name : place.kind} ${place.left}`);
    return [
      ...dirts,
      ...left
        .filter(({ thing }) => thing === place.kind)
        .map(({ kind, thing }): Finding => ({ ...base, kind, thing, at: '', left: true })),
    ];
  });
}

/** Whether fingers could make a belt slip, before or after a treatment. */
const ofSlips = ({ cleaning, drives }: Found): Finding[] =>
  cleaning.slipTests
    .filter(({ driveId }) => drives.some(({ id }) => id === driveId))
    .map(({ driveId, stage, slip, at }) => ({
      kind: slip === 'holds' ? 'beltGrips' : 'beltSlips',
      thing: 'belt',
      driveId,
      placeId: null,
      how: 'tried',
      at,
      station: 'clean',
      from: `held back at Clean, ${stage}`,
    }));

/** What was said of the train: links, rollers, gears. */
function ofTrain({ train: { rollers, members, trials, places = [] } }: Found): Finding[] {
  const at = 'on the train';
  const of = (kind: FindingKind, thing: ThingKind, from: string): Finding => ({
    kind,
    thing,
    driveId: null,
    placeId: null,
    how: 'seen',
    at: '',
    station: 'rebuild',
    from: `${from} ${at}`,
  });
  const worn = rollers.list.find(({ surface }) => surface === 'nicked' || surface === 'hard');
  const glazed = rollers.list.find(({ surface }) => surface === 'glazed');
  return [
    ...(linkOff(rollers) === true ? [of('linkOff', 'link', 'the roller link')] : []),
    ...members.flatMap((one) =>
      one.faults.map((fault) =>
        of(fault === 'cracked' || fault === 'slipsOnShaft' ? 'gearCracked' : 'gearStripped', 'gear', memberWords(one)),
      ),
    ),
    ...(trials.some(({ teeth, right }) => right && teeth !== 0) ? [of('gearToothOut', 'gear', 'a trial')] : []),
    ...places.flatMap(({ kind, atMm }) =>
      kind === 'binds' ? [{ ...of('trayBinds', 'tray', `a place at ${atMm} mm`), atMm }] : [],
    ),
    ...(worn ? [of('rollerWorn', 'roller', worn.name)] : []),
    ...(glazed ? [of('glazed', 'roller', glazed.name)] : []),
  ];
}

/** What Measure's own fields say of old belts and pulleys. */
function ofMeasure({ drives }: Found): Finding[] {
  return drives.flatMap(({ id, name, oldState, motorSurface, drivenSurface }) => {
    const of = (kind: FindingKind, thing: ThingKind, from: string): Finding => ({
      kind,
      thing,
      driveId: id,
      placeId: thing === 'belt' ? `${id}-belt` : thing === 'motorPulley' ? `${id}-motor` : `${id}-driven`,
      how: 'seen',
      at: '',
      station: 'measure',
      from,
    });
    const pulleys = [
      ['motorPulley', motorSurface],
      ['drivenPulley', drivenSurface],
    ] as const;
    const kind = FINDING_KINDS.find((one) => rowOf(one).belt === oldState);
    return [
      ...pulleys.flatMap(([thing, surface]) =>
        surface === 'oily' || surface === 'glazed' ? [of(surface, thing, `drive ${name}’s pulleys at Measure`)] : [],
      ),
      ...(kind ? [of(kind, 'belt', `drive ${name} at Measure`)] : []),
    ];
  });
}

/** What was answered at Find, where an answer is a finding. */
function ofFind({ observations, drives }: Found, map: readonly Place[]): Finding[] {
  const last = observations.filter(
    (one, at) =>
      !observations.slice(at + 1).some((later) => later.testId === one.testId && later.driveId === one.driveId),
  );
  return last.flatMap(({ testId, outcome, driveId, at }) =>
    FINDING_KINDS.flatMap((kind): Finding[] => {
      const { answers, of } = rowOf(kind);
      // An answer that several kinds of dirt give says of none which it is; of a belt it says that it is the belt.
      const things = of.filter((thing) => answers[thing]?.[0] === testId && answers[thing]?.[1] === outcome);
      const [thing] = things.includes('belt') ? (['belt'] as const) : things;
      if (!thing || (thing !== 'belt' && rowOf(kind).dirt !== null)) return [];
      const drive = OF_DRIVE.has(thing) ? (driveId ?? drives[0]?.id ?? null) : null;
      return [
        {
          kind,
          thing,
          driveId: drive,
          placeId: placeAbout(map, thing, drive, ''),
          how: 'tried',
          at,
          station: 'find',
          from: 'answered at Find',
        },
      ];
    }),
  );
}

function ofArrival(found: Found): Finding[] {
  return found.evidence
    .filter(({ kind }) => kind === 'beltForeign')
    .map(({ words }): Finding => ({
      kind: 'beltForeign',
      thing: 'belt',
      driveId: driveAbout(found, words),
      placeId: null,
      how: 'seen',
      at: '',
      station: 'takeIn',
      from: 'how it arrived',
    }));
}

/** Whether it was settled that something is not so. */
const isDropped = (
  { settled = [] }: Found,
  { kind, thing, driveId }: Omit<Finding, 'at' | 'from' | 'how' | 'station' | 'placeId'>,
): boolean => settled.some((one) => one.dropped === kind && one.thing === thing && one.driveId === driveId);

/**
 * Whether an answer of Find says what was settled to be otherwise.
 *
 * @example answerDropped(ticket, 'beltFeel', 'firm', null) // true
 */
export const answerDropped = (found: Found, testId: string, outcome: string, driveId: string | null): boolean =>
  (found.settled ?? []).some(
    (one) =>
      FINDING_KINDS.some(
        (kind) =>
          kind === one.dropped &&
          Object.values(rowOf(kind).answers).some(([test, said]) => test === testId && said === outcome),
      ) &&
      (one.driveId === null || driveId === null || one.driveId === driveId),
  );

const ledgers = new WeakMap<object, readonly Finding[]>();

/** A ticket that only shows what was found of another has no findings of its own. */
export const showsThoseOf = (made: Found, of: Found): void => void ledgers.set(made, findingsOf(of));

/**
 * Everything that was found on a machine, whoever said it and wherever: the one record that stations and papers read. The
 * same ticket gives the same list.
 *
 * @example findingsOf(ticket).map(({ kind }) => kind).includes('beltSlack') // true
 */
export function findingsOf(found: Found): readonly Finding[] {
  const known = ledgers.get(found);
  if (known) return known;
  const map = placesOf(found).map(({ place }) => place);
  const all = [
    ...ofLines(found, map),
    ...ofPath(found),
    ...ofPlaces(found),
    ...ofSlips(found),
    ...ofTrain(found),
    ...ofArrival(found),
    ...ofOwner(found, map),
    ...ofMeasure(found),
    ...ofFind(found, map),
  ].filter((one) => !isDropped(found, one));
  ledgers.set(found, all);
  return all;
}

const knowns = new WeakMap<object, readonly Finding[]>();

/**
 * What the bench itself found: all but what it was only told.
 *
 * @example knownOf(ticket).every(({ how }) => how !== 'told') // true
 */
export function knownOf(found: Found): readonly Finding[] {
  const all = findingsOf(found);
  const known = knowns.get(all) ?? all.filter(({ how }) => how !== 'told');
  knowns.set(all, known);
  return known;
}

/**
 * Whether what was found was put right since, by what a line told: a link hooked on again is off no more.
 *
 * For instance isEnded(ticket, { kind: 'linkOff', thing: 'link', driveId: null }): true once it was hooked on again
 */
export const isEnded = (found: Found, { kind, thing, driveId }: Pick<Finding, 'kind' | 'thing' | 'driveId'>): boolean =>
  knownOf(found).some(
    (one) =>
      rowOf(one.kind).ends.includes(kind) &&
      one.thing === thing &&
      (one.driveId === driveId || one.driveId === null || driveId === null),
  );
