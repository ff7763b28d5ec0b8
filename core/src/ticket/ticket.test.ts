import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { checksFor } from '../proving';
import { complaint, cycle, everything, opening, reading, recordOf, stamp } from '../../fixtures/sample';
import {
  append,
  applyEvent,
  describeEvent,
  eventPlace,
  openEnds,
  redoTarget,
  STATIONS,
  replay,
  summarise,
  timeline,
  undoTarget,
  type Happening,
  type TicketRecord,
} from '.';

const then = (record: TicketRecord, happening: Happening, id: string, gesture?: string): TicketRecord => {
  const next = append(record, { ...happening, id, at: '2026-02-01T10:00:00Z', ...(gesture && { gesture }) });
  if (!next.ok) throw new Error(next.problem);
  return next.value;
};
const undo = (record: TicketRecord, id: string) =>
  then(record, { type: 'undone', eventId: undoTarget(record)?.id ?? '' }, id);
const redo = (record: TicketRecord, id: string) =>
  then(record, { type: 'redone', eventId: redoTarget(record)?.id ?? '' }, id);
const note = (text: string): Happening => ({ type: 'noteWritten', station: 'find', text });

test('the snapshot is what the events give, for one of everything', () => {
  const record = recordOf(everything);
  expect(replay(record.events)).toEqual({ ok: true, value: record.ticket });
  expect(record.ticket.drives).toHaveLength(1);
  expect(record.ticket.drives[0]?.readings.map(({ id }) => id)).toEqual(['r1', 'r2']);
  expect(record.ticket.drives[0]?.tries[0]?.verdict).toBe('right');
  expect(record.ticket.stations.clean).toBe('notNeeded');
});

describe('undo', () => {
  const happenings: fc.Arbitrary<Happening> = fc.oneof(
    fc.string().map(note),
    fc
      .constantFrom('open' as const, 'done' as const, 'notNeeded' as const)
      .map((mark): Happening => ({ type: 'stationMarked', station: 'clean', mark })),
    fc.integer({ min: 1, max: 4 }).map((n): Happening => ({
      type: 'readingTaken',
      driveId: 'drive-a',
      reading: reading(`r${n}`, 'motorDiameter', 'motorJaws', n),
    })),
    fc.string().map((machine): Happening => ({ type: 'detailsChanged', changes: { machine } })),
  );
  test('as many undos as events lead back to the opening, and as many redos forward again', () => {
    fc.assert(
      fc.property(fc.array(happenings, { maxLength: 12 }), (list) => {
        const start = recordOf([opening]);
        const end = list.reduce((record, one, i) => then(record, one, `n${i}`), start);
        const back = list.reduce((record, _, i) => undo(record, `u${i}`), end);
        expect(back.ticket).toEqual(start.ticket);
        expect(undoTarget(back)).toBeUndefined();
        const forth = list.reduce((record, _, i) => redo(record, `f${i}`), back);
        expect(forth.ticket).toEqual(end.ticket);
        expect(redoTarget(forth)).toBeUndefined();
      }),
    );
  });
  test('something new after an undo leaves nothing to redo', () => {
    const record = then(undo(then(recordOf([opening]), note('a'), 'n1'), 'u1'), note('b'), 'n2');
    expect(redoTarget(record)).toBeUndefined();
    expect(record.ticket.notes.find).toBe('b');
  });
  test('the history keeps what was taken back', () => {
    const record = undo(then(recordOf([opening]), note('a'), 'n1'), 'u1');
    expect(timeline(record).map(({ event, undone }) => [event.type, undone])).toEqual([
      ['ticketOpened', false],
      ['noteWritten', true],
      ['undone', false],
    ]);
  });
  test('opening is not undone', () => expect(undoTarget(recordOf([opening]))).toBeUndefined());
});

test('typing in one gesture is one event; another gesture is another', () => {
  const typed = then(then(recordOf([opening]), note('a'), 'n1', 'g1'), note('ab'), 'n2', 'g1');
  expect(typed.events).toHaveLength(2);
  expect(then(typed, note('abc'), 'n3', 'g2').events).toHaveLength(3);
  expect(undo(typed, 'u1').ticket.notes.find).toBe('');
});

