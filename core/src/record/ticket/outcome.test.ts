import { describe, expect, test } from 'vitest';
import { opening, recordOf, treated, place, tried } from '../../../fixtures/sample';
import { STATIONS, type StationId } from '../stations';
import { judgedOf, remediesOf, workOf } from './outcome';
import type { EventBody, Ticket, TicketEvent } from './schema';

const events = (...rows: ReadonlyArray<readonly [at: string, body: EventBody]>): TicketEvent[] =>
  rows.map(([at, body], n) => ({ ...body, id: `e${n}`, at: `2026-01-12T${at}:00Z` }));
const note = (station: 'find' | 'prove'): EventBody => ({ type: 'noteWritten', station, text: 'x' });
const closed = (...bodies: readonly EventBody[]): Ticket =>
  recordOf([opening, ...bodies, { type: 'ticketClosed', despite: '' }]).ticket;
const fitted = (...args: Parameters<typeof tried>): EventBody => ({
  type: 'tryLogged',
  driveId: 'drive-a',
  try: tried(...args),
});
const kinds = (ticket: Ticket) => remediesOf(ticket).map(({ kind }) => kind);

describe('where the time went', () => {
  test('up to each thing said is its station’s; breaks and a clock set back count nothing', () => {
    const work = workOf(
      events(
        ['09:00', opening],
        ['09:10', note('find')],
        ['09:15', note('find')],
        // Lunch.
        ['11:00', note('prove')],
        ['11:20', note('prove')],
        ['10:20', note('prove')],
        ['10:50', note('prove')],
      ),
    );
    const minutes: Partial<Record<StationId, number>> = { find: 15, prove: 50 };
    expect(work).toEqual(STATIONS.map((station) => minutes[station] ?? 0));
  });
  test('what belongs to no station is that of the one before', () => {
    const waiting: EventBody = { type: 'waitingChanged', waiting: { for: 'owner', what: '' } };
    expect(workOf(events(['09:00', opening], ['09:05', note('find')], ['09:12', waiting]))[1]).toBe(12);
  });
});

describe('what put a drive right', () => {
  test.each([
    ['square assortment', 'newBelt'],
    ['the old belt, cleaned', 'cleaned'],
    ['keep and clean', 'cleaned'],
    ['warm to shrink', 'shrunk'],
    ['square assortment, stretch the next size down', 'stretched'],
    ['office band, as a stopgap', 'band'],
    ['the drawer, A4', 'newBelt'],
  ])('a belt from “%s” is %s', (source, kind) =>
    expect(kinds(closed(fitted('t1', 116, 'right', source)))).toEqual([kind]),
  );
  test('a round one is a ring; the last that was right counts; one that was not right puts nothing right', () => {
    const ring: EventBody = {
      type: 'tryLogged',
      driveId: 'drive-a',
      try: { ...tried('t2', 116, 'right'), shape: 'round' },
    };
    expect(kinds(closed(fitted('t1', 112, 'right'), ring))).toEqual(['ring']);
    expect(kinds(closed(fitted('t1', 120, 'tooLoose')))).toEqual([]);
  });
  test('washed and nothing fitted is cleaned; an open ticket has put nothing right yet', () => {
    const washed: readonly EventBody[] = [
      { type: 'placePut', place: place('pl1', 9, 'rod', 'rods') },
      { type: 'treated', treatment: treated('tr1', 'pl1', 'isopropanol', ['clean']) },
    ];
    expect(kinds(closed(...washed))).toEqual(['cleaned']);
    expect(kinds(recordOf([opening, fitted('t1', 116, 'right')]).ticket)).toEqual([]);
  });
  test('the old belt put on again says nothing of what to buy', () => {
    const { drives } = recordOf([
      opening,
      fitted('t1', 128, 'right', 'keep and clean'),
      fitted('t2', 120, 'tooLoose'),
      fitted('t3', 116),
    ]).ticket;
    expect(judgedOf({ drives } as Ticket).map(({ belt, right }) => [belt.innerLengthMm, right])).toEqual([
      [120, false],
    ]);
  });
});
