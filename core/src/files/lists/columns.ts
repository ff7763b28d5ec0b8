import { parseLength, parseNumber } from '../../base/units';
import { parseBeltSize } from '../../base/shapes';

/** What a column of a list of belts may hold. */
export const COLUMNS = [
  'size',
  'shape',
  'section',
  'width',
  'innerLength',
  'innerDiameter',
  'quantity',
  'place',
  'label',
  'supplier',
  'sellerNumber',
  'price',
  'rubber',
  'hardness',
  'boughtOn',
  'measured',
  'lowAt',
  'kit',
  'band',
  'measuredOn',
] as const;
export type Column = (typeof COLUMNS)[number];

export const COLUMN_NAMES: Readonly<Record<Column, string>> = {
  size: 'size, such as 1.2x116',
  shape: 'square, round or flat',
  section: 'section, mm',
  width: 'width of a flat belt, mm',
  innerLength: 'inner length, mm',
  innerDiameter: 'inner diameter, mm',
  quantity: 'quantity',
  place: 'place',
  label: 'label',
  supplier: 'supplier',
  sellerNumber: 'the seller’s number',
  price: 'price of one',
  rubber: 'kind of rubber',
  hardness: 'hardness, Shore A',
  boughtOn: 'bought on',
  measured: 'measured inner length, mm',
  lowAt: 'few at',
  kit: 'kit',
  band: 'a household band: yes or nothing',
  measuredOn: 'measured on',
};

/** What a heading is called elsewhere. The first that fits wins, so that “inner diameter” is none of “inner length”. */
const HEADINGS: ReadonlyArray<readonly [RegExp, Column]> = [
  [/^measured on/i, 'measuredOn'],
  [/^band$/i, 'band'],
  [/^(size|belt|dimension)/i, 'size'],
  [/shape|profile|form\b/i, 'shape'],
  [/width|breadth/i, 'width'],
  [/(inner|inside|int).*dia|^i\.?d\b|diameter/i, 'innerDiameter'],
  [/measured/i, 'measured'],
  [/length|circumference|^i\.?l\b|perimeter/i, 'innerLength'],
  [/section|thick|cross|^c\.?s\b/i, 'section'],
  [/^(few|low|minimum|min\b|reorder)/i, 'lowAt'],
  [/quant|qty|count|pieces|pcs|stock|how many/i, 'quantity'],
  [/place|drawer|bin|box|location|where|shelf|rack|hook|peg|compartment/i, 'place'],
  [/part|number|ref|sku|article|order\s*no/i, 'sellerNumber'],
  [/supplier|seller|vendor|source/i, 'supplier'],
  [/price|cost|each/i, 'price'],
  [/rubber|material|compound/i, 'rubber'],
  [/hard|shore/i, 'hardness'],
  [/bought|date|since|purchased/i, 'boughtOn'],
  [/kit|set|assortment/i, 'kit'],
  [/label|name|description|text/i, 'label'],
];

/** Headings that may be two things: how many, or what a seller calls it. */
const EITHER = /^(number|no\.?|num\.?|nr\.?|#)$/i;

/** A column whose heading may be two things, to be settled by a hand; what it may be. */
export interface ColumnDoubt {
  readonly index: number;
  readonly words: string;
  readonly between: readonly [Column, Column];
}

/**
 * Columns that nobody but a hand can name: none of them is taken for something in silence.
 *
 * @example columnDoubts(['Size', 'Number'])[0]?.index // 1
 */
export const columnDoubts = (head: readonly string[]): readonly ColumnDoubt[] =>
  head.flatMap((words, index) =>
    EITHER.test(words.trim())
      ? [
          {
            index,
            words: `“${words}” may be how many there are, or the seller’s number.`,
            between: ['quantity', 'sellerNumber'] as const,
          },
        ]
      : [],
  );

const DAY = /^\d{4}-\d\d-\d\d$/;
const share = (cells: readonly string[], holds: (cell: string) => boolean): number =>
  cells.length === 0 ? 0 : cells.filter(holds).length / cells.length;

/** What the cells themselves look like, where the heading says nothing. */
function byExample(cells: readonly string[]): Column | undefined {
  if (share(cells, (cell) => /x|×/i.test(cell) && parseBeltSize(cell).ok) > 0.8) return 'size';
  if (share(cells, (cell) => DAY.test(cell)) > 0.8) return 'boughtOn';
  if (share(cells, (cell) => /^(square|sq|round|ring|o-?ring|flat)$/i.test(cell)) > 0.8) return 'shape';
  const lengths = cells.flatMap((cell) => {
    const read = parseLength(cell);
    return read.ok ? [read.value.lengthMm] : [];
  });
  if (lengths.length > 0.8 * cells.length && lengths.every((mm) => mm >= 20 && mm <= 2000)) return 'innerLength';
  if (
    lengths.length > 0.8 * cells.length &&
    lengths.every((mm) => mm >= 0.3 && mm <= 8) &&
    cells.some((cell) => /[.,]/.test(cell))
  )
    return 'section';
  if (share(cells, (cell) => parseNumber(cell).ok && /^\d+$/.test(cell)) > 0.8) return 'quantity';
  return undefined;
}

/** Which column of a table holds what; null where it is left out. */
export type Matching = readonly (Column | null)[];

/**
 * Matches the columns of a table by their headings, and by what is in them where a heading says nothing. Each kind is
 * matched once, from the left.
 *
 * For instance matchColumns({ head: ['Size', 'Pcs'], rows }): ['size', 'quantity']
 */
export function matchColumns(
  head: readonly string[],
  rows: ReadonlyArray<{ readonly cells: readonly string[] }>,
): Matching {
  const taken = new Set<Column>();
  const claim = (column: Column | undefined): Column | null => {
    if (!column || taken.has(column)) return null;
    taken.add(column);
    return column;
  };
  const open = new Set(columnDoubts(head).map(({ index }) => index));
  const named = head.map((words, at) =>
    claim(open.has(at) ? undefined : HEADINGS.find(([pattern]) => pattern.test(words.trim()))?.[1]),
  );
  return named.map((column, index) => {
    if (column || open.has(index)) return column;
    const cells = rows.slice(0, 200).flatMap(({ cells: of }) => (of[index] ? [of[index]] : []));
    return claim(byExample(cells));
  });
}
