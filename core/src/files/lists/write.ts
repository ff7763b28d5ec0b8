import type { Item } from '../../shop/drawer';
import { writeTable, type Table } from '../../base/table';

/** Sellers' numbers in one cell: `number`, or `seller: number`; several behind semicolons, what is neither behind a backslash. */
const escaped = (text: string): string => text.replace(/[\\;:]/g, (sign) => `\\${sign}`);
const writeSellerNumbers = ({ sellerNumbers, supplier }: Item): string =>
  sellerNumbers
    .map(({ seller, number }) =>
      seller === supplier.slice(0, 80) ? escaped(number) : `${escaped(seller)}: ${escaped(number)}`,
    )
    .join('; ');

/** `seller: number`, or a number alone. */
const ENTRY = /^(?:((?:\\[^]|[^:\\])*): )?([^]*)$/;

/** The same read back; a number alone is the supplier's. */
export function readSellerNumbers(cell: string, supplier: string): Item['sellerNumbers'] {
  const plain = (text: string): string => text.replace(/\\([\\;:])/g, '$1').slice(0, 80);
  return (cell.match(/(?:\\[^]|[^;\\])+/g) ?? [])
    .map((entry, index) => ENTRY.exec(index === 0 ? entry : entry.replace(/^ /, '')))
    .map((found) => ({ seller: plain(found?.[1] ?? supplier), number: plain(found?.[2] ?? '') }))
    .filter(({ number }) => number.trim() !== '')
    .slice(0, 20);
}

/** The columns of a list that is written here. A list with just these came from here. */
const HEAD = [
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
  'measured on',
  'few at',
  'kit',
  'band',
];

/** Whether a list was written here: its counts are the drawer's own then. */
export const isOwnList = ({ head }: Table): boolean => head.join() === HEAD.join();

/** The drawer as a list that comes in again as it is. */
export function writeList(items: readonly Item[]): string {
  // As few digits as give the very same figure back.
  const mm = (value: number | null): string => {
    if (value === null) return '';
    const short = String(Math.round(1e4 * value) / 1e4);
    return Number(short) === value ? short : String(value);
  };
  return writeTable(
    HEAD,
    items.map((one) => [
      one.shape,
      mm(one.thicknessMm),
      mm(one.widthMm),
      mm(one.innerLengthMm),
      one.quantity,
      one.place,
      one.label,
      one.supplier,
      writeSellerNumbers(one),
      one.price,
      one.rubber === 'unknown' ? '' : one.rubber,
      one.hardnessShoreA,
      one.boughtOn,
      mm(one.measuredMm),
      one.measuredOn,
      one.lowAt,
      one.kit,
      one.band ? 'yes' : '',
    ]),
  );
}
