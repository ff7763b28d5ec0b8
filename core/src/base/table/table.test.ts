import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import Papa from 'papaparse';
import { disarmed, readTable, rowsOf, writeTable } from '.';

/** What a cell may hold: no line of its own, which a list never has, and no space at its ends, which a list does not keep. */
const cell = fc.string({ maxLength: 12 }).map((text) => text.replace(/[\r\n\u0000]/g, ' ').trim());
const head = fc.uniqueArray(fc.constantFrom('size', 'quantity', 'place', 'label', 'price', 'note'), {
  minLength: 2,
  maxLength: 5,
});

describe('a table', () => {
  test('written here comes back as it was, whatever is in it', () => {
    fc.assert(
      fc.property(
        head.chain((names) =>
          fc.tuple(
            fc.constant(names),
            fc.array(fc.array(cell, { minLength: names.length, maxLength: names.length }), {
              minLength: 1,
              maxLength: 6,
            }),
          ),
        ),
        ([names, rows]) => {
          // A row of nothing is a line that a list leaves out.
          const told = rows.filter((row) => row.some((one) => one !== ''));
          fc.pre(told.length > 0);
          const read = readTable(writeTable(names, told), 'list.csv');
          expect(read.ok && read.value.head).toEqual(names);
          expect(read.ok && read.value.rows.map(({ cells }) => cells)).toEqual(told);
        },
      ),
      { numRuns: 300 },
    );
  });
  test('is what RFC 4180 says, by a general reader', () => {
    const { data } = Papa.parse<string[]>(
      writeTable(
        ['a', 'b'],
        [
          ['say "x"', 'one, two'],
          [3, null],
        ],
      ).replace('\ufeff', ''),
    );
    expect(data.slice(0, 3)).toEqual([
      ['a', 'b'],
      ['say "x"', 'one, two'],
      ['3', ''],
    ]);
  });
  test('holds nothing that a spreadsheet would run', () => {
    fc.assert(
      fc.property(fc.constantFrom('=', '+', '-', '@', '\t'), fc.string({ maxLength: 8 }), (sign, rest) => {
        const armed = `${sign}x${rest}`;
        expect(disarmed(armed)).toBe(`'${armed}`);
      }),
    );
    for (const plain of ['-3', '+4.5', '-3,5', 'belt', '']) expect(disarmed(plain)).toBe(plain);
  });
});

test('rows of figures are parted by whatever a bench parts them by', () => {
  for (const by of [',', ';', '\t'])
    expect(rowsOf(['0.1', '0.2', '0.3'].map((one) => `${one}${by}7`).join('\n'), by).map((row) => row.length)).toEqual([
      2, 2, 2,
    ]);
});
