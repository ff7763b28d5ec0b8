import { newItem, RUBBERS, sameSize, type BeltFields, type Item, type Rubber } from '../../shop/drawer';
import { writeTable, type Table } from '../../base/table';
import { ok, parseLength, parseNumber, refuse, type LengthUnit, type Result } from '../../base/units';
import { parseBeltSize, SECTION_SHAPES, shapeOf, shapeSaid, shapeUnsaid } from '../../base/shapes';
import type { Column, Matching } from './columns';

/** What is wrong with a line of a list, in words. */
export interface LineProblem {
  readonly line: number;
  readonly words: string;
}

/** A list as it would come in: whole, or not at all. */
export interface ReadList {
  readonly items: readonly Item[];
  readonly problems: readonly LineProblem[];
  /** Lines of one size that were joined, by their line. */
  readonly joined: number;
}

const RUBBER_WORDS: ReadonlyArray<readonly [RegExp, Rubber]> = [
  [/^(nbr|nitril)/i, 'nitrile'],
  [/^(cr\b|chloropren)/i, 'chloroprene'],
  [/^(nr\b|natural)/i, 'naturalRubber'],
  [/^(epdm|ethylene)/i, 'ethylenePropylene'],
  [/^(vmq|silicon)/i, 'siliconeRubber'],
  [/^(pu\b|pur\b|au\b|eu\b|polyurethan)/i, 'polyurethane'],
];

/** So many problems are named; a list with more is another kind of list. */
const PROBLEMS_SHOWN = 50;
/** A list with more lines than a drawer has room for is refused before each is read. */
export const LINES_MAX = 20_000;

/** A day as lists write it: 2026-01-31, 31.1.2026 or 31/1/2026. One that could be two days is refused. */
function dayOf(text: string): Result<string> {
  const iso = /^(\d{4})-(\d\d?)-(\d\d?)$/.exec(text);
  const other = /^(\d\d?)([./])(\d\d?)\2(\d{4})$/.exec(text);
  const [year, month, date] = iso ? [iso[1], iso[2], iso[3]] : other ? [other[4], other[3], other[1]] : [];
  const valid = Number(month) >= 1 && Number(month) <= 12 && Number(date) >= 1 && Number(date) <= 31;
  if (!year || !month || !date || !valid) return refuse(`“${text}” is no day. Write it as 2026-01-31.`);
  if (other?.[2] === '/' && Number(date) <= 12 && date !== month)
    return refuse(`“${text}” may be two days. Write it as ${year}-${month.padStart(2, '0')}-${date.padStart(2, '0')}.`);
  return ok(`${year}-${month.padStart(2, '0')}-${date.padStart(2, '0')}`);
}

/** A cell by its column, and the unit that the column's heading names. */
interface Row {
  readonly cell: (column: Column) => string;
  readonly unitOf: (column: Column) => LengthUnit;
}

/** The size that a row gives: written as one, or in its parts. */
function beltOf({ cell, unitOf }: Row): Result<BeltFields> {
  const size = cell('size');
  if (size !== '') {
    const read = parseBeltSize(size);
    if (!read.ok) return read;
    if (read.value.otherwise)
      return refuse(`“${size}” may be an inner length or an inner diameter. Write ${size} long, or Ø before the size.`);
    const { shape, thicknessMm, widthMm = null, innerLengthMm } = read.value;
    return ok({ shape, thicknessMm, widthMm, innerLengthMm });
  }
  const length = (column: Column, words: string): Result<number> => {
    const text = cell(column);
    if (text === '') return refuse(`No ${words}.`);
    const read = parseLength(text, unitOf(column));
    return read.ok ? ok(read.value.lengthMm) : refuse(`${words}: ${read.problem}`);
  };
  const thickness = length('section', 'section');
  if (!thickness.ok) return thickness;
  const across = cell('innerDiameter') !== '';
  const along = cell('innerLength') !== '';
  if (across && along) return refuse('Both an inner length and an inner diameter: leave one of them out.');
  const inner = across ? length('innerDiameter', 'inner diameter') : length('innerLength', 'inner length');
  if (!inner.ok) return inner;
  const said = cell('shape');
  const shape = said === '' ? shapeUnsaid({ across, wide: cell('width') !== '' }) : shapeSaid(said);
  if (!shape)
    return refuse(`“${said}” is no shape. Allowed: ${SECTION_SHAPES.map((one) => shapeOf(one).said[0]).join(', ')}.`);
  const width = cell('width') === '' ? ok(null) : length('width', 'width');
  if (!width.ok) return width;
  return ok({
    shape,
    thicknessMm: thickness.value,
    widthMm: shapeOf(shape).hasWidth ? width.value : null,
    innerLengthMm: across ? Math.PI * inner.value : inner.value,
  });
}

