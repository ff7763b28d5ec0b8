import { describe, expect, test } from 'vitest';
import { complaint, cycle, opening, reading, recordOf, step, tried } from '../../../fixtures/sample';
import { checksFor, newCheck } from '../../work/proving';
import { summarise, type EventBody } from '../../record/ticket';
import { openEnds } from '.';
import { STATIONS } from '../../record/stations';

describe('what speaks against handing back', () => {
  const words = (list: readonly EventBody[]) => openEnds(recordOf(list).ticket).map((end) => end.words);
  const cleanRun: EventBody = { type: 'cleanRunBegun', cleanRun: { id: 'p1', startedAt: '2026-01-12T10:10:00Z' } };
  const stationsDone: EventBody[] = [
    ...STATIONS.map((station): EventBody => ({ type: 'stationMarked', station, mark: 'done' })),
    ...checksFor('tray').map((kind): EventBody => ({ type: 'checkPut', check: { ...newCheck(kind), state: 'shown' } })),
  ];
  const answered: EventBody = { type: 'complaintPut', complaint: { ...complaint('k1', 'shy'), state: 'cured' } };
  const done: EventBody = { type: 'handBackWritten', changes: { done: 'Belt renewed.' } };

  test('an unanswered complaint and unwritten work; no station asks to be signed off', () => {
    const ends = words([opening]);
    expect(ends[0]).toBe('“shy on cold mornings” is not answered yet.');
    expect(ends.some((one) => one.includes('still open'))).toBe(false);
    expect(ends[ends.length - 1]).toBe('What was done is not written yet.');
  });
  test('nothing, once all is done and answered; that nothing was done at all is said', () => {
    const nothing = 'Nothing was measured, taken apart, cleaned, fitted or proved: it goes as it came.';
    expect(words([opening, ...stationsDone, answered, done])).toEqual([]);
    expect(words([opening, answered, done])).toContain(nothing);
    const measured: EventBody = {
      type: 'readingTaken',
      driveId: 'drive-a',
      reading: reading('r', 'section', 'sectionJaws', 1.2),
    };
    expect(words([opening, answered, done, measured])).not.toContain(nothing);
  });
  test('a failure counted and never proved cured; a clean run that failed; no disc tried', () => {
    const base = [opening, ...stationsDone, answered, done];
    expect(words([...base, { type: 'cycleLogged', cycle: cycle('c1', 'bad') }])).toEqual([
      'It failed when it came, and no clean run was begun since.',
      'No cycle was counted with a disc in since the last treatment.',
    ]);
    const proved = [
      ...base,
      cleanRun,
      { type: 'cycleLogged', cycle: { ...cycle('c2', 'good', 'p1'), loaded: true } },
    ] as const;
    expect(words(proved)).toEqual([]);
    expect(words([...proved, { type: 'cycleLogged', cycle: cycle('c3', 'helped', 'p1') }])).toEqual([
      'The last clean run failed: not cured.',
    ]);
  });
  test('checks that are not done or failed; none where Prove is not needed', () => {
    const base: EventBody[] = [opening, ...stationsDone, answered, done];
    const failed: EventBody = { type: 'checkPut', check: { ...newCheck('trayHeld'), state: 'failed', note: '' } };
    expect(words([...base, failed])).toEqual(['Failed: A hand cannot stall it.']);
    const blank: EventBody = { type: 'checkPut', check: { ...newCheck('trayHeld'), state: 'notDone', note: '' } };
    expect(words([...base, blank])).toEqual(['1 of 6 checks not done.']);
    const notNeeded: EventBody = { type: 'stationMarked', station: 'prove', mark: 'notNeeded' };
    expect(words([...base, blank, notNeeded])).toEqual([]);
    const notShown: EventBody = {
      type: 'checkPut',
      check: { ...newCheck('trayHeld'), state: 'notShown', note: 'no scale' },
    };
    expect(words([...base, notShown])).toEqual([]);
  });
  test('the lid: off, or on and nothing run since', () => {
    const base: EventBody[] = [opening, ...stationsDone, answered, done];
    const lid = (state: 'on' | 'off', since: string): EventBody => ({ type: 'lidSaid', lid: { state, since } });
    expect(words([...base, lid('off', '2026-01-12T10:00:00Z')])).toEqual(['The lid is off.']);
    const run: EventBody = { type: 'cycleLogged', cycle: { ...cycle('c1', 'good'), loaded: true, disc: 'junk' } };
    expect(words([...base, run, lid('on', '2026-01-12T10:30:00Z')])).toEqual([
      'Not powered since the lid went on: no cycle was counted.',
    ]);
    expect(words([...base, run, lid('on', '2026-01-12T09:30:00Z')])).toEqual([]);
  });
  test('what it failed under and was not proved under, and a belt not looked at after a treatment', () => {
    const list: EventBody[] = [
      opening,
      ...stationsDone,
      answered,
      done,
      { type: 'cycleLogged', cycle: cycle('c1', 'bad') },
      { type: 'treatmentRecorded', treatment: { id: 'h1', at: '2026-01-12T09:59:00Z', what: 'cleaned' } },
      cleanRun,
      { type: 'cycleLogged', cycle: { ...cycle('c2', 'good', 'p1'), loaded: true, conditions: ['warm'] } },
    ];
    expect(words(list)).toEqual([
      'Not proved: it failed opening, empty, cold, and of that 0 of 3 clean cycles are there; the other one proves nothing of it.',
      'Not looked at after the last treatment. Drive A: the same test of its belt.',
    ]);
  });
  test('a disc that did not go back, and something provisional without its day', () => {
    const base: EventBody[] = [opening, ...stationsDone, answered, done];
    const disc = { id: 'd', whose: 'the owner', where: 'on the clamp', condition: '', out: '', returned: false };
    expect(words([...base, { type: 'discPut', disc }])).toEqual(['A disc is not accounted for: the owner.']);
    expect(words([...base, { type: 'discPut', disc: { ...disc, returned: true } }])).toEqual([]);
    const band: EventBody = { type: 'handBackWritten', changes: { provisional: 'a band is in' } };
    expect(words([...base, band])).toEqual(['Something is provisional, with no day to look at it again.']);
    const dated: EventBody = { type: 'handBackWritten', changes: { dueOn: '2026-05-01' } };
    expect(words([...base, band, dated])).toEqual([]);
    expect(summarise(recordOf([...base, band, dated])).due).toEqual({ what: 'a band is in', on: '2026-05-01' });
  });
  test('a timer that nobody has seen to, and a belt not judged right', () => {
    const timer = {
      id: 'w',
      what: 'drying',
      startedAt: '2026-01-12T09:05:00Z',
      endsAt: '2026-01-12T09:10:00Z',
      endedAt: null,
    };
    const base: EventBody[] = [opening, ...stationsDone, answered, done];
    expect(words([...base, { type: 'timerPut', timer }])).toEqual(['A timer is still to be seen to: drying.']);
    expect(words([...base, { type: 'timerPut', timer: { ...timer, endedAt: timer.endsAt } }])).toEqual([]);
    const logged: EventBody = {
      type: 'tryLogged',
      driveId: 'drive-a',
      try: tried('t', 116),
    };
    expect(words([...base, logged])).toEqual(['Drive A: the last belt is not judged right.']);
  });
  test('a belt that came on after the last clean cycle is not proved by what ran before it', () => {
    const ran: EventBody = { type: 'cycleLogged', cycle: { ...cycle('c1', 'good'), cleanRunId: 'p1' } };
    const fit = (at: string): EventBody[] => [
      { type: 'tryLogged', driveId: 'drive-a', try: { ...tried('t', 116), verdict: 'right' } },
      { type: 'treatmentRecorded', treatment: { id: 't', at, what: 'fitted 116 × 1.2' } },
    ];
    const before = cycle('c1', 'good').at;
    const said = (at: string) => words([opening, cleanRun, ran, ...fit(at)]).filter((one) => one.startsWith('Since'));
    expect(said(`${before.slice(0, 10)}T00:00:00Z`)).toEqual([]);
    expect(said('2027-01-01T00:00:00Z')).toEqual([
      'Since the last clean cycle it was fitted 116 × 1.2: nothing proves that yet.',
    ]);
  });
  test('two findings of which nobody said which is so; a deck that nobody spoke of while the other was worked on', () => {
    const line = (id: string, words: string): EventBody => ({
      type: 'stepPut',
      step: { ...step(id, Number(id.slice(1)), 'note', words), fate: 'noted' },
    });
    expect(words([opening, line('s1', 'belt in crumbs'), line('s2', 'belt snapped')])).toContain(
      'Both cannot be so: belt dissolved, and belt broken. Nobody said which.',
    );
    const twin: EventBody =
      opening.type === 'ticketOpened' ? { ...opening, details: { ...opening.details, loader: 'twinTray' } } : opening;
    const second: EventBody = { type: 'driveAdded', driveId: 'drive-b', name: 'B' };
    const measured: EventBody = {
      type: 'readingTaken',
      driveId: 'drive-a',
      reading: reading('r1', 'section', 'sectionJaws', 1.2),
    };
    const silent = 'Nothing was said of drive B: neither looked at nor tried.';
    expect(words([twin, second, measured])).toContain(silent);
    expect(words([twin, second])).not.toContain(silent);
    expect(
      words([
        twin,
        second,
        measured,
        { type: 'readingTaken', driveId: 'drive-b', reading: reading('r2', 'section', 'sectionJaws', 1.2) },
      ]),
    ).not.toContain(silent);
  });
});