test('events that speak of what is not there are refused, and change nothing', () => {
  const record = recordOf([opening]);
  const [first] = stamp([opening]);
  const refusals: Happening[] = [
    { type: 'readingTaken', driveId: 'nowhere', reading: reading('r', 'section', 'sectionJaws', 1) },
    { type: 'driveAdded', driveId: 'drive-a', name: 'A' },
    { type: 'driveRemoved', driveId: 'drive-a' },
    opening,
  ];
  for (const happening of refusals)
    expect(append(record, { ...happening, id: 'x', at: '2026-02-01T10:00:00Z' }).ok).toBe(false);
  expect(first && applyEvent(undefined, { ...first, type: 'ticketClosed' } as never).ok).toBe(false);
  expect(replay([]).ok).toBe(false);
});

test('every event says where it acted and what it did', () => {
  const record = recordOf(everything);
  for (const event of record.events) {
    expect(describeEvent(event, record.ticket, 'mm')).not.toBe('');
    expect(eventPlace(event).station).toBeDefined();
  }
  const taken = record.events.find(({ type }) => type === 'readingTaken');
  expect(taken && describeEvent(taken, record.ticket, 'mm')).toBe('belt section 1.2 mm');
});

test('the summary carries what the Bench shows, and is searchable', () => {
  const summary = summarise(
    recordOf([
      opening,
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r1', 'motorDiameter', 'motorJaws', 6) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r2', 'driveDiameter', 'driveJaws', 24.8) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r3', 'centreDistance', 'shaftToShaft', 38.2) },
      { type: 'stationMarked', station: 'takeIn', mark: 'done' },
    ]),
  );
  expect(summary.next).toBe('find');
  expect(summary.marks).toBe('doooooooo');
  expect(summary.sketch).toMatchObject({ motorMm: 6, driveMm: 24.8, centreMm: 38.2 });
  expect(summary.searchText).toContain('listening booth');
});

describe('what speaks against handing back', () => {
  const words = (list: readonly Happening[]) => openEnds(recordOf(list).ticket).map((end) => end.words);
  const proof: Happening = { type: 'proofBegun', proof: { id: 'p1', startedAt: '2026-01-12T10:10:00Z' } };
  const stationsDone: Happening[] = [
    ...STATIONS.map((station): Happening => ({ type: 'stationMarked', station, mark: 'done' })),
    ...checksFor('tray').map((kind): Happening => ({ type: 'checkPut', check: { kind, state: 'shown', note: '' } })),
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
    const failed: Happening = { type: 'checkPut', check: { kind: 'trayHeld', state: 'failed', note: '' } };
    expect(words([...base, failed])).toEqual(['Failed: A hand cannot stall it.']);
    const blank: Happening = { type: 'checkPut', check: { kind: 'trayHeld', state: 'blank', note: '' } };
    expect(words([...base, blank])).toEqual(['1 of 6 proofs are blank.']);
    const notNeeded: Happening = { type: 'stationMarked', station: 'prove', mark: 'notNeeded' };
    expect(words([...base, blank, notNeeded])).toEqual([]);
    const notShown: Happening = { type: 'checkPut', check: { kind: 'trayHeld', state: 'notShown', note: 'no scale' } };
    expect(words([...base, notShown])).toEqual([]);
  });
  test('a disc that did not go back, and something provisional without its day', () => {
    const base: Happening[] = [opening, ...stationsDone, answered, done];
    const disc = { id: 'd', whose: 'the owner', where: 'on the clamp', condition: '', returned: false };
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
        verdict: 'untried',
        note: '',
      },
    };
    expect(words([...base, tried])).toEqual(['Drive A: the last belt is not judged right.']);
  });
});

test('a second proof is refused until something was done, and says so', () => {
  const record = recordOf([opening, { type: 'proofBegun', proof: { id: 'p1', startedAt: '2026-01-12T10:10:00Z' } }]);
  const again = append(record, {
    type: 'proofBegun',
    proof: { id: 'p2', startedAt: '2026-01-12T10:20:00Z' },
    id: 'x',
    at: '2026-01-12T10:20:00Z',
  });
  expect(!again.ok && again.problem).toContain('record the treatment first');
  const stray = append(record, {
    type: 'cycleLogged',
    cycle: cycle('c', 'good', 'never'),
    id: 'y',
    at: '2026-01-12T10:20:00Z',
  });
  expect(!stray.ok && stray.problem).toContain('never begun');
});
