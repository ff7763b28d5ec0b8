import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { appendAll, emptyBook, type BookBody, type BookEvent, type BookRecord } from '@loose-pulley/core/shop/book';
import { newItem } from '@loose-pulley/core/shop/drawer';

/* The bench book over an IndexedDB in memory: two tabs are two keepers over one store. */
vi.mock('../boot', () => ({ bench: 'bench', homeBench: 'bench', isDemo: false, isPractice: false }));
vi.stubGlobal('navigator', {});
const { settingsTable } = await import('./storage');
const { BookKeeper } = await import('./bookKeeper');
const { commitBook, loadBookBefore, loadBookRecord: readStore } = await import('./bookStore');
/** The book as it lies there, which can be read. */
const loadBookRecord = async () => {
  const { record, ...rest } = await readStore();
  if (!record) throw new Error(rest.why);
  return { record, ...rest };
};
const { Stale } = await import('./commit');
const { ofBook } = await import('./book');
const { aboutToday } = await import('./demo');

const item = (id: string, quantity: number) =>
  newItem(id, { shape: 'square', thicknessMm: 1.2, widthMm: null, innerLengthMm: 116 }, quantity);
const tab = () => {
  const said: string[] = [];
  const seen: Array<{ readonly saving?: string; readonly status?: string; readonly record?: BookRecord | null }> = [];
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
  expect(await keeper.step('undone')).toEqual({ said: 'Undone: 1 more of 1.2 × 116.0.' });
  expect(await quantity()).toBe(5);
  expect((await keeper.step('redone')).said).toMatch(/^Redone/);
  expect(await quantity()).toBe(7);
  const { record } = await loadBookRecord();
  await settingsTable.setItem('bench-book', { ...record, version: 99 });
  expect(await tab().keeper.record([by(1)])).toMatch(/newer Loose Pulley/);
});

test('undo of what another tab did is asked, and done where it is meant', async () => {
  const [one, two] = [tab(), tab()];
  await Promise.all([one.keeper.load(), two.keeper.load()]);
  await two.keeper.record([by(3)]);
  await one.keeper.load();
  expect(await one.keeper.step('undone')).toEqual({ said: '', asked: '3 more of 1.2 × 116.0' });
  expect(await quantity()).toBe(8);
  expect(await one.keeper.step('undone', true)).toEqual({ said: 'Undone: 3 more of 1.2 × 116.0.' });
  expect(await quantity()).toBe(5);
  // The other may do it again only knowingly, too.
  await two.keeper.load();
  expect(await two.keeper.step('redone')).toMatchObject({ asked: '3 more of 1.2 × 116.0' });
  // What lay here when the tab began is this bench's own.
  expect(await tab().keeper.step('redone')).toEqual({ said: 'Redone: 3 more of 1.2 × 116.0.' });
});

describe('another book in the place of this one', () => {
  const other = (): BookRecord => {
    const after = appendAll(emptyBook(), [
      { type: 'itemsPut', items: [item('b', 1)], id: 'o1', at: '2026-11-27T09:00:00Z' } satisfies BookEvent,
    ]);
    if (!after.ok) throw new Error(after.problem);
    return after.value;
  };
  test('says what was here, keeps it, and it can be taken back; the other is kept instead', async () => {
    const { keeper } = tab();
    await keeper.load();
    expect(await keeper.replace(other())).toMatch(/now: 1 size \(1 piece\).*before, 1 size \(5 pieces\)/);
    expect([await quantity('a'), await quantity('b')]).toEqual([undefined, 1]);
    await keeper.record([by(1, 'b')]);
    expect(await keeper.takeBack()).toMatch(/now: 1 size \(5 pieces\)/);
    expect([await quantity('a'), await quantity('b')]).toEqual([5, undefined]);
    expect(await keeper.takeBack()).toMatch(/now: 1 size \(2 pieces\)/);
  });
  test('with something not saved yet, nothing is put in its place', async () => {
    const { keeper } = tab();
    await keeper.load();
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await keeper.record([by(3)]);
    expect(await keeper.replace(other())).toMatch(/not saved yet/);
    vi.restoreAllMocks();
    expect(await quantity()).toBe(5);
  });
});

describe('a stored book that cannot be read', () => {
  test.each([
    ['text', 'x', /not shaped like a bench book/],
    ['an item that is none', null, /what it holds is not shaped/],
    ['an event that is none', undefined, /entry 2 of its history/],
  ] as const)('%s: is set aside, takes nothing, and gives way to a new one, kept beside it', async (kind, _, why) => {
    const { record } = await loadBookRecord();
    const broken =
      kind === 'text'
        ? 'x'
        : kind === 'an item that is none'
          ? { ...record, book: { ...record.book, items: [{ id: 7 }] } }
          : { ...record, events: [...record.events, { type: 'itemsPut', items: 3 }] };
    await settingsTable.setItem('bench-book', broken);
    const { keeper, last, seen } = tab();
    await keeper.load();
    expect(seen.at(-1)).toMatchObject({ status: 'setAside', why: expect.stringMatching(why) as string });
    expect(await keeper.record([by(1)])).toMatch(/could not be read/);
    expect(await settingsTable.getItem('bench-book')).toEqual(broken);
    expect(await keeper.replace(emptyBook())).toMatch(/nothing yet.*What could not be read is kept/);
    expect(last()?.book.items).toEqual([]);
    expect((await loadBookBefore())?.stored).toEqual(broken);
    expect(await keeper.takeBack()).toMatch(/cannot be read: .*Save it as a file/);
  });
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
