import { nanoid } from 'nanoid';
import { useMemo, useState } from 'react';
import {
  isOwnList,
  matchColumns,
  meet,
  readList,
  type Column,
  type Matching,
  type SaidOfList,
} from '@loose-pulley/core/files/lists';
import type { BookBody } from '@loose-pulley/core/shop/book';
import type { Item } from '@loose-pulley/core/shop/drawer';
import { readTable, type Table } from '@loose-pulley/core/base/table';
import { counted } from '@loose-pulley/core/base/units';
import { changeBook } from '../../state/persistence/book';
import { useAppDispatch } from '../../state/store/hooks';

/** A list that was opened and is not in the drawer yet: what was made of it, and what a hand said of it. */
export interface Opened {
  readonly name: string;
  readonly table: Table;
  readonly matching: Matching;
  /** Columns that a hand named, by their place. */
  readonly chosen: readonly number[];
  readonly said: SaidOfList;
  readonly kit: string;
  /** Whether its figures come upon what hangs there, or are all that hangs there. */
  readonly counts: 'more' | 'all';
}

/** What one costs all together, where every price is known. */
const priceOf = (items: readonly Item[]): number | null =>
  items.reduce<number | null>(
    (sum, { price, quantity }) => (sum === null || price === null ? null : sum + price * quantity),
    0,
  );

/** A list of belts between its file and the drawer: nothing of it goes in before it was looked at. */
export function useList(items: readonly Item[]) {
  const dispatch = useAppDispatch();
  const [opened, setOpened] = useState<Opened | null>(null);
  const [said, setSaid] = useState('');
  // A name typed for the kit reads no list anew.
  const { table, matching, said: saidOfIt } = opened ?? {};
  const read = useMemo(
    () => (table && matching && saidOfIt ? readList(table, matching, () => nanoid(12), saidOfIt) : null),
    [table, matching, saidOfIt],
  );
  const meeting = useMemo(() => meet(items, read?.items ?? []), [items, read]);

  const open = async (file: File | undefined): Promise<void> => {
    if (!file) return;
    setSaid('');
    const found = readTable(await file.text(), file.name);
    if (!found.ok) {
      setOpened(null);
      setSaid(found.problem);
      return;
    }
    const { head, rows } = found.value;
    setOpened({
      name: file.name,
      table: found.value,
      matching: matchColumns(head, rows),
      chosen: [],
      said: {},
      kit: '',
      counts: isOwnList(found.value) ? 'all' : 'more',
    });
  };
  const choose = (index: number, column: Column | ''): void => {
    if (!opened) return;
    // Each kind stands once: chosen here, it leaves where it stood.
    const next = opened.matching.map((one, at) => (at === index ? column || null : one === column ? null : one));
    setOpened({ ...opened, matching: next, chosen: [...opened.chosen, index] });
  };
  const asKit = (name: string, of: readonly Item[]): BookBody => ({
    type: 'kitPut',
    kit: {
      id: nanoid(12),
      name,
      quantity: 1,
      place: '',
      supplier: of[0]?.supplier ?? '',
      price: priceOf(of),
      boughtOn: '',
      contents: of.map(({ shape, thicknessMm, widthMm, innerLengthMm, label, quantity }) => ({
        shape,
        thicknessMm,
        widthMm,
        innerLengthMm,
        label,
        count: Math.max(1, quantity),
      })),
    },
  });
  const take = async (): Promise<void> => {
    if (!opened || !read || read.items.length === 0) return;
    const name = opened.kit.trim();
    const all = opened.counts === 'all';
    const bodies: readonly BookBody[] =
      name !== ''
        ? [asKit(name, read.items)]
        : [
            ...(meeting.fresh.length > 0 ? [{ type: 'itemsPut', items: meeting.fresh } as const] : []),
            ...meeting.here
              .filter(([there, one]) => (all ? there.quantity !== one.quantity : one.quantity !== 0))
              .map(([{ id: itemId }, { quantity }]): BookBody =>
                all ? { type: 'recounted', itemId, quantity } : { type: 'quantityChanged', itemId, by: quantity },
              ),
          ];
    const same = bodies.length === 0;
    if (!same && !(await dispatch(changeBook(bodies)))) return;
    setSaid(
      same
        ? `“${opened.name}” says just what hangs in the drawer: nothing was changed.`
        : `${counted(read.items.length, 'size')} from “${opened.name}” ${name !== '' ? `kept as the kit “${name}”` : all && meeting.here.length > 0 ? 'counted' : 'put in the drawer'}.`,
    );
    setOpened(null);
  };
  return { opened, setOpened, read, meeting, said, open, choose, take };
}
