import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { opening, recordOf } from '../../../fixtures/sample';
import { COMPATIBILITY } from '../../work/compatibility';
import { appendAny, type TicketRecord } from '../../record/ticket';
import { readTreatment } from '../../work/treatmentLine';
import { cleanEventsOf, cleanView, powerHeld, beltHeld } from '.';

const START = Date.parse('2026-01-12T12:00:00.000Z');
const PLACES = ['motor pulley', 'drive pulley', 'belt', 'guides', 'rack', 'lens', 'limit switch', 'rollers'];
const lines = fc.array(
  fc
    .tuple(
      fc.constantFrom(...PLACES),
      fc.constantFrom(
        'oily',
        'sludge',
        'alcohol, clean twice',
        'soapy water',
        'acetone swab black',
        'old grease off',
        'lithium grease',
        'worked in',
        'excess wiped',
        'spot test alcohol clean',
        'contact cleaner 20 strokes',
        'nicked',
        'left alone',
        'dry',
      ),
    )
    .map((words) => words.join(' ')),
  { maxLength: 10 },
);

/** A ticket after lines, each said as the page says it, with the events that each came to. */
function told(list: readonly string[]): { readonly record: TicketRecord; readonly refused: readonly string[] } {
  let record = recordOf([opening]);
  let made = 0;
  const refused: string[] = [];
  list.forEach((line, minute) => {
    const at = new Date(START + minute * 60_000).toISOString();
    const [way] = readTreatment(line, { map: cleanView(record.ticket).places, chosenId: null })?.ways ?? [];
    if (!way) return;
    const outcome = cleanEventsOf(record.ticket, way.does, {
      table: COMPATIBILITY,
      newId: () => `n${(made += 1)}`,
      at,
      line,
      materialAsked: true,
    });
    if (outcome.kind !== 'bodies') {
      refused.push(line);
      return;
    }
    for (const body of outcome.bodies) {
      const next = appendAny(record, { ...body, id: `e-${(made += 1)}`, at });
      // What the page makes of a line is always something that the ticket can follow.
      if (!next.ok) throw new Error(`${line}: ${next.problem}`);
      record = next.value;
    }
  });
  return { record, refused };
}

describe('lines of Clean told upon a ticket', () => {
  test('always come to what the ticket can follow, and no place stands twice or shares its number', () => {
    fc.assert(
      fc.property(lines, (list) => {
        const { places } = told(list).record.ticket.cleaning;
        const numbers = places.map(({ number }) => number).filter((one) => one > 0);
        expect(new Set(numbers).size).toBe(numbers.length);
        expect(new Set(places.map(({ id }) => id)).size).toBe(places.length);
      }),
      { numRuns: 60 },
    );
  });
  test('the view shows every place of the map once, those that were spoken of with their number', () => {
    fc.assert(
      fc.property(lines, (list) => {
        const { ticket } = told(list).record;
        const view = cleanView(ticket);
        const ids = view.places.map(({ place }) => place.id);
        expect(new Set(ids).size).toBe(ids.length);
        for (const { id } of ticket.cleaning.places) expect(ids).toContain(id);
      }),
      { numRuns: 60 },
    );
  });
  test('a refused line changes nothing: the ticket stands as without it', () => {
    fc.assert(
      fc.property(lines, (list) => {
        const { record, refused } = told(list);
        fc.pre(refused.length > 0);
        const kept = told(list.filter((line) => !refused.includes(line)));
        expect(kept.record.ticket.cleaning.treatments.length).toBe(record.ticket.cleaning.treatments.length);
      }),
      { numRuns: 60 },
    );
  });
  test('whatever is held back is held back for a reason, and by tomorrow by no clock', () => {
    fc.assert(
      fc.property(lines, (list) => {
        const { ticket } = told(list).record;
        for (const held of [...powerHeld(ticket, START), ...beltHeld(ticket, null, START)])
          expect(held.words).not.toMatch(/undefined|NaN/);
        const tomorrow = START + 86_400_000;
        expect(powerHeld(ticket, tomorrow)).toEqual([]);
        for (const { ends } of beltHeld(ticket, null, tomorrow)) expect(ends).not.toBe('dry');
      }),
      { numRuns: 60 },
    );
  });
});
