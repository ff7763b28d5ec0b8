import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { cycle, everything, opening, reading, recordOf, stamp } from '../../../fixtures/sample';
import { newComplaint, STATIONS, type StationId } from '../stations';
import {
  appendAny,
  openRecord,
  describeEvent,
  eventPlace,
  redoTarget,
  replay,
  summarise,
  timeline,
  undoTarget,
  type EventBody,
  type Ticket,
  type TicketEvent,
  type TicketRecord,
} from '.';
import { undoneIds } from './undo';

const then = (record: TicketRecord, body: EventBody, id: string, gesture?: string): TicketRecord => {
  const next = appendAny(record, { ...body, id, at: '2026-02-01T10:00:00Z', ...(gesture && { gesture }) });
  if (!next.ok) throw new Error(next.problem);
  return next.value;
};
const undo = (record: TicketRecord, id: string) =>
  then(record, { type: 'undone', eventId: undoTarget(record)?.id ?? '' }, id);
const redo = (record: TicketRecord, id: string) =>
  then(record, { type: 'redone', eventId: redoTarget(record)?.id ?? '' }, id);
const note = (text: string): EventBody => ({ type: 'noteWritten', station: 'find', text });

test('the snapshot is what the events give, for one of everything', () => {
  const record = recordOf(everything);
  expect(replay(record.events)).toEqual({ ok: true, value: record.ticket });
  expect(record.ticket.drives).toHaveLength(1);
  expect(record.ticket.drives[0]?.readings.map(({ id }) => id)).toEqual(['r1', 'r2']);
  expect(record.ticket.drives[0]?.tries[0]?.verdict).toBe('right');
  expect(record.ticket.stations.clean).toBe('notNeeded');
});

