import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import {
  COLUMN_NAMES,
  COLUMNS,
  matchColumns,
  readList,
  type Column,
  type Matching,
} from '@loose-pulley/core/files/lists';
import type { BookBody } from '@loose-pulley/core/shop/book';
import { sameSize, type Item } from '@loose-pulley/core/shop/drawer';
import { readTable, type Table } from '@loose-pulley/core/base/table';
import { counted } from '@loose-pulley/core/base/units';
import { Button, CommitButton } from '../../parts/ui/Button';
import { FilePicker } from '../../parts/ui/FilePicker';
import { keptHere } from '../../parts/ui/useDraft';
import { TextLine } from '../../parts/ui/TextLine';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';
import { Select } from '../../parts/ui/Select';

interface Opened {
  readonly name: string;
  readonly table: Table;
  readonly matching: Matching;
}
const EXAMPLES = 3;
const SHOWN = 12;
const KIT_SIZES_MAX = 500;

/** What a list comes to, where every price is known. */
const priceOf = (items: readonly Item[]): number | null =>
  items.reduce<number | null>(
    (sum, { price, quantity }) => (sum === null || price === null ? null : sum + price * quantity),
    0,
  );

/** A list of belts as CSV: its columns matched by example, its mistakes told by line; whole, or not at all. */
export function BringIn({ items }: { readonly items: readonly Item[] }) {
  const dispatch = useAppDispatch();
  const [opened, setOpened] = useState<Opened | null>(null);
  const [kit, setKit] = useState('');
  const [said, setSaid] = useState('');
  const read = useMemo(() => opened && readList(opened.table, opened.matching, () => nanoid(12)), [opened]);
  // What lies here already under the same size and place is the same bag: its pieces are added.
  const more = (read?.items ?? []).flatMap((one) => {
    const here = items.find((of) => !of.band && of.place === one.place && sameSize(of, one));
    return here ? [[here, one] as const] : [];
  });
  const known = new Set(more.map(([, one]) => one));
  const fresh = (read?.items ?? []).filter((one) => !known.has(one));
  const tooManyForKit = kit.trim() !== '' && (read?.items.length ?? 0) > KIT_SIZES_MAX;
  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setSaid('');
    const table = readTable(await file.text(), file.name);
    if (!table.ok) {
      setOpened(null);
      setSaid(table.problem);
      return;
    }
    setKit('');
    setOpened({ name: file.name, table: table.value, matching: matchColumns(table.value.head, table.value.rows) });
  };
  const choose = (index: number, column: Column | ''): void => {
    if (!opened) return;
    // Each kind stands once: chosen here, it leaves where it stood.
    const matching = opened.matching.map((one, at) => (at === index ? column || null : one === column ? null : one));
    setOpened({ ...opened, matching });
  };
  const take = async (): Promise<void> => {
    if (!opened || !read || read.items.length === 0) return;
    const name = kit.trim();
    const contents = read.items.map(({ shape, thicknessMm, widthMm, innerLengthMm, label, quantity }) => ({
      shape,
      thicknessMm,
      widthMm,
      innerLengthMm,
      label,
      count: Math.max(1, quantity),
    }));
    const bodies: BookBody[] =
      name === ''
        ? [
            ...(fresh.length > 0 ? [{ type: 'itemsPut', items: fresh } as const] : []),
            ...more.map(([here, one]): BookBody => ({ type: 'quantityChanged', itemId: here.id, by: one.quantity })),
          ]
        : [
            {
              type: 'kitPut',
              kit: {
                id: nanoid(12),
                name,
                quantity: 1,
                place: '',
                supplier: read.items[0]?.supplier ?? '',
                price: priceOf(read.items),
                boughtOn: '',
                contents,
              },
            },
          ];
    const done = await dispatch(changeBook(bodies));
    if (done) {
      setSaid(
        `${counted(read.items.length, 'size')} from “${opened.name}” ${name === '' ? 'put in the drawer' : `kept as the kit “${name}”`}.`,
      );
      setOpened(null);
    }
  };
  return (
    <section aria-labelledby="bring-in" className="grid gap-2">
      <h2 id="bring-in" className="text-lg">
        A list as CSV
      </h2>
      <FilePicker label="Open a list" accept=".csv,.txt,text/csv" onFiles={([file]) => void open(file)} />
      <p role="status" className="empty:hidden">
        {said}
      </p>
      {opened && read && (
        <div className="grid gap-3">
          <p>
            <strong>{opened.name}</strong>, {counted(opened.table.rows.length, 'line')}. What each column holds:
          </p>
          <div className="overflow-x-auto">
            <table className="w-full border-collapse text-[15px]">
              <tbody>
                {opened.table.head.map((heading, index) => (
                  <tr key={`${heading} ${index}`} className="border-b border-hair">
                    <th scope="row" className="py-1 pr-2 text-left align-top font-normal">
                      {heading || `column ${index + 1}`}
                      <span className="block text-sm text-soft">
                        {opened.table.rows
                          .slice(0, EXAMPLES)
                          .map(({ cells }) => cells[index])
                          .filter(Boolean)
                          .join(', ')}
                      </span>
                    </th>
                    <td className="py-1">
                      <Select
                        aria-label={`Column ${heading || index + 1} holds`}
                        value={opened.matching[index] ?? ''}
                        onChoose={(chosen) => choose(index, chosen as Column | '')}
                        options={[
                          ['', 'leave it out'] as const,
                          ...COLUMNS.map((column) => [column, COLUMN_NAMES[column]] as const),
                        ]}
                      />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          {read.problems.length > 0 ? (
            <div role="alert" className="border-l-4 border-live pl-3">
              <p className="font-semibold text-live">
                Nothing was imported. {counted(read.problems.length, 'line')} cannot be read:
              </p>
              <ul>
                {read.problems.slice(0, SHOWN).map(({ line, words }) => (
                  <li key={line}>
                    line {line}: {words}
                  </li>
                ))}
              </ul>
              {read.problems.length > SHOWN && <p>and more.</p>}
            </div>
          ) : (
            <>
              <p>
                {counted(read.items.length, 'size')}, {read.items.reduce((sum, { quantity }) => sum + quantity, 0)}{' '}
                pieces.
                {more.length > 0 && ` ${counted(more.length, 'size')} of them here already: the pieces are added.`}
                {read.joined > 0 && ` ${counted(read.joined, 'line')} of one size joined.`}
              </p>
              <TextLine
                label="It is a kit, still together: its name"
                value={kit}
                maxLength={120}
                onText={keptHere(setKit)}
              />
              {tooManyForKit && <p className="text-live">A kit holds at most {KIT_SIZES_MAX} sizes.</p>}
              <div className="flex flex-wrap gap-2">
                <CommitButton look="strong" disabled={tooManyForKit} onClick={() => void take()}>
                  {kit.trim() === '' ? 'Put all of it in the drawer' : 'Keep it as a kit'}
                </CommitButton>
                <Button onClick={() => setOpened(null)}>Not now</Button>
              </div>
            </>
          )}
        </div>
      )}
    </section>
  );
}
