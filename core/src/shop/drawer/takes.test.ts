import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { Ticket } from '../../record/ticket';
import { tried } from '../../../fixtures/sample';
import { appendBook, emptyBook, type BookBody, type BookRecord } from '../book';
import { movedBy, newItem, outOf, unagreed } from '.';

type Verdict = 'untried' | 'right' | 'tooLoose';
const item = newItem('a', { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm: 116 }, 2);
const ticket = (tries: Readonly<Record<string, Verdict>>, itemId = 'a') =>
  ({
    id: 't',
    drives: [{ tries: Object.entries(tries).map(([id, verdict]) => ({ ...tried(id, 116, verdict), itemId })) }],
  }) as unknown as Ticket;
let count = 0;
const did = (record: BookRecord, ...bodies: readonly BookBody[]): BookRecord =>
  bodies.reduce((before, body) => {
    const next = appendBook(before, { ...body, id: `e${(count += 1)}`, at: '2026-11-27T09:00:00Z' });
    if (!next.ok) throw new Error(next.problem);
    return next.value;
  }, record);
const stocked = did(emptyBook(), { type: 'itemsPut', items: [item] });
const take = { tryId: 'one', itemId: 'a', ticketId: 't' };
const quantity = ({ book }: BookRecord) => book.items[0]?.quantity;

describe('what a gesture on a ticket moves', () => {
  test('out when fitted, back when it failed or was undone; what was so before moves nothing', () => {
    const [none, trial, right, loose] = [
      ticket({}),
      ticket({ one: 'untried' }),
      ticket({ one: 'right' }),
      ticket({ one: 'tooLoose' }),
    ];
    expect(movedBy(none, trial, stocked.book)).toEqual([{ type: 'taken', take }]);
    const out = did(stocked, { type: 'taken', take });
    expect(movedBy(trial, right, out.book)).toEqual([]);
    for (const after of [none, loose])
      expect(movedBy(right, after, out.book)).toEqual([{ type: 'putBack', tryId: 'one' }]);
    // A ticket that came in with its try, and a drawer that never heard of it.
    expect(movedBy(trial, right, stocked.book)).toEqual([]);
    expect(movedBy(trial, loose, stocked.book)).toEqual([]);
    expect(movedBy(none, ticket({ one: 'untried' }, 'elsewhere'), stocked.book)).toEqual([]);
    // A copy of the ticket gives nothing back that the first one has out.
    expect(movedBy({ ...trial, id: 'copy' }, { ...loose, id: 'copy' }, out.book)).toEqual([]);
  });
  test('whatever is fitted, judged and undone here, pieces add up and nothing is left to ask', () => {
    const state = fc.dictionary(
      fc.constantFrom('one', 'two'),
      fc.constantFrom<Verdict>('untried', 'right', 'tooLoose'),
    );
    fc.assert(
      fc.property(fc.array(state, { maxLength: 12 }), (states) => {
        let record = stocked;
        let before = ticket({});
        for (const tries of states) {
          const after = ticket(tries);
          record = did(record, ...movedBy(before, after, record.book));
          before = after;
          expect(unagreed(after, record.book)).toEqual([]);
          expect((quantity(record) ?? 0) + record.book.takes.length).toBe(2);
        }
      }),
    );
  });
});

describe('where ticket and drawer do not agree', () => {
  test('it is asked, each answer settles it, and it is not asked again', () => {
    const trial = ticket({ one: 'untried' });
    expect(unagreed(trial, stocked.book)).toEqual([{ how: 'notCounted', take, item }]);
    const counted = did(stocked, { type: 'taken', take });
    const left = did(stocked, { type: 'taken', take: { ...take, uncounted: true } });
    expect([quantity(counted), quantity(left)]).toEqual([1, 2]);
    for (const record of [counted, left]) expect(unagreed(trial, record.book)).toEqual([]);
    expect([outOf(counted.book, 'a').length, outOf(left.book, 'a').length]).toEqual([1, 0]);
    // What was never counted out is not counted in when it fails, nor out when it is tried again.
    const failed = did(left, ...movedBy(trial, ticket({ one: 'tooLoose' }), left.book));
    const again = did(failed, ...movedBy(ticket({ one: 'tooLoose' }), trial, failed.book));
    expect([quantity(failed), quantity(again)]).toEqual([2, 2]);
    expect(unagreed(trial, again.book)).toEqual([]);
  });
  test('one that the ticket holds no more is back or gone', () => {
    const out = did(stocked, { type: 'taken', take });
    const [asked] = unagreed(ticket({}), out.book);
    expect(asked).toMatchObject({ how: 'notHeld', take });
    const [back, gone] = [
      did(out, { type: 'putBack', tryId: 'one' }),
      did(out, { type: 'putBack', tryId: 'one', gone: true }),
    ];
    expect([quantity(back), quantity(gone)]).toEqual([2, 1]);
    for (const record of [back, gone]) expect(unagreed(ticket({}), record.book)).toEqual([]);
  });
  test('of a size that this drawer never had, nothing is asked', () =>
    expect(unagreed(ticket({ one: 'right' }, 'elsewhere'), stocked.book)).toEqual([]));
});
