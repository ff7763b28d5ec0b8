import { TICKET_VERSION } from '../../record/ticket';
import { ok, refuse, type Result } from '../../base/units';

type Fields = Record<string, unknown>;

/** Turns a document of one version into the next. Never edits what it is given. */
export type Upcaster = (document: Fields) => Fields;

const list = (value: unknown): Fields[] => (Array.isArray(value) ? (value as Fields[]) : []);
/** The field of an object with fields put before its own, where it has that field at all. */
const filled = (parent: Fields, key: string, added: Fields): Fields =>
  typeof parent[key] === 'object' && parent[key] !== null
    ? { ...parent, [key]: { ...added, ...(parent[key] as Fields) } }
    : parent;

/* What version 2 added to things that version 1 had already. */
const CYCLE_2 = { disc: 'notSaid' };
const CHECK_2 = { conditions: [], figure: null, wanted: null };
const DISC_2 = { out: '' };
const DRIVE_2 = { others: [], speed: null, ownerWish: 'notSaid' };
const TRY_2 = { label: '', because: 'notSaid' };
const HAND_BACK_2 = { minutes: null, cost: '' };
const TICKET_2 = {
  story: '',
  evidence: [],
  afterUnplugging: null,
  pictures: [],
  questionSheets: [],
  ownerAnswers: [],
  lid: null,
  timings: [],
  rechecks: [],
  offers: [],
  observations: [],
  verdicts: [],
  strip: { steps: [], lastNumber: 0, opening: 1, loops: [], orders: [], found: [], gearTrials: [], park: null },
};

/** Version 2 knows arrival evidence, pictures, the lid, timed tests, offers and the owner's answers. */
function toVersion2(document: Fields): Fields {
  const ticket = document.ticket as Fields;
  const drives = list(ticket.drives).map((drive) => ({
    ...DRIVE_2,
    ...drive,
    tries: list(drive.tries).map((one) => ({ ...TRY_2, ...one })),
  }));
  return {
    ...document,
    ticket: filled(
      {
        ...TICKET_2,
        ...ticket,
        drives,
        cycles: list(ticket.cycles).map((one) => ({ ...CYCLE_2, ...one })),
        checks: list(ticket.checks).map((one) => ({ ...CHECK_2, ...one })),
        discs: list(ticket.discs).map((one) => ({ ...DISC_2, ...one })),
      },
      'handBack',
      HAND_BACK_2,
    ),
    events: list(document.events).map((event) => {
      switch (event.type) {
        case 'cycleLogged':
          return filled(event, 'cycle', CYCLE_2);
        case 'checkPut':
          return filled(event, 'check', CHECK_2);
        case 'discPut':
          return filled(event, 'disc', DISC_2);
        case 'tryLogged':
          return filled(event, 'try', TRY_2);
        default:
          return event;
      }
    }),
  };
}

/** Version 3 knows the surface of further pulleys, and the pull that holds a tray while the motor drives. */
function toVersion3(document: Fields): Fields {
  const surfaced = (drive: Fields): Fields =>
    drive.others === undefined
      ? drive
      : { ...drive, others: list(drive.others).map((one) => ({ surface: null, ...one })) };
  const ticket = document.ticket as Fields;
  return {
    ...document,
    ticket: { ...ticket, drives: list(ticket.drives).map(surfaced) },
    events: list(document.events).map((event) =>
      event.type === 'driveChanged' ? { ...event, changes: surfaced(event.changes as Fields) } : event,
    ),
  };
}

/* What version 4 calls otherwise. Keys stand for themselves wherever they stand; values under the key given. */
const KEYS_4: Readonly<Record<string, string>> = {
  driveGroove: 'drivenGroove',
  driveSurface: 'drivenSurface',
  driveOutsideMm: 'drivenOutsideMm',
  others: 'idlers',
  drive: 'driverType',
  loops: 'temporaryChanges',
  loop: 'change',
  afterLoopId: 'afterChangeId',
  rounds: 'removals',
  seenFrom: 'viewedFrom',
  proofs: 'cleanRuns',
  proof: 'cleanRun',
  proofId: 'cleanRunId',
};
const VALUES_4: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  measurand: { driveDiameter: 'drivenDiameter' },
  method: {
    driveJaws: 'drivenJaws',
    driveOverPins: 'drivenOverPins',
    driveThread: 'drivenThread',
    driveLessGroove: 'drivenLessGroove',
  },
  after: { drive: 'driven' },
  because: { notSaid: 'unknown' },
  ownerWish: { notSaid: 'unknown' },
  disc: { notSaid: 'unknown' },
  parkedAt: { notSaid: 'unknown' },
  state: { blank: 'notDone' },
  for: { hands: 'nothing', post: 'parts' },
  type: { loopPut: 'temporaryChangePut', proofBegun: 'cleanRunBegun' },
};

/** A value with its keys and its coded words renamed, all the way down. Typed text is never touched. */
function renamed(value: unknown, under = ''): unknown {
  if (Array.isArray(value)) return value.map((one) => renamed(one));
  if (typeof value === 'string') return VALUES_4[under]?.[value] ?? value;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [KEYS_4[key] ?? key, renamed(one, key)]));
}