describe('undo', () => {
  const bodies: fc.Arbitrary<EventBody> = fc.oneof(
    fc.string().map(note),
    fc
      .constantFrom('open' as const, 'done' as const, 'notNeeded' as const)
      .map((mark): EventBody => ({ type: 'stationMarked', station: 'clean', mark })),
    fc.integer({ min: 1, max: 4 }).map((n): EventBody => ({
      type: 'readingTaken',
      driveId: 'drive-a',
      reading: reading(`r${n}`, 'motorDiameter', 'motorJaws', n),
    })),
    fc.string().map((machine): EventBody => ({ type: 'detailsChanged', changes: { machine } })),
  );
  test('as many undos as events lead back to the opening, and as many redos forward again', () => {
    fc.assert(
      fc.property(fc.array(bodies, { maxLength: 12 }), (list) => {
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
  const refusals: EventBody[] = [
    { type: 'readingTaken', driveId: 'nowhere', reading: reading('r', 'section', 'sectionJaws', 1) },
    { type: 'driveAdded', driveId: 'drive-a', name: 'A' },
    { type: 'driveRemoved', driveId: 'drive-a' },
    opening,
  ];
  for (const body of refusals)
    expect(appendAny(record, { ...body, id: 'x', at: '2026-02-01T10:00:00Z' }).ok).toBe(false);
  expect(first && openRecord({ ...first, type: 'ticketClosed' } as never).ok).toBe(false);
  expect(replay([]).ok).toBe(false);
});

describe('what an import would refuse does not happen', () => {
  const put = (record: TicketRecord, body: EventBody, id: string) =>
    appendAny(record, { ...body, id, at: '2026-02-01T10:00:00Z' } as TicketEvent);
  test('a list takes as many as its description says, and no more', () => {
    let record = recordOf([opening]);
    for (let count = record.ticket.complaints.length; count < 100; count++) {
      const next = put(record, { type: 'complaintPut', complaint: newComplaint(`c${count}`, 'slow') }, `e${count}`);
      if (!next.ok) throw new Error(next.problem);
      record = next.value;
    }
    const one = put(record, { type: 'complaintPut', complaint: newComplaint('c100', 'slow') }, 'e100');
    expect(!one.ok && one.problem).toContain('at most 100');
    // One that is there already may still be changed.
    expect(put(record, { type: 'complaintPut', complaint: newComplaint('c50', 'stuck') }, 'e101').ok).toBe(true);
  });
  test.each([
    ['a word too long', { type: 'storyTold', story: 'x'.repeat(4001) }],
    ['half a character', { type: 'storyTold', story: 'odd \ud800' }],
    ['a name that is a path', { type: 'driveAdded', driveId: '../a', name: 'B' }],
  ] as const)('%s', (_, body) => {
    const record = recordOf([opening]);
    const refused = put(record, body as EventBody, 'e1');
    expect(!refused.ok && refused.problem).toContain('more than a ticket can keep');
  });
});

test('every event says where it acted and what it did', () => {
  const record = recordOf(everything);
  for (const event of record.events) {
    expect(describeEvent(event, record.ticket, 'mm')).not.toBe('');
  }
  const taken = record.events.find(({ type }) => type === 'readingTaken');
  expect(taken && describeEvent(taken, record.ticket, 'mm')).toBe('belt section 1.2 mm');
});

test.each([
  ['storyTold', 'takeIn', undefined],
  ['wayChosen', 'takeIn', undefined],
  ['questionsSent', 'takeIn', undefined],
  ['noteWritten', 'find', undefined],
  ['observed', 'find', undefined],
  ['stepPut', 'strip', undefined],
  ['readingTaken', 'measure', 'drive-a'],
  ['driveRemoved', 'measure', 'drive-b'],
  ['tryLogged', 'size', 'drive-a'],
  ['stationMarked', 'clean', undefined],
  ['treatmentRecorded', 'prove', undefined],
  ['checkPut', 'prove', undefined],
  ['ticketClosed', 'handBack', undefined],
])('undoing %s leads to %s', (type, station, driveId) => {
  const event = recordOf(everything).events.find((one) => one.type === type);
  expect(event && eventPlace(event)).toEqual({ station, ...(driveId && { driveId }) });
});

test('the summary carries what the Bench shows, and is searchable', () => {
  const summary = summarise(
    recordOf([
      opening,
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r1', 'motorDiameter', 'motorJaws', 6) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r2', 'drivenDiameter', 'drivenJaws', 24.8) },
      { type: 'readingTaken', driveId: 'drive-a', reading: reading('r3', 'centreDistance', 'shaftToShaft', 38.2) },
      { type: 'stationMarked', station: 'takeIn', mark: 'done' },
    ]),
  );
  expect(summary.next).toBe('size');
  const done: readonly StationId[] = ['takeIn', 'measure'];
  expect(summary.marks).toBe(STATIONS.map((station) => (done.includes(station) ? 'd' : 'o')).join(''));
  expect(summary.sketch).toMatchObject({ motorMm: 6, driveMm: 24.8, centreMm: 38.2 });
  expect(summary.searchText).toContain('listening booth');
});

test('a second clean run is refused until something was done, and says so', () => {
  const record = recordOf([
    opening,
    { type: 'cleanRunBegun', cleanRun: { id: 'p1', startedAt: '2026-01-12T10:10:00Z' } },
  ]);
  const again = appendAny(record, {
    type: 'cleanRunBegun',
    cleanRun: { id: 'p2', startedAt: '2026-01-12T10:20:00Z' },
    id: 'x',
    at: '2026-01-12T10:20:00Z',
  });
  expect(!again.ok && again.problem).toContain('record the treatment first');
  const stray = appendAny(record, {
    type: 'cycleLogged',
    cycle: cycle('c', 'good', 'never'),
    id: 'y',
    at: '2026-01-12T10:20:00Z',
  });
  expect(!stray.ok && stray.problem).toContain('never begun');
});

test('walking a history again from where it differs gives what walking it from the start gives', () => {
  const long = recordOf([opening, ...Array.from({ length: 900 }, (_, i) => note(`line ${i}`))]);
  fc.assert(
    fc.property(fc.array(fc.nat(900), { minLength: 1, maxLength: 8 }), (places) => {
      let record = long;
      for (const [step, place] of places.entries()) {
        const target = record.events[place];
        if (!target || target.type === 'ticketOpened') continue;
        const type = undoneIds(record.events).has(target.id) ? 'redone' : 'undone';
        const next = appendAny(record, { type, eventId: target.id, id: `u${step}`, at: target.at });
        if (!next.ok) throw new Error(next.problem);
        record = next.value;
        // Another list of the same events is walked from its start.
        const apart = structuredClone(record.events);
        expect(record.ticket).toEqual((replay(apart) as { readonly value: Ticket }).value);
      }
    }),
    { numRuns: 40 },
  );
});
