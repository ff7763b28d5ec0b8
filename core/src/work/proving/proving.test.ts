import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { noneAfterChance } from '../../base/statistics';
import {
  chanceWords,
  checksFor,
  circumstanceWords,
  cleanWanted,
  cycleTable,
  failedKinds,
  failedUnder,
  kindWords,
  leastClean,
  besideCount,
  figureWords,
  mayBeginCleanRun,
  ownersDiscTooEarly,
  cleanRunState,
  tally,
  tallyWords,
  timedPairs,
  timesWords,
  unprovableWords,
  wantedWords,
  type Cycle,
  type CycleResult,
} from '.';

let count = 0;
const cycle = (result: CycleResult, more: Partial<Cycle> = {}): Cycle => ({
  id: `c${count++}`,
  at: '2026-02-01T10:00:00Z',
  action: 'open',
  result,
  seconds: null,
  loaded: false,
  disc: 'none',
  place: '',
  conditions: [],
  cleanRunId: null,
  ...more,
});
const times = (n: number, make: () => Cycle): Cycle[] => Array.from({ length: n }, make);

describe('how many clean cycles', () => {
  // The working paper's three cases; the first is worked in the tests of Fisher's and of the exact interval.
  test.each([
    [4, 12, 8, 12, 29],
    [3, 12, 11, 19, 54],
    [1, 20, 59, 381, 2367],
  ])('%i of %i: %i, %i, %i', (k, n, plugIn, fisher, cautious) => {
    expect(cleanWanted(k, n)).toEqual({ plugIn, fisher, cautious });
  });
  test('the test’s count is the first that parts before from after', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 0, max: 60 }), (k, more) => {
        const n = k + more;
        const wanted = cleanWanted(k, n);
        expect(noneAfterChance(k, n, wanted?.fisher ?? 0)).toBeLessThan(0.05);
        if ((wanted?.fisher ?? 0) > 1)
          expect(noneAfterChance(k, n, (wanted?.fisher ?? 0) - 1)).toBeGreaterThanOrEqual(0.05);
        expect(wanted?.cautious).toBeGreaterThanOrEqual(wanted?.plugIn ?? 0);
      }),
    );
  });
  test('a fault never seen, or impossible counts, give none', () => {
    expect(cleanWanted(0, 20)).toBeUndefined();
    expect(cleanWanted(5, 4)).toBeUndefined();
  });
  test('what cannot be proved on a bench is said', () => {
    expect(unprovableWords(cleanWanted(1, 20), 1)).toContain('381 clean cycles');
    expect(unprovableWords(undefined, 0)).toContain('never failed here');
    expect(unprovableWords(cleanWanted(4, 12), 4)).toBeUndefined();
  });
  test('each reading says what it means', () => {
    const wanted = cleanWanted(4, 12);
    expect(wanted && wantedWords(wanted).map(({ count: n }) => n)).toEqual([8, 12, 29]);
  });
});

describe('counting', () => {
  const cycles = [
    ...times(4, () => cycle('bad')),
    ...times(7, () => cycle('good')),
    cycle('slow'),
    ...times(12, () => cycle('good', { loaded: true })),
    cycle('helped', { action: 'close', place: 'deck 2' }),
  ];
  test('helped is a failure, slow is not but is counted', () => {
    expect(tally(cycles)).toEqual({ n: 25, failures: 5, slow: 1 });
  });
  test('the table parts decks, actions, empty from loaded, and says what chance would do', () => {
    const [first, second] = cycleTable(cycles);
    expect(first).toMatchObject({ action: 'open', empty: { n: 12, failures: 4 }, loaded: { n: 12, failures: 0 } });
    // Two-sided by symmetry of equal groups: twice C(12,4)/C(24,4).
    expect(first?.chance).toBeCloseTo((2 * 495) / 10_626, 6);
    expect(first && chanceWords(first)).toBe('Chance alone would give so large a difference 1 time in 11.');
    expect(second).toMatchObject({ place: 'deck 2', action: 'close' });
    expect(second && chanceWords(second)).toContain('both empty and loaded');
  });
  test('in words, with the bound that is shown', () => {
    expect(tallyWords({ n: 12, failures: 4, slow: 0 })).toBe(
      '4 of 12 failed. As counted, it may truly fail 10 to 65 times in 100 (exact, 19 in 20).',
    );
    expect(tallyWords({ n: 20, failures: 0, slow: 0 })).toContain('up to 14 times in 100 (95 % confidence)');
    expect(tallyWords({ n: 0, failures: 0, slow: 0 })).toBe('Nothing counted yet.');
  });
});

