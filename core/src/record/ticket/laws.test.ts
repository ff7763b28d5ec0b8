import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyBody } from '../../../fixtures/anyEvent';
import { opening, recordOf, stamp } from '../../../fixtures/sample';
import {
  appendAny,
  describeEvent,
  eventPlace,
  recordFits,
  replay,
  summarise,
  type TicketEvent,
  type TicketRecord,
} from '.';
import { STATIONS } from '../stations';

/** A record after those of the events that it takes; what it refuses is refused in words. */
function after(events: readonly TicketEvent[]): { readonly record: TicketRecord; readonly taken: number } {
  let record = recordOf([opening]);
  let taken = 0;
  for (const event of events) {
    const next = appendAny(record, event);
    if (next.ok) {
      record = next.value;
      taken++;
    } else expect(next.problem).toMatch(/\p{L}.*[.?]$/su);
  }
  return { record, taken };
}
const anyEvents = fc
  .array(anyBody, { minLength: 1, maxLength: 25 })
  .map((bodies) => stamp([opening, ...bodies]).slice(1));

describe('any events of any station', () => {
  test('are refused in words, or leave a ticket that the importer takes', () => {
    let most = 0;
    fc.assert(
      fc.property(anyEvents, (events) => {
        const { record, taken } = after(events);
        most = Math.max(most, taken);
        expect(recordFits(record)).toBe(true);
      }),
      { numRuns: 400 },
    );
    // Were all refused, the law would hold of nothing.
    expect(most).toBeGreaterThan(8);
  });
  test('give the same ticket when they are followed again', () =>
    fc.assert(
      fc.property(anyEvents, (events) => {
        const { record } = after(events);
        const again = replay(record.events);
        expect(again.ok && again.value).toEqual(record.ticket);
      }),
      { numRuns: 150 },
    ));
  test('are said in a few words with a place, and summed up', () =>
    fc.assert(
      fc.property(anyEvents, (events) => {
        const { record } = after(events);
        for (const event of record.events.slice(1)) {
          expect(describeEvent(event, record.ticket, 'mm').trim(), JSON.stringify(event)).not.toBe('');
          expect(STATIONS).toContain(eventPlace(event).station);
        }
        expect(summarise(record).id).toBe(record.ticket.id);
      }),
      { numRuns: 150 },
    ));
  test('are taken back one by one, to the ticket before', () =>
    fc.assert(
      fc.property(anyEvents, (events) => {
        const { record } = after(events);
        const last = record.events.at(-1);
        if (!last || last.type === 'ticketOpened') return;
        const before = replay(record.events.slice(0, -1));
        const [, undo] = stamp([opening, { type: 'undone', eventId: last.id }]);
        const undone = undo && appendAny(record, { ...undo, id: 'undo' });
        expect(undone?.ok && undone.value.ticket).toEqual(before.ok && before.value);
      }),
      { numRuns: 150 },
    ));
});
