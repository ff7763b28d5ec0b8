import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { readTable } from '@loose-pulley/core/base/table';
import { LOADERS } from '@loose-pulley/core/base/loaders';
import { summarise, type TicketSummary } from '@loose-pulley/core/record/ticket';
import { everything, opening, recordOf } from '../../../../core/fixtures/sample';
import {
  ALL_COLUMNS,
  FIRST_COLUMNS,
  letsThrough,
  LOG_COLUMNS,
  logTable,
  NO_FILTER,
  type LogFilter,
} from './logColumns';

const full = summarise(recordOf(everything));
const bare = summarise(recordOf([opening]));
const summary = fc
  .record({
    id: fc.constantFrom('a', 'b', 'c'),
    number: fc.string({ maxLength: 12 }),
    machine: fc.oneof(
      fc.string({ maxLength: 20 }),
      fc.constantFrom('deck, black', 'say "eject"', '=1+1', 'line\nbreak'),
    ),
    loader: fc.constantFrom(...LOADERS),
    openedAt: fc.constantFrom('2026-01-12T09:00:00Z', '2026-06-01T23:30:00Z', '2027-02-28T00:10:00Z'),
    closedAt: fc.constantFrom(null, '2026-07-01T09:00:00Z'),
  })
  .map((of): TicketSummary => ({ ...full, ...of }));
const filter: fc.Arbitrary<LogFilter> = fc.record({
  state: fc.constantFrom('', 'open', 'handedBack', 'returned'),
  loader: fc.constantFrom('', ...LOADERS),
  remedy: fc.constantFrom('', 'belt', 'cleaned'),
  from: fc.constantFrom('', '2026-02-01'),
  to: fc.constantFrom('', '2026-12-31'),
}) as fc.Arbitrary<LogFilter>;

describe('the log', () => {
  test('every column has a name of its own, and says something of any ticket', () => {
    const names = ALL_COLUMNS.map((column) => LOG_COLUMNS[column].name);
    expect(new Set(names).size).toBe(names.length);
    for (const column of FIRST_COLUMNS) expect(ALL_COLUMNS).toContain(column);
    for (const of of [full, bare])
      for (const column of ALL_COLUMNS) expect(String(LOG_COLUMNS[column].of(of)), column).not.toMatch(/undefined|NaN/);
  });
  test('with nothing asked for everything is let through; to ask for more never lets more through', () => {
    fc.assert(
      fc.property(fc.array(summary, { maxLength: 12 }), filter, (list, asked) => {
        const returned = new Set(['a']);
        expect(list.every((one) => letsThrough(NO_FILTER, one, returned))).toBe(true);
        const through = (by: LogFilter) => list.filter((one) => letsThrough(by, one, returned));
        const all = through(asked);
        for (const key of Object.keys(NO_FILTER) as (keyof LogFilter)[]) {
          const wider = through({ ...asked, [key]: '' });
          expect(wider.length, key).toBeGreaterThanOrEqual(all.length);
          for (const one of all) expect(wider).toContain(one);
        }
      }),
    );
  });
  test('open and handed back share no ticket, and together are all', () => {
    fc.assert(
      fc.property(fc.array(summary, { maxLength: 12 }), (list) => {
        const of = (state: LogFilter['state']) =>
          list.filter((one) => letsThrough({ ...NO_FILTER, state }, one, new Set()));
        expect(of('open').length + of('handedBack').length).toBe(list.length);
        expect(of('returned')).toEqual([]);
      }),
    );
  });
  test('as a table it has a line a ticket and a cell a column, whatever stands in them', () => {
    fc.assert(
      fc.property(
        fc.array(summary, { minLength: 1, maxLength: 6 }),
        fc.subarray(ALL_COLUMNS, { minLength: 1 }),
        (list, columns) => {
          const told = list.map((one, n) => ({ ...one, owner: `owner ${n}` }));
          const table = readTable(logTable(told, ['owner', ...columns]), 'log.csv');
          if (!table.ok) throw new Error(table.problem);
          expect(table.value.rows.map(({ cells: [owner] }) => owner)).toEqual(told.map(({ owner }) => owner));
          for (const { cells } of table.value.rows) expect(cells.length).toBe(1 + columns.length);
        },
      ),
      { numRuns: 60 },
    );
  });
});