describe('a clean run', () => {
  const cleanRun = { id: 'p1', startedAt: '2026-02-01T10:00:00Z' };
  test('ends at its first failure, whatever comes after', () => {
    const run = [
      ...times(8, () => cycle('good', { cleanRunId: 'p1' })),
      cycle('bad', { cleanRunId: 'p1' }),
      ...times(9, () => cycle('good', { cleanRunId: 'p1' })),
    ];
    expect(cleanRunState(cleanRun, run)).toMatchObject({ clean: 8, failedAt: 9 });
  });
  test('counts its own cycles only, slow ones among them', () => {
    const run = [
      cycle('bad'),
      cycle('good', { cleanRunId: 'p0' }),
      cycle('slow', { cleanRunId: 'p1' }),
      cycle('good', { cleanRunId: 'p1' }),
    ];
    expect(cleanRunState(cleanRun, run)).toEqual({ cleanRun, clean: 2, slow: 1 });
  });
  test('begins anew only after a treatment since the last began', () => {
    expect(mayBeginCleanRun([], [])).toBe(true);
    expect(mayBeginCleanRun([cleanRun], [])).toBe(false);
    expect(mayBeginCleanRun([cleanRun], [{ id: 't', at: '2026-02-01T09:00:00Z', what: 'cleaned' }])).toBe(false);
    expect(mayBeginCleanRun([cleanRun], [{ id: 't', at: '2026-02-01T11:00:00Z', what: 'belt renewed' }])).toBe(true);
  });
});

describe('only cycles of the kind that failed prove anything about it', () => {
  const cleanRun = { id: 'p1', startedAt: '2026-02-01T11:00:00Z' };
  const failing = [
    ...times(2, () => cycle('bad', { conditions: ['cold'] })),
    ...times(2, () => cycle('good', { conditions: ['cold'] })),
    ...times(6, () => cycle('good', { conditions: ['warm'] })),
    ...times(4, () => cycle('good', { action: 'close' })),
  ];
  const clean = (n: number, more: Partial<Cycle>) => times(n, () => cycle('good', { cleanRunId: 'p1', ...more }));
  test('eleven closings with a disc in prove nothing of two failed openings in four, empty and cold', () => {
    const cycles = [...failing, ...clean(11, { action: 'close', loaded: true, conditions: ['cold'] })];
    const [kind, other] = failedKinds(cycles, cleanRun);
    expect(other).toBeUndefined();
    expect(kind && kindWords(kind)).toBe('opening, empty, cold');
    // 2 of 4 of just that kind, not 2 of 14: ⌈ln 0.05/ln(1 − 2/4)⌉ = 5.
    expect(kind).toMatchObject({ n: 4, failures: 2, clean: 0, always: false, wanted: { plugIn: 5 } });
    expect(kind && besideCount(cycles, cleanRun, [kind])).toBe(11);
  });
  test('each clean cycle counts for the kind that it is of, and for no other (a law)', () => {
    const places = fc.constantFrom('', 'deck 2');
    const one = fc.record({
      action: fc.constantFrom<Cycle['action']>('open', 'close'),
      place: places,
      loaded: fc.boolean(),
      bad: fc.boolean(),
      after: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 40 }), (list) => {
        const cycles = list.map(({ bad, after, ...more }) =>
          cycle(bad && !after ? 'bad' : 'good', { ...more, cleanRunId: after ? 'p1' : null }),
        );
        const kinds = failedKinds(cycles, cleanRun);
        const run = cycles.filter(({ cleanRunId }) => cleanRunId === 'p1').length;
        expect(kinds.reduce((sum, { clean: n }) => sum + n, 0) + besideCount(cycles, cleanRun, kinds)).toBe(run);
        expect(kinds.reduce((sum, { failures }) => sum + failures, 0)).toBe(
          cycles.filter(({ result }) => result === 'bad').length,
        );
      }),
    );
  });
  test('what always failed is proved by its cause and a few cycles, without the arithmetic of rare faults', () => {
    const [kind] = failedKinds([...times(3, () => cycle('bad'))], cleanRun);
    expect(kind).toMatchObject({ always: true, wanted: undefined });
    expect(kind && leastClean(kind)).toBe(3);
  });
  test('failing empty and loaded is one kind; a trial counts for nothing', () => {
    const both = [
      cycle('bad'),
      cycle('bad', { loaded: true }),
      cycle('good'),
      cycle('bad', { trial: 'number 7 is out' }),
    ];
    expect(failedKinds(both, cleanRun)).toMatchObject([{ loaded: null, n: 3, failures: 2 }]);
    expect(cleanRunState(cleanRun, [cycle('bad', { cleanRunId: 'p1', trial: 'no belt' })])).toMatchObject({ clean: 0 });
  });
  test('a treatment must come after the failure that it answers', () => {
    const failed = cycle('bad', { cleanRunId: 'p1', at: '2026-02-01T12:00:00Z' });
    const treated = (at: string) => [{ id: 't', at, what: 'belt renewed' }];
    expect(mayBeginCleanRun([cleanRun], treated('2026-02-01T11:30:00Z'), [failed])).toBe(false);
    expect(mayBeginCleanRun([cleanRun], treated('2026-02-01T12:30:00Z'), [failed])).toBe(true);
  });
});

