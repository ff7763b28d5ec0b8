import { describe, expect, test } from 'vitest';
import { TRAY } from '../../../fixtures/cycleMachine';
import { opening, reading, recordOf, step, tried } from '../../../fixtures/sample';
import { DEFAULT_PRIORS, DEFAULT_REQUIREMENTS } from '../../belts/sizing';
import { driveView } from '../drive';
import { EMPTY_TRAIN, guessedMember } from '../../physics/train';
import { ON_THE_BENCH, cycle } from '../../physics/cycle';
import type { EventBody, Ticket } from '../../record/ticket';
import { complaintConditions } from '../evidence';
import { coldOf, againstWatch, clicksHeard, clicksIn, eventWords, headlineOf, inHundredOf, toCsv, whyApart } from '.';
import { placesOnWay, rollersOf, seriesOf, switchOf } from './onTheWay';

const { ticket } = recordOf([opening]);
const said = (words: string): Ticket => ({
  ...ticket,
  complaints: [{ ...(ticket.complaints[0] as Ticket['complaints'][number]), words, state: 'open', drivetrain: true }],
});

describe('in the cold', () => {
  test.each(['does not open on cold mornings', 'not only in the cold', 'it is not the cold'])(
    '“%s” is an owner who speaks of it, and nothing that was found',
    (words) => {
      expect(coldOf(said(words))).toBe('told');
      expect(complaintConditions(said(words)).roomC).toBe(20);
    },
  );
  test.each(['does not open', 'works in the cold, stalls when warm'])('“%s” is none', (words) =>
    expect(coldOf(said(words))).toBeNull(),
  );
  test('a test at Find finds it, and stands above the words', () => {
    const answered = (outcome: string): Ticket => ({
      ...said('does not open on cold mornings'),
      observations: [{ id: 'o', at: '2026-01-01T10:00:00Z', testId: 'warm', outcome, driveId: null }],
    });
    expect(complaintConditions(answered('betterWarm')).roomC).toBe(8);
    expect(coldOf(answered('alike'))).toBeNull();
  });
});

describe('a cycle in words', () => {
  const made = cycle(TRAY, ON_THE_BENCH);
  if (!made.ok) throw new Error(made.problem);
  test('its headline, its events, its table', () => {
    expect(headlineOf(made.value, 'tray')).toBe('Goes cleanly');
    expect(headlineOf({ ...made.value, outcome: 'slips', slipS: 0.4 }, 'tray')).toBe('Arrives, slipping for 0.4 s');
    expect(headlineOf({ ...made.value, outcome: 'givesBack', whereMm: 74 }, 'tray')).toBe(
      'Stands at 74 mm, and goes back',
    );
    expect(made.value.events.map((one) => eventWords(one, 'tray'))).toEqual([
      'The tray starts',
      'It binds at 70 mm, with 0.30 N more',
      'The switch says enough at 118 mm',
      'All rests',
    ]);
    const lines = toCsv(made.value.trace, false).trim().split('\r\n');
    expect(lines).toHaveLength(made.value.trace.timeS.length + 1);
    expect(lines[0]).toContain('belt 1 pull N');
  });
  test('no chance is surer than what it rests on', () => {
    expect(inHundredOf(1)).toBe('99 in 100');
    expect(inHundredOf(0)).toBe('none in 100');
    expect(inHundredOf(0.61)).toBe('61 in 100');
  });
  test('a watch beside it: slower, quicker, as it should', () => {
    const timeS = [1.5, 1.7, 1.9] as const;
    expect(againstWatch([2.4], { timeS })).toContain('something still binds, or the belt slips for about 0.7 s');
    expect(againstWatch([1.8], { timeS })).toContain('as it should');
    expect(againstWatch([0.9], { timeS })).toContain('quicker');
    expect(againstWatch([], { timeS })).toBe('');
  });
  test('where the movement says otherwise than the sums at rest, why', () => {
    const shares = { opens: 0.7, slips: 0.05, stalls: 0, givesBack: 0.2, overruns: 0.05 };
    expect(whyApart({ atRest: 0.95, shares })).toContain('95 in 100');
    expect(whyApart({ atRest: 0.81, shares })).toBe('');
  });
});

