import { describe, expect, test } from 'vitest';
import { complaint, opening, recordOf, step } from '../../../fixtures/sample';
import { LOADERS, type Loader } from '../../base/loaders';
import { KNOWLEDGE, type BenchTest } from '../../work/diagnosis';
import { newPlace } from '../../work/cleaning';
import {
  asFound,
  conflictsOf,
  FINDING_KINDS,
  findingsOf,
  rowOf,
  type FindingKind,
  type ThingKind,
} from '../../record/findings';
import type { EventBody, Ticket } from '../../record/ticket';
import { answersOf, offeredAnswers } from '../evidence';
import { COMPATIBILITY } from '../../work/compatibility';
import { cleanEventsOf, cleanView } from '../clean';
import { handBackText } from '.';

/*
 * Every kind of finding, said in every way in which it can be said, and read by every reader that has to know it. A new
 * kind is held to it by being in the table: how to say it is asked for by the compiler.
 */

/** One line of Strip that tells each kind; null where a line cannot. */
const LINE: Readonly<Record<FindingKind, string | null>> = {
  beltSlack: 'belt hangs slack',
  beltFirm: 'belt firm',
  beltBroken: 'belt snapped',
  beltMissing: 'belt missing',
  beltDissolved: 'belt in crumbs',
  beltOff: 'belt was off',
  beltSwollen: 'belt swollen',
  beltForeign: 'belt is a stopgap, a rubber band',
  beltSlips: 'belt slips',
  beltGrips: null,
  oily: 'drive pulley oily',
  glazed: 'drive pulley glazed',
  sludge: 'sludge on the drive pulley',
  residue: 'belt residue in the drive pulley',
  fluff: 'drive pulley full of fluff',
  sticky: 'guides sticky',
  corroded: 'limit switch corroded',
  hardenedGrease: 'hardened grease on the guides',
  dry: null,
  linkOff: 'link had come off its pin',
  rollerWorn: 'driven roller worn',
  gearCracked: 'gear cracked',
  gearStripped: 'two teeth gone on the gear',
  gearToothOut: 'gear a tooth out',
  switchTorn: 'limit switch bent',
  trayOffTrack: 'tray off its track',
  trayBinds: 'tray binds at 74 mm',
  plugLoose: 'grey plug half out',
  discInPath: null,
  partInPath: null,
  clampWeak: 'clamp crooked',
  linkPutOn: 'link hooked on again',
  plugPushedHome: 'grey plug pushed home',
  trayPutOnTrack: 'tray back on its track',
  gearTimed: 'gear put back in time',
  beltPutOn: 'belt put back on its pulleys',
  switchBentBack: 'limit switch bent back',
};

const AT = '2026-01-12T09:23:00Z';
const loaderOf = (kind: FindingKind): Loader => (/link|roller/i.test(kind) ? 'slot' : 'tray');
const withLoader = (loader: Loader): EventBody =>
  opening.type === 'ticketOpened' ? { ...opening, details: { ...opening.details, loader } } : opening;
const ticketOf = (kind: FindingKind, list: readonly EventBody[]): Ticket =>
  recordOf([withLoader(loaderOf(kind)), ...list]).ticket;

/** The ways in which a kind can be said, each with the events that it comes to. */
function waysToSay(kind: FindingKind): ReadonlyArray<readonly [where: string, bodies: readonly EventBody[]]> {
  const row = rowOf(kind);
  const line = LINE[kind];
  const ways: Array<readonly [string, readonly EventBody[]]> = [];
  if (line) ways.push(['Strip', [{ type: 'stepPut', step: { ...step('s1', 1, 'note', line), fate: 'noted' } }]]);
  if (line)
    ways.push([
      'found at Strip',
      [
        {
          type: 'foundPut',
          found: { id: 'f', kind: 'dirt', what: line, where: '', guess: '', homed: false, pictureIds: [] },
        },
      ],
    ]);
  // A line that is no place's is kept at Clean as a note, and tells the same.
  if (line && row.dirt === null)
    ways.push([
      'noted at Clean',
      [
        {
          type: 'treated',
          treatment: {
            id: 'n',
            at: AT,
            placeId: null,
            deed: 'other',
            agent: null,
            way: '',
            strokes: 0,
            amount: '',
            swabs: [],
            outcome: 'unknown',
            line,
          },
        },
      ],
    ]);
  if (row.belt) ways.push(['Measure', [{ type: 'driveChanged', driveId: 'drive-a', changes: { oldState: row.belt } }]]);
  const [thing] = row.of;
  const told = row.answers[row.of.includes('belt' as never) ? 'belt' : (thing as ThingKind)];
  if (told && row.dirt === null)
    ways.push([
      'Find',
      [{ type: 'observed', observation: { id: 'o', testId: told[0], outcome: told[1], at: AT, driveId: 'drive-a' } }],
    ]);
  if (row.dirt !== null)
    for (const { place } of cleanView(ticketOf(kind, [])).places.filter((one) => row.of.includes(one.place.kind))) {
      // As the page of Clean says it.
      const told = cleanEventsOf(
        ticketOf(kind, []),
        [{ type: 'seen', place: { id: place.id, kind: place.kind, name: place.name }, dirt: row.dirt }],
        { table: COMPATIBILITY, newId: () => 'n', at: AT, line: '' },
      );
      if (told.kind === 'bodies') ways.push([`Clean, ${place.name}`, told.bodies]);
    }
  return ways;
}
const cases = FINDING_KINDS.flatMap((kind) => waysToSay(kind).map(([where, bodies]) => [kind, where, bodies] as const));