test('what there is to show follows the kind of loader: no tray on a disk drive, every deck where there are several', () => {
  expect(checksFor('diskDrive')).not.toContain('trayHeld');
  expect(checksFor('diskDrive')).toEqual(expect.arrayContaining(['spindleSpeed', 'bothSides']));
  expect(checksFor('carousel')).toContain('eachDeck');
  expect(checksFor('tray')).not.toContain('eachDeck');
  for (const loader of ['tray', 'twinTray', 'carousel', 'slot', 'lift', 'diskDrive', 'wire'] as const) {
    const asked = checksFor(loader);
    expect(new Set(asked).size).toBe(asked.length);
    expect(asked[asked.length - 1]).toBe('afterTheLid');
  }
});

describe('the circumstances of a failure', () => {
  const under = (changes: Partial<Cycle>): Cycle => cycle('bad', changes);
  const cleanRun = { id: 'p1', startedAt: '2026-01-12T10:10:00Z' };
  const cycles = [
    under({ conditions: ['cold', 'lid off'] }),
    under({ conditions: ['cold', 'lid on'] }),
    under({ conditions: ['tapped'], loaded: true, place: 'deck 2' }),
  ];
  test('are told apart by place, disc and conditions; whether the lid is on is none', () => {
    expect(failedUnder(cycles, undefined).map((one) => [circumstanceWords(one), one.failures])).toEqual([
      ['opening, empty, cold', 2],
      ['opening, deck 2, loaded, tapped', 1],
    ]);
  });
  test('count a clean run’s clean cycles only where all of them held', () => {
    const clean = (changes: Partial<Cycle>): Cycle => cycle('good', { cleanRunId: 'p1', ...changes });
    const proved = [...cycles, clean({ conditions: ['cold', 'dark'] }), clean({ conditions: ['warm'] })];
    expect(failedUnder(proved, cleanRun).map((one) => one.clean)).toEqual([1, 0]);
  });
  test('the owner’s disc is too early until a worthless one ran clean since', () => {
    const junk = cycle('good', { disc: 'junk', loaded: true, at: '2026-01-12T10:00:00Z' });
    expect(ownersDiscTooEarly([], '')).toBe(true);
    expect(ownersDiscTooEarly([junk], '')).toBe(false);
    expect(ownersDiscTooEarly([junk], '2026-01-12T11:00:00Z')).toBe(true);
    expect(ownersDiscTooEarly([{ ...junk, result: 'helped' }], '')).toBe(true);
  });
});

test('timed tests stand before beside after, with their retries', () => {
  const timing = (side: 'before' | 'after', seconds: number | null, retries: number) =>
    ({ id: `${side}${retries}`, at: '', what: 'time to load', side, seconds, retries }) as const;
  const [pair] = timedPairs([timing('before', 9.24, 2), timing('before', null, 0), timing('after', 4, 1)]);
  expect(pair && [timesWords(pair.before), timesWords(pair.after)]).toEqual([
    '9.2 s after 2 retries, never got there',
    '4.0 s after 1 retry',
  ]);
});

test('a figure says how far it is off', () => {
  expect(figureWords('spindleSpeed', { figure: 301.2, wanted: 300 })).toBe('301.2 rpm, 0.4 % over 300');
  expect(figureWords('spindleSpeed', { figure: 300, wanted: 300 })).toBe('300 rpm, as it should be, 300');
  expect(figureWords('trayHeld', { figure: 3, wanted: null })).toBe('3 N');
  expect(figureWords('beforeTheLid', { figure: 3, wanted: 1 })).toBe('');
});