describe('what was found on its way', () => {
  const noted = (line: string): EventBody => ({
    type: 'stepPut',
    step: { ...step('s1', 1, 'note', line), fate: 'noted' },
  });
  const of = (...bodies: EventBody[]): Ticket => recordOf([opening, ...bodies]).ticket;
  const place = (id: string, atMm: number, kind: 'binds' | 'clicks' = 'binds') => ({
    id,
    kind,
    atMm,
    overMm: 4,
    forceN: 1.5,
  });
  test.each([
    ['tray binds at 74 mm', [74]],
    ['the drawer sticks halfway', [79]],
    ['tray does not bind at 74 mm', []],
    ['the owner says the tray binds at 74 mm', []],
    ['tray binds', []],
  ] as const)('“%s” at Strip binds at %j', (line, at) => {
    const places = placesOnWay(of(noted(line)), 158);
    expect(places.map(({ fromMm, toMm }) => (fromMm + toMm) / 2)).toEqual(at);
    expect(places.every(({ forceN }) => forceN === null)).toBe(true);
  });
  test('what stands on the train is the place that a line told near it, and a click asks for nothing', () => {
    const ticket = of(noted('tray binds at 74 mm'), {
      type: 'placesPut',
      places: [place('a', 76), place('b', 12, 'clicks')],
    });
    expect(placesOnWay(ticket, 158)).toEqual([{ kind: 'binds', name: 'it binds', fromMm: 74, toMm: 78, forceN: 1.5 }]);
    expect(clicksHeard(ticket)).toEqual([12]);
    const made = cycle(TRAY, ON_THE_BENCH);
    const [click] = made.ok ? clicksIn(made.value, [12, 4000]) : [];
    expect(click?.atMm).toBe(12);
    expect(click?.atS).toBeGreaterThan(0.02);
  });
  test('a switch is as it was found until it is put right', () => {
    const torn = of(noted('limit switch bent'));
    expect(switchOf(of())).toBe('clean');
    expect(switchOf(torn)).toBe('stuck');
    expect(
      switchOf(
        of(noted('limit switch bent'), {
          type: 'stepPut',
          step: { ...step('s2', 2, 'note', 'limit switch bent back'), fate: 'noted' },
        }),
      ),
    ).toBe('clean');
  });
  test('rollers pass what a disc pulled back tells, the glazed one less of it; a tray has none', () => {
    const roller = (id: string, surface: 'tacky' | 'glazed') => ({
      id,
      name: id,
      diametersMm: [],
      surface,
      driven: true,
    });
    const rollers = { ...EMPTY_TRAIN.rollers, list: [roller('a', 'tacky'), roller('b', 'glazed')], pullBackN: 2 };
    const train = { ...EMPTY_TRAIN, rollers };
    const both = rollersOf({ loader: 'slot', train });
    expect(both?.leftN).toBeCloseTo(1.5, 9);
    expect(both?.rightN).toBeCloseTo(0.5, 9);
    expect(rollersOf({ loader: 'slot', train: { ...train, rollers: { ...rollers, pullBackN: null } } })?.leftN).toBe(
      1.5,
    );
    expect(rollersOf({ loader: 'tray', train })).toBeUndefined();
  });
  test('two belts in a row are one turning, where both are known; beside each other they are not', () => {
    const bench = { priors: DEFAULT_PRIORS, requirements: DEFAULT_REQUIREMENTS };
    const read = (driveId: string): EventBody[] => [
      { type: 'readingTaken', driveId, reading: reading(`${driveId}m`, 'motorDiameter', 'motorJaws', 6) },
      { type: 'readingTaken', driveId, reading: reading(`${driveId}d`, 'drivenDiameter', 'drivenJaws', 24.8) },
      { type: 'readingTaken', driveId, reading: reading(`${driveId}c`, 'centreDistance', 'shaftToShaft', 38.2) },
      { type: 'tryLogged', driveId, try: tried(`${driveId}t`, 116, 'untried') },
    ];
    const members = (secondFrom: string[]) => [
      { ...guessedMember('motor', null), id: 'm', number: 1 },
      { ...guessedMember('beltDrive', 'drive-a'), id: 'a', number: 2, name: 'first' },
      { ...guessedMember('beltDrive', 'drive-b'), id: 'b', number: 3, name: 'second', from: secondFrom },
    ];
    const both = (secondFrom: string[]): ReturnType<typeof seriesOf> => {
      const ticket = of({ type: 'driveAdded', driveId: 'drive-b', name: 'B' }, ...read('drive-a'), ...read('drive-b'), {
        type: 'trainPut',
        members: members(secondFrom),
      });
      const views = ticket.drives.map((one) => driveView(ticket, one, bench));
      return seriesOf(ticket, 'drive-b', views);
    };
    expect(both([])?.map(({ name, drive }) => [name, drive === null])).toEqual([
      ['first', false],
      ['second', true],
    ]);
    expect(both([])?.[1]?.driverTurns).toBeCloseTo(7.2 / 26, 2);
    expect(both(['m'])).toBeUndefined();
  });
});