/** A belt within what a drawer holds; the usual error is a unit. */
function checkBelt(belt: BeltFields): Result<BeltFields> {
  const { thicknessMm, innerLengthMm } = belt;
  if (thicknessMm < 0.3 || thicknessMm > 8)
    return refuse(`section ${thicknessMm.toFixed(2)} mm. Sections here run from 0.3 to 8 mm: is it in another unit?`);
  if (innerLengthMm < 15 || innerLengthMm > 2000)
    return refuse(
      `inner length ${innerLengthMm.toFixed(1)} mm. Belts here run from 15 to 2000 mm: is it in another unit?`,
    );
  return ok(belt);
}

function itemOf(row: Row, id: string): Result<Item> {
  const { cell, unitOf } = row;
  const belt = beltOf(row);
  if (!belt.ok) return belt;
  const checked = checkBelt(belt.value);
  if (!checked.ok) return checked;
  const numberIn = (column: Column, words: string, min: number, max: number, whole: boolean): Result<number | null> => {
    const text = cell(column);
    if (text === '') return ok(null);
    const read = parseNumber(text.replace(/^[^\d+-]+|[^\d]+$/g, ''));
    const value = read.ok ? read.value : Number.NaN;
    if (!(value >= min && value <= max) || (whole && !Number.isInteger(value)))
      return refuse(`${words} “${text}”. Allowed: ${min} to ${max}${whole ? ', whole' : ''}.`);
    return ok(value);
  };
  const quantity = numberIn('quantity', 'quantity', 0, 100_000, true);
  const price = numberIn('price', 'price', 0, 100_000, false);
  const hardness = numberIn('hardness', 'hardness', 10, 100, false);
  const lowAt = numberIn('lowAt', 'few at', 0, 100_000, true);
  for (const one of [quantity, price, hardness, lowAt]) if (!one.ok) return one;
  const measured = cell('measured') === '' ? undefined : parseLength(cell('measured'), unitOf('measured'));
  if (measured && !measured.ok) return refuse(`measured length: ${measured.problem}`);
  const bought = cell('boughtOn') === '' ? ok('') : dayOf(cell('boughtOn'));
  if (!bought.ok) return bought;
  const rubber = cell('rubber');
  const kind = rubber === '' ? 'unknown' : RUBBER_WORDS.find(([words]) => words.test(rubber))?.[1];
  if (!kind)
    return refuse(
      `“${rubber}” is no kind of rubber known here. Allowed: ${RUBBERS.slice(1).length} kinds, such as nitrile, or nothing.`,
    );
  const number = cell('sellerNumber');
  const text = (column: Column, most: number): string => cell(column).slice(0, most);
  const value = <T>(of: Result<T>): T | null => (of.ok ? of.value : null);
  return ok(
    newItem(id, checked.value, value(quantity) ?? 1, {
      place: text('place', 80),
      label: text('label', 160),
      supplier: text('supplier', 120),
      price: value(price),
      hardnessShoreA: value(hardness),
      lowAt: value(lowAt),
      rubber: kind,
      boughtOn: bought.value,
      measuredMm: measured?.ok ? measured.value.lengthMm : null,
      kit: text('kit', 120),
      sellerNumbers: number === '' ? [] : [{ seller: text('supplier', 80), number: number.slice(0, 80) }],
    }),
  );
}

