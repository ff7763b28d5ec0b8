import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { appendAll, emptyBook, type BookBody, type BookEvent, type BookRecord } from '@loose-pulley/core/shop/book';
import { newItem } from '@loose-pulley/core/shop/drawer';
import type { Ticket } from '@loose-pulley/core/record/ticket';
import { tried } from '../../../../core/fixtures/sample';

/* The bench book over an IndexedDB in memory: two tabs are two keepers over one store. */
vi.mock('../boot', () => ({ isDemo: false }));
vi.stubGlobal('navigator', {});
const { settingsTable } = await import('./storage');
const { BookKeeper } = await import('./bookKeeper');
const { commitBook, loadBookRecord } = await import('./bookStore');
const { Stale } = await import('./commit');
const { drawerAfter, ofBook } = await import('./book');
const { aboutToday } = await import('./demo');

const item = (id: string, quantity: number) =>
  newItem(id, { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm: 116 }, quantity);
const tab = () => {
  const said: string[] = [];
  const seen: Array<{ readonly saving?: string; readonly record?: BookRecord }> = [];
  const keeper = new BookKeeper(
    (news) => {
      seen.push(news);
      if (news.said) said.push(news.said);
    },
    () => undefined,
  );
  return { keeper, said, seen, last: () => seen.findLast(({ record }) => record)?.record };
};
const quantity = async (id = 'a') => (await loadBookRecord()).record.book.items.find((one) => one.id === id)?.quantity;
const by = (n: number, itemId = 'a'): BookBody => ({ type: 'quantityChanged', itemId, by: n });

beforeEach(async () => {
  vi.restoreAllMocks();
  await settingsTable.clear();
  await tab().keeper.record([{ type: 'itemsPut', items: [item('a', 5)] }]);
});

describe('two tabs over one book', () => {
  test('what each says upon what the other said adds up', async () => {
    const [one, two] = [tab(), tab()];
    await Promise.all([one.keeper.load(), two.keeper.load()]);
    await Promise.all([
      ...Array.from({ length: 6 }, () => one.keeper.record([by(2)])),
      ...Array.from({ length: 4 }, () => two.keeper.record([by(-1)])),
    ]);
    await vi.waitFor(() => expect([one.keeper.isBusy, two.keeper.isBusy]).toEqual([false, false]));
    expect(await quantity()).toBe(5 + 12 - 4);
    expect((await loadBookRecord()).record.events).toHaveLength(11);
  });
  test('the last one can be taken once: the other hears why, and the count stays right', async () => {
    const [one, two] = [tab(), tab()];
    await Promise.all([one.keeper.load(), two.keeper.load()]);
    expect(await one.keeper.record([by(-5)])).toBe('');
    const refused = await two.keeper.record([by(-1)]);
    expect(`${refused} ${two.said.join(' ')}`).toMatch(/There are 0 of this size/);
    expect(await quantity()).toBe(0);
  });
  test('the store itself refuses what was written over an older revision', async () => {
    const { record, revision } = await loadBookRecord();
    await commitBook(record, revision);
    await expect(commitBook(record, revision)).rejects.toBeInstanceOf(Stale);
  });
});

test('a store that refuses loses nothing: it is said, stays in sight, and is written with the next that goes', async () => {
  const { keeper, seen, last } = tab();
  await keeper.load();
  const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  await keeper.record([by(3)]);
  expect(seen.at(-1)).toMatchObject({ saving: 'failed', problem: { kind: 'full' } });
  expect(last()?.book.items[0]?.quantity).toBe(8);
  put.mockRestore();
  await keeper.record([by(1)]);
  expect(await quantity()).toBe(9);
  expect(seen.at(-1)).toMatchObject({ saving: 'kept' });
});

test('undo and redo, one breath at a time; a newer book is only looked at', async () => {
  const { keeper } = tab();
  await keeper.record([by(1), by(1)]);
  expect(await keeper.step('undone')).toBe('Undone: 1 more of 1.2 × 116.0.');
  expect(await quantity()).toBe(5);
  expect(await keeper.step('redone')).toMatch(/^Redone/);
  expect(await quantity()).toBe(7);
  const { record } = await loadBookRecord();
  await settingsTable.setItem('bench-book', { ...record, version: 99 });
  expect(await tab().keeper.record([by(1)])).toMatch(/newer Loose Pulley/);
});

describe('the drawer follows a ticket', () => {
  const stocked = (...bodies: readonly BookBody[]): BookRecord => {
    const after = appendAll(
      emptyBook(),
      [{ type: 'itemsPut', items: [item('a', 2)] } as BookBody, ...bodies].map((body, n): BookEvent => ({
        ...body,
        id: `e${n}`,
        at: '2026-11-27T09:00:00Z',
      })),
    );
    if (!after.ok) throw new Error(after.problem);
    return after.value;
  };
  const ticket = (verdict: 'untried' | 'right' | 'tooLoose', itemId = 'a') =>
    ({ id: 't', drives: [{ tries: [{ ...tried('try1', 116, verdict), itemId }] }] }) as unknown as Ticket;
  const take = { tryId: 'try1', itemId: 'a', ticketId: 't' };
  test('taken while on trial or right, put back when it failed or was undone, and said once', () => {
    expect(drawerAfter(ticket('untried'), stocked())).toEqual([{ type: 'taken', take }]);
    const out = stocked({ type: 'taken', take });
    expect(drawerAfter(ticket('right'), out)).toEqual([]);
    expect(drawerAfter(ticket('tooLoose'), out)).toEqual([{ type: 'putBack', tryId: 'try1' }]);
    expect(drawerAfter({ id: 't', drives: [{ tries: [] }] } as unknown as Ticket, out)).toEqual([
      { type: 'putBack', tryId: 'try1' },
    ]);
    expect(drawerAfter({ id: 'other', drives: [] } as unknown as Ticket, out)).toEqual([]);
  });
  test('a size that this drawer never had, from another bench’s ticket, is left alone', () =>
    expect(drawerAfter(ticket('right', 'elsewhere'), stocked())).toEqual([]));
});

test('the demo’s days about its anchor are days about today, over the month’s end too', () =>
  expect(aboutToday('"2099-06-15T16:00:00Z" "2099-06-18" "2025-01-01"', new Date(2026, 10, 29))).toBe(
    '"2026-11-29T16:00:00Z" "2026-12-02" "2025-01-01"',
  ));
test('which pages belong to the book', () =>
  expect(['/drawer', '/orders/x/print', '/day', '/', '/drawers', '/t/1/day'].map(ofBook)).toEqual([
    true,
    true,
    true,
    false,
    false,
    false,
  ]));