/** Version 4 has one word for one thing: driven pulley, idlers, temporary changes, removals, clean runs. */
const toVersion4 = (document: Fields): Fields => renamed(document) as Fields;

/** Version 5 knows how the old belt was found, and what a new one measured in the hand. */
function toVersion5(document: Fields): Fields {
  const inHand = (one: Fields): Fields => ({ measuredMm: null, ...one });
  const ticket = document.ticket as Fields;
  return {
    ...document,
    ticket: {
      ...ticket,
      drives: list(ticket.drives).map((drive) => ({
        oldState: 'unknown',
        ...drive,
        tries: list(drive.tries).map(inHand),
      })),
    },
    events: list(document.events).map((event) =>
      event.type === 'tryLogged' ? { ...event, try: inHand(event.try as Fields) } : event,
    ),
  };
}

/* What version 6 tells apart: kinds of fastener, and what was done with a thing from what it is. */
const FASTENER_6: ReadonlyArray<readonly [RegExp, string]> = [
  [/nut/i, 'nuts'],
  [/clip/i, 'clips'],
];
function step6(step: Fields): Fields {
  const kind = String(step.kind);
  const what = String(step.what);
  const left = typeof step.leaveAlone === 'string' && step.leaveAlone !== '';
  return {
    ...step,
    kind:
      kind === 'fasteners'
        ? (FASTENER_6.find(([word]) => word.test(what))?.[1] ?? 'screws')
        : kind === 'moved'
          ? 'part'
          : kind,
    fate: left ? 'leftAlone' : kind === 'moved' ? 'movedAside' : kind === 'note' ? 'noted' : 'off',
  };
}
const CLEANING_7 = {
  places: [],
  treatments: [],
  slipTests: [],
  feelTests: [],
  shrinks: [],
  crumbs: [],
  jam: null,
};
const TRAIN_7 = {
  members: [],
  travelMm: null,
  motorRpm: null,
  trials: [],
  rollers: { list: [], spacingMm: null, travelMm: null, pullBackN: null, link: 'unknown', rattles: 'unknown' },
  mode: { states: [], at: null, home: null, way: 'unknown', viewedFrom: '' },
  square: { leftMm: null, rightMm: null, spacingMm: null, steps: [] },
};
const found6 = (found: Fields): Fields => ({ kind: 'object', ...found });
const change6 = (change: Fields): Fields => ({ beforeStepId: null, ...change });
const OWN_6 = ['found', 'done', 'left'];

/** Version 6 knows what was done with a thing, dirt from a part, and which words at Hand back are the bench’s own. */
function toVersion6(document: Fields): Fields {
  const ticket = document.ticket as Fields;
  const strip = ticket.strip as Fields;
  const handBack = ticket.handBack as Fields;
  const own = (fields: Fields): string[] =>
    OWN_6.filter((key) => typeof fields[key] === 'string' && fields[key] !== '');
  return {
    ...document,
    ticket: {
      ...ticket,
      strip: {
        ...strip,
        steps: list(strip.steps).map(step6),
        found: list(strip.found).map(found6),
        temporaryChanges: list(strip.temporaryChanges).map(change6),
      },
      handBack: { ...handBack, own: own(handBack) },
    },
    events: list(document.events).map((event) => {
      switch (event.type) {
        case 'stepPut':
          return { ...event, step: step6(event.step as Fields) };
        case 'foundPut':
          return { ...event, found: found6(event.found as Fields) };
        case 'temporaryChangePut':
          return { ...event, change: change6(event.change as Fields) };
        default:
          return event;
      }
    }),
  };
}

/** Version 7 knows what was cleaned, what was in the way, and the train from the motor to the disc. */
function toVersion7(document: Fields): Fields {
  const ticket = document.ticket as Fields;
  return { ...document, ticket: { ...ticket, cleaning: CLEANING_7, train: TRAIN_7 } };
}

/** Version 8 knows what was promised, and which belts a drive waits for. */
function toVersion8(document: Fields): Fields {
  const ticket = document.ticket as Fields;
  return { ...document, ticket: { ...ticket, promise: null, wants: [] } };
}

/** The upcasters by the version they read; a frozen file of each old version is in `core/fixtures`. */
const UPCASTERS: Readonly<Record<number, Upcaster>> = {
  1: toVersion2,
  2: toVersion3,
  3: toVersion4,
  4: toVersion5,
  5: toVersion6,
  6: toVersion7,
  7: toVersion8,
};

/**
 * Brings a document up to the current version, one step at a time.
 *
 * @param upcasters, target replaced in tests only
 * @returns the document, or a sentence where a step is missing or the document is not even shaped like one
 */
export function upcast(
  document: unknown,
  upcasters: Readonly<Record<number, Upcaster>> = UPCASTERS,
  target: number = TICKET_VERSION,
): Result<unknown> {
  let current = document as Fields;
  while (typeof current.version === 'number' && current.version < target) {
    const step = upcasters[current.version];
    if (!step) return refuse(`format ${String(current.version)} is not known here.`);
    try {
      current = { ...step(current), version: current.version + 1 };
    } catch {
      return refuse(`it is not shaped like a ticket of format ${String(current.version)}.`);
    }
  }
  return ok(current);
}
