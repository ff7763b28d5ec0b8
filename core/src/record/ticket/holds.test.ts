import { describe, expect, test } from 'vitest';
import { complaint, cycle, opening, reading, recordOf, step, tried } from '../../../fixtures/sample';
import { STATIONS } from '../stations';
import { changedBy, marksOf, nextStation, summarise, type EventBody } from '.';

const ticketOf = (...bodies: EventBody[]) => recordOf([opening, ...bodies]).ticket;
const belt: EventBody = { type: 'tryLogged', driveId: 'drive-a', try: tried('t1', 116, 'right') };

describe('where to go on, without anything signed off', () => {
  test('after the last station that holds anything; at Rebuild while something is off and a belt is in', () => {
    expect(nextStation(ticketOf())).toBe('find');
    const read: EventBody = {
      type: 'readingTaken',
      driveId: 'drive-a',
      reading: reading('r1', 'oldBelt', 'doubledOuter', 66.4),
    };
    expect(nextStation(ticketOf(read))).toBe('size');
    expect(nextStation(ticketOf(read, belt))).toBe('prove');
    const off: EventBody = { type: 'stepPut', step: step('s1', 1, 'cover', 'lid') };
    expect(nextStation(ticketOf(off, belt))).toBe('rebuild');
    const run: EventBody[] = [
      { type: 'cleanRunBegun', cleanRun: { id: 'p1', startedAt: '2026-01-12T10:10:00Z' } },
      { type: 'cycleLogged', cycle: cycle('c', 'good', 'p1') },
    ];
    // Whatever comes after it.
    expect(nextStation(ticketOf(read, belt, ...run))).toBe(STATIONS[STATIONS.indexOf('prove') + 1]);
  });
  test('a station said not to be needed is so, whatever it holds', () =>
    expect(marksOf(ticketOf({ type: 'stationMarked', station: 'find', mark: 'notNeeded' })).find).toBe('notNeeded'));
  test('parked with something awaited waits for parts, and nothing else was said', () => {
    const parked: EventBody = {
      type: 'parked',
      park: { since: '2026-01-12T10:00:00Z', lies: 'shelf', awaited: 'a belt, by post' },
    };
    expect(summarise(recordOf([opening, parked])).waiting).toEqual({ for: 'parts', what: 'a belt, by post' });
    const owner: EventBody = { type: 'waitingChanged', waiting: { for: 'owner', what: 'the price' } };
    expect(summarise(recordOf([opening, parked, owner])).waiting.for).toBe('owner');
  });
});

describe('what changed from what to what', () => {
  const put = (words: string, state: 'open' | 'cured'): EventBody => ({
    type: 'complaintPut',
    complaint: { ...complaint('k9', words), state },
  });
  test('against the last event about the same thing that stands', () => {
    const { events } = recordOf([
      opening,
      put('shy', 'open'),
      put('shy', 'cured'),
      { type: 'undone', eventId: 'e3' },
      put('shy when cold', 'open'),
    ]);
    expect(changedBy(events, 1)).toEqual([]);
    expect(changedBy(events, 2)).toEqual([{ name: 'state', from: 'open', to: 'cured' }]);
    // What was undone is nothing to compare with.
    expect(changedBy(events, 4)).toEqual([{ name: 'words', from: 'shy', to: 'shy when cold' }]);
  });
  test('some fields of a thing are looked for further back, in words', () => {
    const drive = (changes: object): EventBody => ({ type: 'driveChanged', driveId: 'drive-a', changes }) as EventBody;
    const { events } = recordOf([
      opening,
      drive({ motorSurface: 'oily' }),
      drive({ role: 'loading' }),
      drive({ motorSurface: 'clean' }),
    ]);
    expect(changedBy(events, 3)).toEqual([{ name: 'motor surface', from: 'oily', to: 'clean' }]);
  });
});
