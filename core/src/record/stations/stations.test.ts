import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { anyBody } from '../../../fixtures/anyEvent';
import { everything, opening, recordOf, stamp } from '../../../fixtures/sample';
import {
  appendAny,
  applyEvent,
  describeEvent,
  eventPlace,
  marksOf,
  replay,
  ticketEvents,
  type EventType,
} from '../ticket';
import { forStations } from './module';
import { STATION_NAMES, stationOfEvent, STATIONS, USUAL_MINUTES } from '.';

const frozen = <T>(value: T): T => {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(frozen);
  }
  return value;
};
const sample = recordOf(everything);
const drawn = fc.array(anyBody, { maxLength: 8 }).map((bodies) => stamp([opening, ...bodies]));

describe('whatever happens at a station', () => {
  test('is said in words that hold no hole, and leads to a station', () => {
    fc.assert(
      fc.property(drawn, (events) => {
        for (const event of events) {
          for (const unit of ['mm', 'in'] as const) {
            const words = describeEvent(event, sample.ticket, unit);
            expect(words.trim(), event.type).not.toBe('');
            expect(words, event.type).not.toMatch(/undefined|NaN|\[object|null\b/);
          }
          expect(STATIONS, event.type).toContain(eventPlace(event).station);
        }
      }),
      { numRuns: 200 },
    );
  });
  test('changes nothing in place: the ticket before it stays as it was', () => {
    fc.assert(
      fc.property(drawn, (events) => {
        let ticket = frozen(sample.ticket);
        for (const event of events.slice(1)) {
          const after = applyEvent(ticket, frozen(event));
          if (after.ok) ticket = frozen(after.value);
          else expect(after.problem.length, event.type).toBeGreaterThan(10);
        }
      }),
      { numRuns: 150 },
    );
  });
  test('is taken back as if it had not happened, and redone as if it had never been taken back', () => {
    fc.assert(
      fc.property(anyBody, (body) => {
        const [event] = stamp([body]).map((one) => ({ ...one, id: 'done', at: '2026-02-01T09:00:00Z' }));
        const done = event && appendAny(sample, event);
        fc.pre(done !== undefined && done.ok && body.type !== 'ticketOpened');
        if (!done?.ok) return;
        const at = '2026-02-01T09:01:00Z';
        const undone = appendAny(done.value, { type: 'undone', eventId: 'done', id: 'u', at });
        expect(undone.ok && undone.value.ticket).toEqual(sample.ticket);
        const redone = undone.ok && appendAny(undone.value, { type: 'redone', eventId: 'done', id: 'r', at });
        expect(redone && redone.ok && redone.value.ticket).toEqual(done.value.ticket);
      }),
      { numRuns: 120 },
    );
  });
});

describe('the history', () => {
  test('gives the ticket that it is kept beside, from the start or from where it was walked before', () => {
    for (const upTo of [sample.events.length, 40, 20]) {
      const events = sample.events.slice(0, upTo);
      const once = replay(events);
      expect(once).toEqual(replay(structuredClone(events)));
      expect(replay(events)).toEqual(once);
    }
    const whole = replay(sample.events);
    expect(whole.ok && whole.value).toEqual(sample.ticket);
  });
});

describe('stations', () => {
  test('each is named, takes its time, and stands somehow on any ticket', () => {
    const marks = marksOf(sample.ticket);
    for (const station of STATIONS) {
      expect(STATION_NAMES[station]).toMatch(/^[A-Z]/);
      expect(USUAL_MINUTES[station]).toBeGreaterThan(0);
      expect(['open', 'done', 'notNeeded']).toContain(marks[station]);
    }
    expect(Object.keys(forStations((id) => id))).toEqual([...STATIONS]);
  });
  test('an event belongs to one of them, or to the ticket as a whole', () => {
    for (const type of Object.keys(ticketEvents) as EventType[]) {
      const station = stationOfEvent({ type });
      if (station !== undefined) expect(STATIONS, type).toContain(station);
    }
    expect(stationOfEvent({ type: 'readingTaken' })).toBe('measure');
    expect(stationOfEvent({ type: 'noteWritten', station: 'prove' })).toBe('prove');
  });
});