describe('said once, known everywhere', () => {
  test('every kind can be said somewhere, and the table has all of them', () => {
    for (const kind of FINDING_KINDS.filter((one) => one !== 'discInPath' && one !== 'partInPath'))
      expect(waysToSay(kind).length, kind).toBeGreaterThan(0);
    expect(cases.length).toBeGreaterThan(80);
  });
  test.each(cases)('%s, said at %s', (kind, where, bodies) => {
    const ticket = ticketOf(kind, bodies);
    const row = rowOf(kind);
    const mine = findingsOf(ticket).filter((one) => one.kind === kind);
    // The ledger has it, and says where it was said.
    if (where !== 'Measure') expect(mine.length, 'the ledger').toBeGreaterThan(0);
    const found = mine[0] ?? findingsOf(ticket)[0];
    expect(found?.from).not.toBe('');
    // Find's adviser hears of it.
    const answer = found && rowOf(found.kind).answers[found.thing];
    if (answer) {
      const heard = answersOf(ticket).find(({ testId }) => testId === answer[0]);
      expect(heard?.outcome, 'Find').toBe(answer[1]);
    }
    // Measure and Size have the old belt so.
    if (row.belt) expect(asFound(ticket).drives[0]?.oldState, 'the old belt').toBe(row.belt);
    // Dirt on a pulley is its surface at Size; dirt anywhere stands on Clean's map.
    if (row.dirt && found?.placeId) {
      const place = cleanView(ticket).places.find((one) => one.place.id === found.placeId);
      expect(place?.state.standing, 'Clean').toContain(row.dirt);
      if (found.thing === 'drivenPulley' && row.dirt !== 'dry')
        expect(asFound(ticket).drives[0]?.drivenSurface, 'Size').not.toBe('clean');
    }
    if (kind === 'linkOff') expect(asFound(ticket).train.rollers.link, 'the train').toBe('off');
    // What was done is on the papers as done, and ends what it put right.
    if (row.done !== null) {
      expect(handBackText(ticket, 'done').toLowerCase(), 'the letter').toContain(row.done);
      expect(row.ends.length, 'what it ends').toBeGreaterThan(0);
    }
    // The owner reads of it.
    if (row.owner !== null && (row.dirt === null || found?.placeId))
      expect(handBackText(ticket, 'found').toLowerCase(), 'the letter').toContain(
        row.dirt === 'glazed' ? 'glazed' : (rowOf(found?.kind ?? kind).owner ?? '').toLowerCase(),
      );
  });
});

test.each(['oily motor pulley', 'motor pulley oily', 'the motor pulley is wet, oily'])(
  '“%s” is oil on the motor pulley',
  (line) => {
    const ticket = ticketOf('oily', [{ type: 'stepPut', step: step('s1', 1, 'note', line) }]);
    expect(asFound(ticket).drives[0]?.motorSurface).toBe('oily');
  },
);

test('what is taken back in one breath is not told, what is put right is, once; oil all over is oil', () => {
  const told = (line: string) =>
    findingsOf(
      ticketOf('oily', [
        { type: 'stepPut', step: step('s1', 1, 'note', line) },
        { type: 'stepPut', step: step('s2', 2, 'screws', line) },
      ]),
    ).map(({ kind, thing }) => `${kind} ${thing}`);
  expect(told('belt snapped, sorry, only slack')).toEqual(['beltSlack belt']);
  expect(told('two teeth missing off the big gear, 3 screws')).toEqual(['gearStripped gear']);
  expect(told('oil all over both pulleys')).toEqual(['oily motorPulley', 'oily drivenPulley']);
});

