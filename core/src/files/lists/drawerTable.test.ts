import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  inDrawer,
  isAged,
  labelLies,
  measureFrom,
  newItem,
  railsOf,
  RUBBERS,
  runsLow,
  type Item,
} from '../../shop/drawer';
import { readTable, writeTable } from '../../base/table';
import { columnDoubts, matchColumns, readList, writeList, type SaidOfList } from '.';

const table = (content: string) => {
  const read = readTable(content, 'a.csv');
  if (!read.ok) throw new Error(read.problem);
  return read.value;
};
const list = (content: string) => {
  const of = table(content);
  return readList(of, matchColumns(of.head, of.rows), (line) => `i${line}`);
};

describe('CSV by RFC 4180', () => {
  // The rules of its section 2: quotes, quotes within quotes, lines within quotes, the last line without an end.
  test('quotes, lines in quotes, and the line that each row begins on', () => {
    expect(table('a,b\r\n"x ""y""","1\r\n2"\r\nlast,row').rows).toEqual([
      { line: 2, cells: ['x "y"', '1\r\n2'] },
      { line: 4, cells: ['last', 'row'] },
    ]);
  });
  test('semicolons and tabs; a mark of UTF-8 in front; empty lines', () => {
    expect(table('\ufeffa;b\n\n1;2\n').rows).toEqual([{ line: 3, cells: ['1', '2'] }]);
    expect(table('a\tb\n1\t2').head).toEqual(['a', 'b']);
  });
  test('a quotation mark that is not closed is told by its line; no text, no rows', () => {
    expect(readTable('a,b\n1,2\n"3,4\n', 'x.csv')).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/line 3/) as string,
    });
    expect(readTable('a\0b', 'x.csv').ok).toBe(false);
    expect(readTable('size,count\n', 'x.csv')).toMatchObject({
      ok: false,
      problem: expect.stringContaining('no rows') as string,
    });
  });
  test('whatever is written comes back; no cell is a formula', () => {
    fc.assert(
      fc.property(
        fc.array(fc.array(fc.string({ unit: 'grapheme' }), { minLength: 2, maxLength: 2 }), {
          minLength: 1,
          maxLength: 5,
        }),
        (rows) => {
          const trimmed = rows.map((row) => row.map((cell) => cell.trim().replace(/\0/g, '')));
          if (trimmed.some((row) => row.every((cell) => cell === '' || /^'[=+\-@\t\r]/.test(cell)))) return;
          const written = writeTable(['one', 'two'], trimmed);
          for (const line of written.slice(1).split('\r\n')) expect(line).not.toMatch(/^"?[=@]/);
          if (trimmed.every((row) => row.every((cell) => !/^'/.test(cell))))
            expect(table(written).rows.map(({ cells }) => cells)).toEqual(trimmed);
        },
      ),
    );
    expect(writeTable(['a'], [['=HYPERLINK("x")'], [-3], ['-3.5']])).toBe(
      '\ufeffa\r\n"\'=HYPERLINK(""x"")"\r\n-3\r\n-3.5\r\n',
    );
  });
});

describe('a list of belts', () => {
  test('columns are matched by heading, and by example where it says nothing', () => {
    const of = table('Belt,Pcs,Bin,Unit price\n1.2x116,3,A4,£1.20\n1.78x28.3,2,B1,0.80');
    expect(matchColumns(of.head, of.rows)).toEqual(['size', 'quantity', 'place', 'price']);
    expect(matchColumns(['', '', ''], [{ cells: ['112', '1.2', '4'] }, { cells: ['116', '1.5', '2'] }])).toEqual([
      'innerLength',
      'section',
      'quantity',
    ]);
    const read = list('Belt,Pcs,Bin,Unit price\n1.2x116,3,A4,£1.20\n1.78x28.3,2,B1,0.80');
    expect(
      read.items.map(({ shape, innerLengthMm, quantity, price }) => [
        shape,
        Math.round(innerLengthMm),
        quantity,
        price,
      ]),
    ).toEqual([
      ['square', 116, 3, 1.2],
      ['round', 89, 2, 0.8],
    ]);
  });
  test('inches by their heading or their sign; one that is both is refused', () => {
    const read = list('section, in;inner length in;place\n0.047;4.5;A\n1.2 mm;112 mm;B');
    expect(read.items.map(({ innerLengthMm }) => Math.round(innerLengthMm * 10) / 10)).toEqual([114.3, 112]);
    expect(list('section;inner length\n1.2;4.5').problems[0]?.words).toMatch(/is it in another unit\?/);
  });
  test.each([
    [
      'size,quantity\n1.2x116,3\nnonsense,2\n1.2x120,-1',
      [
        [3, /“nonsense”/],
        [4, /quantity “-1”/],
      ],
    ],
    ['size,label\n1.2x116,7\n1.2x120,7', [[3, /stands on line 2 already/]]],
    ['size\n1.2x30', [[2, /may be an inner length or an inner diameter/]]],
    ['section,inner length,inner diameter\n1.78,88,28', [[2, /leave one of them out/]]],
    ['size,bought\n1.2x116,3/4/2025', [[2, /may be two days/]]],
    ['size,rubber\n1.2x116,chewing gum', [[2, /no kind of rubber/]]],
    ['colour,mood\nred,good', [[1, /No column holds the size/]]],
  ] as const)('%j is told by line, and nothing of it comes in', (content, expected) => {
    const read = list(content);
    expect(read.items).toEqual([]);
    expect(read.problems.map(({ line }) => line)).toEqual(expected.map(([line]) => line));
    expected.forEach(([, words], n) => expect(read.problems[n]?.words).toMatch(words));
  });
  test('one size twice is one size with both; 200,000 lines are refused whole', () => {
    expect(list('size,quantity\n1.2x116,3\n1.2x116,2')).toMatchObject({ joined: 1, items: [{ quantity: 5 }] });
    const many = list(`size\n${'1.2x116\n'.repeat(200_000)}`);
    expect(many.problems[0]?.words).toMatch(/200000 lines; a drawer holds 20000/);
  });
  test('what a drawer writes is what it reads: apostrophes, blanks, lines in lines, bags of one size, rings', () => {
    // All that a field of the drawer may hold; what no file can hold is refused at the door.
    const words = (max: number) =>
      fc
        .array(
          fc.constantFrom(' ', "'", '=', '-', '+', '@', '"', ',', ';', ':', '\\', '\n', '\r\n', '3', 'a', 'Ø', '\t'),
          {
            maxLength: 6,
          },
        )
        .map((signs) => signs.join('').slice(0, max));
    const belt = fc.oneof(
      fc.record({
        shape: fc.constantFrom('square' as const, 'round' as const),
        thicknessMm: fc.constantFrom(1.2, 1.778, 2.6162),
        widthMm: fc.constant(null),
        innerLengthMm: fc.double({ min: 20, max: 400, noNaN: true }),
      }),
      fc.record({
        shape: fc.constant('flat' as const),
        thicknessMm: fc.constant(0.6),
        widthMm: fc.constantFrom(null, 4),
        innerLengthMm: fc.integer({ min: 60, max: 400 }),
      }),
    );
    const day = fc.constantFrom('', '2026-01-31');
    const of = fc.record({
      place: words(80),
      label: words(160),
      supplier: words(120),
      kit: words(120),
      price: fc.constantFrom(null, 0, 1.25, 99999.99),
      hardnessShoreA: fc.constantFrom(null, 55.5),
      rubber: fc.constantFrom(...RUBBERS),
      boughtOn: day,
      measuredMm: fc.constantFrom(null, 118.37),
      measuredOn: day,
      lowAt: fc.constantFrom(null, 0, 3),
      band: fc.boolean(),
      sellerNumbers: fc.array(
        fc.record({ seller: words(80), number: words(80).filter((text) => text.trim() !== '') }),
        {
          maxLength: 3,
        },
      ),
    });
    fc.assert(
      fc.property(fc.array(fc.tuple(belt, fc.nat(50), of), { minLength: 1, maxLength: 8 }), (rows) => {
        const items = rows.map(([size, quantity, rest], n) => newItem(`i${n}`, size, quantity, rest));
        const written = table(writeList(items));
        let n = 0;
        const read = readList(written, matchColumns(written.head, written.rows), () => `i${n++}`);
        expect(read.problems).toEqual([]);
        expect(read.items).toEqual(items);
        expect(read.ringLines).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
});

describe('a list of elsewhere, before it goes in', () => {
  const with_ = (content: string, said?: SaidOfList) => {
    const of = table(content);
    return readList(of, matchColumns(of.head, of.rows), (line) => `i${line}`, said);
  };
  // 47.35 mm is an inner diameter on sale: SAE AS568 dash 031 runs 44.17, 032 47.35.
  const rings = 'shape;section;length\nring;1,78;47,35\nring;1,78;88,9\nsquare;1,2;47,5\n';
  test('a ring whose length is an inner diameter on sale is asked about, not shrunk in silence', () => {
    expect(with_(rings).ringLines).toEqual([2]);
    const across = with_(rings, { ringLengths: 'across' }).items.map(({ innerLengthMm }) => innerLengthMm / Math.PI);
    expect(across[0]).toBeCloseTo(47.35, 6);
    expect(across[1]).toBeCloseTo(88.9 / Math.PI, 6);
    expect(with_(rings, { ringLengths: 'along' }).items[0]?.innerLengthMm).toBe(47.35);
  });
  test('what looks odd is named by its line: no width, a cut label, one that measures otherwise', () => {
    const read = with_(
      `shape,section,inner length,measured,label\nflat,0.6,208,,a\nsquare,1.2,116,112,b\nsquare,1.2,120,,${'x'.repeat(170)}\n`,
    );
    expect(read.odd).toEqual([
      { line: 2, words: expect.stringContaining('without a width') as string },
      { line: 3, words: expect.stringContaining('measures otherwise') as string },
      { line: 4, words: expect.stringContaining('170 letters and is cut to 160') as string },
    ]);
  });
  test('“Number” is taken for nothing until a hand says what it is; “Shelf” is a place', () => {
    const head = ['Size', 'Number', 'Shelf'];
    expect(columnDoubts(head)).toMatchObject([{ index: 1, between: ['quantity', 'sellerNumber'] }]);
    expect(matchColumns(head, [{ cells: ['1.2x116', '4', 'B2'] }])).toEqual(['size', null, 'place']);
    expect(columnDoubts(['Part number', 'Count'])).toEqual([]);
  });
  test('two bags of one size that say different things stay two', () => {
    expect(with_('size,label,place\n1.2x116,old,A\n1.2x116,new,A\n').items.length).toBe(2);
    expect(with_('size,label,place\n1.2x116,old,A\n1.2x116,old,A\n')).toMatchObject({
      joined: 1,
      items: [{ quantity: 2 }],
    });
  });
});

describe('the drawer as it is looked at', () => {
  const square = (mm: number, of: Partial<Item> = {}, quantity = 1) =>
    newItem(`i${mm}`, { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm: mm }, quantity, of);
  test('the one in my hand hangs with its like, or between its neighbours', () => {
    const items = [112, 116, 120].map((mm) => square(mm));
    expect(inDrawer(items, 116.5, 0.3, 1.2).same.map(({ id }) => id)).toEqual(['i116']);
    expect(inDrawer(items, 140, 0.3, 1.2)).toMatchObject({ same: [], beside: [{ id: 'i120' }] });
    expect(inDrawer(items, 116, 0.3, 2)).toEqual({ same: [], beside: [] });
  });
  test('a label lies when the belt is another one, not when it was read roughly', () => {
    expect(labelLies(116, 116.9, 0.3)).toBe(false);
    expect(labelLies(116, 112, 0.3)).toBe(true);
  });
  test('rubber ages by its kind; a measurement makes it young again; of no date nobody knows', () => {
    expect(measureFrom({ boughtOn: '2024-01-31', measuredOn: '', rubber: 'nitrile' })).toBe('2027-07-31');
    expect(isAged(square(112, { boughtOn: '2023-01-01' }), '2026-11-27')).toBe(true);
    expect(isAged(square(112, { boughtOn: '2023-01-01', measuredOn: '2026-01-01' }), '2026-11-27')).toBe(false);
    expect(isAged(square(112), '2026-11-27')).toBe(false);
  });
  test('the last one gone runs low, unless the bench calls more few; a band never does', () => {
    expect(
      [square(112, {}, 0), square(112, {}, 1), square(112, { lowAt: 2 }, 2), square(112, { band: true }, 0)].map(
        runsLow,
      ),
    ).toEqual([true, false, true, false]);
  });
  test('rails by section, sizes by what they measure', () => {
    const items = [
      square(120),
      square(112, { measuredMm: 125 }),
      newItem('r', { shape: 'round', thicknessMm: 1.78, widthMm: null, innerLengthMm: 90 }, 1),
    ];
    expect(railsOf(items).map(({ key, items: of }) => [key, of.map(({ id }) => id)])).toEqual([
      ['square 1.20', ['i120', 'i112']],
      ['round 1.78', ['r']],
    ]);
  });
});