/**
 * Reads a list of belts with its columns matched: whole, or not at all. Two lines of one size and place are joined, unless
 * they carry one label: that is a mistake of the list.
 *
 * @param newId makes an id for the size of a line
 * @returns the items, or what is wrong by line
 */
export function readList(table: Table, matching: Matching, newId: (line: number) => string): ReadList {
  const at = new Map(matching.flatMap((column, index) => (column ? [[column, index] as const] : [])));
  const items: Item[] = [];
  const problems: LineProblem[] = [];
  if (!at.has('size') && !(at.has('section') && (at.has('innerLength') || at.has('innerDiameter'))))
    return {
      items: [],
      problems: [
        {
          line: 1,
          words: 'No column holds the size. Say which one does: a size such as 1.2x116, or section and inner length.',
        },
      ],
      joined: 0,
    };
  if (table.rows.length > LINES_MAX)
    return {
      items: [],
      problems: [
        {
          line: table.rows[LINES_MAX]?.line ?? LINES_MAX,
          words: `The list has ${table.rows.length} lines; a drawer holds ${LINES_MAX} sizes. Bring in a part of it.`,
        },
      ],
      joined: 0,
    };
  // A heading such as “inner length, in” says what its bare numbers are.
  const unitOf = (column: Column): LengthUnit =>
    /\b(in|inch|inches)\b|"/i.test((table.head[at.get(column) ?? -1] ?? '').replace(/^in(ner|side)/i, ''))
      ? 'in'
      : 'mm';
  let joined = 0;
  const lines = new Map<string, number>();
  const bySize = new Map<string, number[]>();
  for (const { line, cells } of table.rows) {
    const read = itemOf({ cell: (column) => cells[at.get(column) ?? -1] ?? '', unitOf }, newId(line));
    if (!read.ok) {
      if (problems.length < PROBLEMS_SHOWN) problems.push({ line, words: read.problem });
      continue;
    }
    const one = read.value;
    const known = one.label === '' ? undefined : lines.get(one.label);
    const sizeKey = `${one.shape} ${one.thicknessMm.toFixed(2)} ${Math.round(one.innerLengthMm)} ${one.place}`;
    const same = (bySize.get(sizeKey) ?? []).find((index) => sameSize(items[index] as Item, one));
    if (known !== undefined && same === undefined) {
      if (problems.length < PROBLEMS_SHOWN)
        problems.push({ line, words: `the label “${one.label}” stands on line ${known} already, with another size.` });
      continue;
    }
    if (one.label !== '') lines.set(one.label, known ?? line);
    if (same !== undefined) {
      items[same] = { ...(items[same] as Item), quantity: (items[same] as Item).quantity + one.quantity };
      joined += 1;
      continue;
    }
    bySize.set(sizeKey, [...(bySize.get(sizeKey) ?? []), items.length]);
    items.push(one);
  }
  return problems.length > 0 ? { items: [], problems, joined: 0 } : { items, problems, joined };
}

/** The drawer as a list that comes in again as it is. */
export function writeList(items: readonly Item[]): string {
  const mm = (value: number | null): string => (value === null ? '' : String(Math.round(1e4 * value) / 1e4));
  return writeTable(
    [
      'shape',
      'section',
      'width',
      'inner length',
      'quantity',
      'place',
      'label',
      'supplier',
      'part number',
      'price',
      'rubber',
      'hardness',
      'bought',
      'measured',
      'few at',
      'kit',
    ],
    items.map((one) => [
      one.shape,
      mm(one.thicknessMm),
      mm(one.widthMm),
      mm(one.innerLengthMm),
      one.quantity,
      one.place,
      one.label,
      one.supplier,
      one.sellerNumbers[0]?.number ?? '',
      one.price,
      one.rubber === 'unknown' ? '' : one.rubber,
      one.hardnessShoreA,
      one.boughtOn,
      mm(one.measuredMm),
      one.lowAt,
      one.kit,
    ]),
  );
}
