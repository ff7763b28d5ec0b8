import { BUILT_IN } from '../../belts/catalogue';
import { labelLies, newItem, RUBBERS, sameSize, type BeltFields, type Item, type Rubber } from '../../shop/drawer';
import type { Table } from '../../base/table';
import { asText } from '../../base/schema';
import { ok, parseLength, parseNumber, refuse, type LengthUnit, type Result } from '../../base/units';
import { parseBeltSize, SECTION_SHAPES, shapeOf, shapeSaid, shapeUnsaid } from '../../base/shapes';
import { isOwnList, readSellerNumbers } from './write';
import { COLUMN_NAMES, type Column, type Matching } from './columns';

/** What is wrong with a line of a list, in words. */
export interface LineProblem {
  readonly line: number;
  readonly words: string;
}

/** A list as it would come in: whole, or not at all. */
export interface ReadList {
  readonly items: readonly Item[];
  /** The line that each item stands on, the first where several were joined. */
  readonly lines: readonly number[];
  readonly problems: readonly LineProblem[];
  /** What was read and looks odd: it comes in as it is, once somebody has seen it. */
  readonly odd: readonly LineProblem[];
  /** Lines of rings whose length may as well be the inner diameter they are sold by: which it is has to be said. */
  readonly ringLines: readonly number[];
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

/** What was said of a list that it does not say itself. */
export interface SaidOfList {
  /** What rings under a heading of lengths are given by. */
  readonly ringLengths?: 'along' | 'across' | undefined;
}

/** A cell by its column, blanks at its ends left out; the same as it stands; and the unit that the column's heading names. */
interface Row {
  readonly cell: (column: Column) => string;
  readonly whole: (column: Column) => string;
  readonly unitOf: (column: Column) => LengthUnit;
  readonly said: SaidOfList;
}

/** A belt as a row gives it, what looks odd about it, and whether its length may as well be a diameter. */
interface RowBelt {
  readonly belt: BeltFields;
  readonly odd: readonly string[];
  readonly ring: boolean;
}

/** The size that a row gives: written as one, or in its parts. */
function beltOf({ cell, unitOf, said: list }: Row): Result<RowBelt> {
  const size = cell('size');
  if (size !== '') {
    const read = parseBeltSize(size);
    if (!read.ok) return read;
    if (read.value.otherwise)
      return refuse(`“${size}” may be an inner length or an inner diameter. Write ${size} long, or Ø before the size.`);
    const { shape, thicknessMm, widthMm = null, innerLengthMm } = read.value;
    return ok({ belt: { shape, thicknessMm, widthMm, innerLengthMm }, odd: [], ring: false });
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
  const wide = cell('width') !== '';
  const shape = said === '' ? shapeUnsaid({ across, wide }) : shapeSaid(said);
  if (!shape)
    return refuse(`“${said}” is no shape. Allowed: ${SECTION_SHAPES.map((one) => shapeOf(one).said[0]).join(', ')}.`);
  const width = wide ? length('width', 'width') : ok(null);
  if (!width.ok) return width;
  const { soldBy, hasWidth, name } = shapeOf(shape);
  const ring = along && soldBy === 'diameter' && mayBeAcross(shape, thickness.value, inner.value);
  const isAcross = across || (ring && list.ringLengths === 'across');
  const odd = [
    ...(hasWidth && width.value === null
      ? [`a ${name} belt without a width: taken as one whose width nobody knows`]
      : []),
    ...(across && soldBy === 'length' && said !== ''
      ? [`a ${name} belt by its inner diameter; such are sold by their inner length`]
      : []),
  ];
  return ok({
    belt: {
      shape,
      thicknessMm: thickness.value,
      widthMm: hasWidth ? width.value : null,
      innerLengthMm: isAcross ? Math.PI * inner.value : inner.value,
    },
    odd,
    ring,
  });
}

/** How near a figure is to a size on sale that it may be that one. */
const ON_SALE_MM = 0.12;

/** Whether a figure given as the inner length of a ring is an inner diameter on sale, or as a length no ring that is. */
function mayBeAcross(shape: BeltFields['shape'], thicknessMm: number, mm: number): boolean {
  const diameters = Object.values(BUILT_IN)
    .flatMap(({ belts }) => belts)
    .filter((one) => one.shape === shape && Math.abs(one.thicknessMm - thicknessMm) < ON_SALE_MM)
    .map(({ innerLengthMm }) => innerLengthMm / Math.PI);
  const sold = (figure: number, within: number): boolean => diameters.some((one) => Math.abs(one - figure) < within);
  return sold(mm, ON_SALE_MM) || !sold(mm / Math.PI, ON_SALE_MM / Math.PI);
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

interface RowItem extends Pick<RowBelt, 'odd' | 'ring'> {
  readonly item: Item;
}

function itemOf(row: Row, id: string): Result<RowItem> {
  const { cell, whole, unitOf } = row;
  const belt = beltOf(row);
  if (!belt.ok) return belt;
  const checked = checkBelt(belt.value.belt);
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
  const measuredOn = cell('measuredOn') === '' ? ok('') : dayOf(cell('measuredOn'));
  if (!measuredOn.ok) return measuredOn;
  const odd: string[] = [...belt.value.odd];
  const text = (column: Column, most: number): string => {
    if (whole(column).length > most)
      odd.push(`its ${COLUMN_NAMES[column]} has ${whole(column).length} letters and is cut to ${most}`);
    return whole(column).slice(0, most);
  };
  const value = <T>(of: Result<T>): T | null => (of.ok ? of.value : null);
  const measuredMm = measured?.ok ? measured.value.lengthMm : null;
  if (measuredMm !== null && labelLies(checked.value.innerLengthMm, measuredMm, 0))
    odd.push('it measures otherwise than it is listed, and is judged by what it measures');
  const item = newItem(id, checked.value, value(quantity) ?? 1, {
    place: text('place', 80),
    label: text('label', 160),
    supplier: text('supplier', 120),
    price: value(price),
    hardnessShoreA: value(hardness),
    lowAt: value(lowAt),
    rubber: kind,
    boughtOn: bought.value,
    measuredMm,
    measuredOn: measuredOn.value,
    kit: text('kit', 120),
    band: /^(yes|y|true|1|x|band)$/i.test(cell('band')),
    sellerNumbers: readSellerNumbers(whole('sellerNumber'), whole('supplier').slice(0, 80)),
  });
  return ok({ item, odd, ring: belt.value.ring });
}

const nothing = (problems: readonly LineProblem[]): ReadList => ({
  items: [],
  lines: [],
  problems,
  odd: [],
  ringLines: [],
  joined: 0,
});

/** All that is written of a size but how many there are: bags that differ in it stay apart. */
const bagOf = ({ id: _, quantity: __, ...rest }: Item): string => JSON.stringify(rest);

/**
 * Reads a list of belts with its columns matched: whole, or not at all. Two lines that say the same of a
 * size are joined; one label on two sizes is a mistake of the list.
 *
 * @param newId makes an id for the size of a line
 * @param said what a hand said of the list
 * @returns the items, or what is wrong by line
 */
export function readList(
  table: Table,
  matching: Matching,
  newId: (line: number) => string,
  said: SaidOfList = {},
): ReadList {
  const at = new Map(matching.flatMap((column, index) => (column ? [[column, index] as const] : [])));
  if (!at.has('size') && !(at.has('section') && (at.has('innerLength') || at.has('innerDiameter'))))
    return nothing([
      {
        line: 1,
        words: 'No column holds the size. Say which one does: a size such as 1.2x116, or section and inner length.',
      },
    ]);
  if (table.rows.length > LINES_MAX)
    return nothing([
      {
        line: table.rows[LINES_MAX]?.line ?? LINES_MAX,
        words: `The list has ${table.rows.length} lines; a drawer holds ${LINES_MAX} sizes. Bring in a part of it.`,
      },
    ]);
  // A heading such as “inner length, in” says what its bare numbers are.
  const unitOf = (column: Column): LengthUnit =>
    /\b(in|inch|inches)\b|"/i.test((table.head[at.get(column) ?? -1] ?? '').replace(/^in(ner|side)/i, ''))
      ? 'in'
      : 'mm';
  const own = isOwnList(table);
  const items: Item[] = [];
  const lines: number[] = [];
  const problems: LineProblem[] = [];
  const odd: LineProblem[] = [];
  const ringLines: number[] = [];
  let joined = 0;
  /** The size that a label stands for, and the bag that a row goes into, by their place in the list. */
  const labels = new Map<string, number>();
  const bags = new Map<string, number>();
  for (const { line, cells } of table.rows) {
    const as = (column: Column): string => asText(cells[at.get(column) ?? -1] ?? '');
    const cell = (column: Column): string => as(column).trim();
    // Blanks at the ends are kept of a list that was written here; others only look tidy.
    const read = itemOf({ cell, whole: own ? as : cell, unitOf, said }, newId(line));
    if (!read.ok) {
      if (problems.length < PROBLEMS_SHOWN) problems.push({ line, words: read.problem });
      continue;
    }
    const { item: one, ring } = read.value;
    const known = labels.get(one.label);
    if (one.label !== '' && known !== undefined && !own && !sameSize(items[known] as Item, one)) {
      if (problems.length < PROBLEMS_SHOWN)
        problems.push({
          line,
          words: `the label “${one.label}” stands on line ${lines[known]} already, with another size.`,
        });
      continue;
    }
    odd.push(...read.value.odd.map((words) => ({ line, words })));
    if (ring && !own) ringLines.push(line);
    const bag = bagOf(one);
    const same = bags.get(bag);
    if (same !== undefined && !own) {
      items[same] = { ...(items[same] as Item), quantity: (items[same] as Item).quantity + one.quantity };
      joined += 1;
      continue;
    }
    labels.set(one.label, known ?? items.length);
    bags.set(bag, items.length);
    items.push(one);
    lines.push(line);
  }
  return problems.length > 0 ? nothing(problems) : { items, lines, problems, odd, ringLines, joined };
}