describe('what the owner told', () => {
  const told = (words: string) => ticketOf('beltBroken', [{ type: 'complaintPut', complaint: complaint('k', words) }]);
  test.each(
    FINDING_KINDS.flatMap((kind) =>
      LINE[kind] && rowOf(kind).nature === 'fault' ? [[kind, LINE[kind]] as const] : [],
    ),
  )('%s is known as told, offered at Find, and leads nothing: “%s”', (kind, words) => {
    const ticket = told(words ?? '');
    const mine = findingsOf(ticket).filter((one) => one.kind === kind);
    expect(mine.map(({ how }) => how)).toEqual(mine.map(() => 'told'));
    expect(mine.length).toBeGreaterThan(0);
    expect(answersOf(ticket)).toEqual([]);
    expect(asFound(ticket).drives[0]?.oldState).toBe('unknown');
    expect(handBackText(ticket, 'found')).toBe('');
    const answer = mine[0] && rowOf(kind).answers[mine[0].thing];
    const loaders = KNOWLEDGE.tests.find(({ id }) => id === answer?.[0])?.loaders ?? [];
    if (answer && loaders.includes(ticket.loader))
      expect(offeredAnswers(ticket, KNOWLEDGE).some(({ testId }) => testId === answer[0])).toBe(true);
  });
  test('what was seen stands before what was told, where both cannot be so', () => {
    const ticket = ticketOf('beltBroken', [
      { type: 'complaintPut', complaint: complaint('k', 'belt snapped') },
      { type: 'stepPut', step: { ...step('s1', 1, 'note', 'belt firm'), fate: 'noted' } },
    ]);
    expect(conflictsOf(ticket).map(({ one, other }) => [one.kind, other.kind])).toEqual([['beltFirm', 'beltBroken']]);
  });
});

describe('what nobody has said is known nowhere', () => {
  test.each([
    'belt not broken',
    'belt is not slack',
    'belt no longer slips',
    'no crumbs of the belt',
    'check whether the gear is cracked',
    'is the belt slack?',
    'belt off',
    'switch cleaned',
    'oil off the drive pulley',
    'link left on',
    'the owner says the belt was broken',
    'drive pulley used to be oily',
    'belt nearly broken',
    'roller almost new, not worn',
    'belt off, 2 clips broken',
    'belt guard cracked, broken too',
    'switch bracket bent',
    'drive pulley bracket oily',
    'gear cover cracked',
    'belt off, florb snapped',
    'roller bracket torn off',
    'clamp bridge, one clip broken',
  ])('“%s” tells of no fault', (line) => {
    const ticket = ticketOf('beltSlack', [{ type: 'stepPut', step: step('s1', 1, 'note', line) }]);
    expect(findingsOf(ticket).map(({ kind }) => kind)).toEqual([]);
  });
  test('on a machine of any kind, before anything is said', () => {
    for (const loader of LOADERS) expect(findingsOf({ ...recordOf([opening]).ticket, loader }), loader).toEqual([]);
  });
});

describe('what stands in the table', () => {
  const tests = new Map<string, BenchTest>(KNOWLEDGE.tests.map((one) => [one.id, one]));
  test('answers only tests that there are, with outcomes that they have', () => {
    for (const kind of FINDING_KINDS)
      for (const [testId, outcome] of Object.values(rowOf(kind).answers))
        expect(
          tests.get(testId)?.outcomes.map(({ id }) => id),
          `${kind} ${testId}`,
        ).toContain(outcome);
  });
  test('is against kinds that there are, and they against it', () => {
    for (const kind of FINDING_KINDS)
      for (const other of [...rowOf(kind).against, ...rowOf(kind).ends]) expect(FINDING_KINDS, kind).toContain(other);
  });
});

test('cleaned later, it stands no more; renewed, the belt’s state is the old one’s still', () => {
  const said: EventBody = { type: 'stepPut', step: { ...step('s1', 1, 'note', 'sludge on the drive pulley'), at: AT } };
  const dirty = recordOf([opening, said]).ticket;
  expect(asFound(dirty).drives[0]?.drivenSurface).toBe('oily');
  const put: EventBody = {
    type: 'placePut',
    place: { ...newPlace('drive-a-driven', 'drivenPulley'), number: 3, driveId: 'drive-a' },
  };
  const cleaned: EventBody = {
    type: 'treated',
    treatment: {
      id: 't',
      at: '2026-01-12T10:00:00Z',
      placeId: 'drive-a-driven',
      deed: 'wipe',
      agent: 'isopropanol',
      way: 'swab',
      strokes: 0,
      amount: '',
      swabs: ['clean', 'clean'],
      outcome: 'unknown',
      line: '',
    },
  };
  expect(asFound(recordOf([opening, said, put, cleaned]).ticket).drives[0]?.drivenSurface).toBe('clean');
});

test('a kind that is the sight of a cause names one that Find knows', () => {
  const causes = new Set(KNOWLEDGE.causes.map(({ id }) => id));
  for (const kind of FINDING_KINDS) {
    const { is } = rowOf(kind);
    if (is !== null) expect(causes.has(is), kind).toBe(true);
  }
});
