import { describe, expect, test } from 'vitest';
import { complaint, cycle, opening, recordOf } from '../../fixtures/sample';
import { checksFor, newCheck } from '../proving';
import { STATIONS, summarise, type Happening } from '../ticket';
import { openEnds } from '.';

describe('what speaks against handing back', () => {
  const words = (list: readonly Happening[]) => openEnds(recordOf(list).ticket).map((end) => end.words);
  const proof: Happening = { type: 'proofBegun', proof: { id: 'p1', startedAt: '2026-01-12T10:10:00Z' } };
  const stationsDone: Happening[] = [
    ...STATIONS.map((station): Happening => ({ type: 'stationMarked', station, mark: 'done' })),
    ...checksFor('tray').map((kind): Happening => ({ type: 'checkPut', check: { ...newCheck(kind), state: 'shown' } })),
  ];
  const answered: Happening = { type: 'complaintPut', complaint: { ...complaint('k1', 'shy'), state: 'cured' } };
  const done: Happening = { type: 'handBackWritten', changes: { done: 'Belt renewed.' } };

  test('an unanswered complaint, open stations and unwritten work', () => {
    const ends = words([opening]);
    expect(ends[0]).toBe('“shy on cold mornings” is not answered yet.');
    expect(ends).toContain('Measure is still open.');
    expect(ends[ends.length - 1]).toBe('What was done is not written yet.');
  });
  test('nothing, once all is done and answered', () =>
    expect(words([opening, ...stationsDone, answered, done])).toEqual([]));
  test('a failure counted and never proved cured; a proof that failed; no disc tried', () => {
    const base = [opening, ...stationsDone, answered, done];
    expect(words([...base, { type: 'cycleLogged', cycle: cycle('c1', 'bad') }])).toEqual([
      'It failed when it came, and no proof was begun since.',
      'No cycle was counted with a disc in since the last treatment.',
    ]);
    const proved = [
      ...base,
      proof,
      { type: 'cycleLogged', cycle: { ...cycle('c2', 'good', 'p1'), loaded: true } },
    ] as const;
    expect(words(proved)).toEqual([]);
    expect(words([...proved, { type: 'cycleLogged', cycle: cycle('c3', 'helped', 'p1') }])).toEqual([
      'The last proof failed: not cured.',
    ]);
  });
  test('proofs that are blank or failed; none where Prove is not needed', () => {
    const base: Happening[] = [opening, ...stationsDone, answered, done];
    const failed: Happening = { type: 'checkPut', check: { ...newCheck('trayHeld'), state: 'failed', note: '' } };
    expect(words([...base, failed])).toEqual(['Failed: A hand cannot stall it.']);
    const blank: Happening = { type: 'checkPut', check: { ...newCheck('trayHeld'), state: 'blank', note: '' } };
    expect(words([...base, blank])).toEqual(['1 of 6 proofs are blank.']);
    const notNeeded: Happening = { type: 'stationMarked', station: 'prove', mark: 'notNeeded' };
    expect(words([...base, blank, notNeeded])).toEqual([]);
    const notShown: Happening = {
      type: 'checkPut',
      check: { ...newCheck('trayHeld'), state: 'notShown', note: 'no scale' },
    };
    expect(words([...base, notShown])).toEqual([]);
  });
  test('the lid: off, or on and nothing run since', () => {
    const base: Happening[] = [opening, ...stationsDone, answered, done];
    const lid = (state: 'on' | 'off', since: string): Happening => ({ type: 'lidSaid', lid: { state, since } });
    expect(words([...base, lid('off', '2026-01-12T10:00:00Z')])).toEqual(['The lid is off.']);
    const run: Happening = { type: 'cycleLogged', cycle: { ...cycle('c1', 'good'), loaded: true, disc: 'junk' } };
    expect(words([...base, run, lid('on', '2026-01-12T10:30:00Z')])).toEqual([
      'Not powered since the lid went on: no cycle was counted.',
    ]);
    expect(words([...base, run, lid('on', '2026-01-12T09:30:00Z')])).toEqual([]);
  });
  test('what it failed under and was not proved under, and a belt not looked at after a treatment', () => {
    const list: Happening[] = [
      opening,
      ...stationsDone,
      answered,
      done,
      { type: 'cycleLogged', cycle: cycle('c1', 'bad') },
      { type: 'treatmentRecorded', treatment: { id: 'h1', at: '2026-01-12T09:59:00Z', what: 'cleaned' } },
      proof,
      { type: 'cycleLogged', cycle: { ...cycle('c2', 'good', 'p1'), loaded: true, conditions: ['warm'] } },
    ];
    expect(words(list)).toEqual([
      'It failed empty, cold; the proof has no cycle so.',
      'Not looked at after the last treatment. Drive A: the same test of its belt.',
    ]);
  });
  test('a disc that did not go back, and something provisional without its day', () => {
    const base: Happening[] = [opening, ...stationsDone, answered, done];
    const disc = { id: 'd', whose: 'the owner', where: 'on the clamp', condition: '', out: '', returned: false };
    expect(words([...base, { type: 'discPut', disc }])).toEqual(['A disc is not accounted for: the owner.']);
    expect(words([...base, { type: 'discPut', disc: { ...disc, returned: true } }])).toEqual([]);
    const band: Happening = { type: 'handBackWritten', changes: { provisional: 'a band is in' } };
    expect(words([...base, band])).toEqual(['Something is provisional, with no day to look at it again.']);
    const dated: Happening = { type: 'handBackWritten', changes: { dueOn: '2026-05-01' } };
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
    const base: Happening[] = [opening, ...stationsDone, answered, done];
    expect(words([...base, { type: 'timerPut', timer }])).toEqual(['A timer is still to be seen to: drying.']);
    expect(words([...base, { type: 'timerPut', timer: { ...timer, endedAt: timer.endsAt } }])).toEqual([]);
    const tried: Happening = {
      type: 'tryLogged',
      driveId: 'drive-a',
      try: {
        id: 't',
        shape: 'square',
        thicknessMm: 1.2,
        widthMm: null,
        innerLengthMm: 116,
        source: '',
        label: '',
        because: 'notSaid',
        verdict: 'untried',
        note: '',
      },
    };
    expect(words([...base, tried])).toEqual(['Drive A: the last belt is not judged right.']);
  });
});
