import 'fake-indexeddb/auto';
import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { summarise, TICKET_VERSION, type TicketRecord } from '@loose-pulley/core/record/ticket';
import { opening, recordOf } from '../../../../core/fixtures/sample';

/* localForage over an IndexedDB in memory: what is proved here is what the browser's own transactions do. */
vi.mock('../boot', () => ({ bench: 'bench', homeBench: 'bench', isDemo: false, isPractice: false }));
const { journalTable, summaryTable, ticketTable } = await import('./storage');
const { Stale } = await import('./commit');
const { deleteForGood, deleteTicket, loadDeleted, putBack } = await import('./deleted');
const { loadAllTickets, saveAll } = await import('./archive');
const { finishImport } = await import('./oldJournal');
const { loadSummaries, loadTicket, saveTicket } = await import('./tickets');

const record = (id: string, machine = 'Pennerley T9 booth deck'): TicketRecord =>
  recordOf([
    opening.type === 'ticketOpened' ? { ...opening, ticketId: id, details: { ...opening.details, machine } } : opening,
  ]);
const frozen = (version: number) =>
  JSON.parse(
    readFileSync(new URL(`../../../../core/fixtures/ticket-v${version}.json`, import.meta.url), 'utf8'),
  ) as TicketRecord;
const ids = async () => (await loadSummaries()).summaries.map(({ id }) => id).sort();
const machineOf = async (id: string) => (await loadTicket(id))?.record.ticket.machine;

beforeEach(async () => {
  vi.restoreAllMocks();
  await Promise.all([ticketTable.clear(), summaryTable.clear(), journalTable.clear()]);
});

describe('one ticket', () => {
  test('comes back as it was written, its summary with it, under a revision that grows', async () => {
    const one = record('a');
    expect(await saveTicket(one, null)).toEqual({ summary: summarise(one), revision: 1 });
    expect(await loadTicket('a')).toEqual({ record: one, revision: 1, newer: false });
    expect((await loadSummaries()).summaries).toEqual([{ ...summarise(one), revision: 1 }]);
    expect((await saveTicket(record('a', 'later'), 1)).revision).toBe(2);
    expect(await loadTicket('b')).toBeNull();
  });
  test('of two writers who read the same, the second is refused and writes nothing', async () => {
    await saveTicket(record('a'), null);
    await saveTicket(record('a', 'first'), 1);
    await expect(saveTicket(record('a', 'second'), 1)).rejects.toThrow(Stale);
    await expect(saveTicket(record('a', 'as new'), null)).rejects.toThrow(Stale);
    await expect(saveTicket(record('b', 'is gone'), 3)).rejects.toThrow(Stale);
    expect([await machineOf('a'), await ids()]).toEqual(['first', ['a']]);
  });
  test('both at once: one of them, whichever', async () => {
    await saveTicket(record('a'), null);
    const both = await Promise.allSettled([saveTicket(record('a', 'x'), 1), saveTicket(record('a', 'y'), 1)]);
    expect(both.map(({ status }) => status).sort()).toEqual(['fulfilled', 'rejected']);
    expect((await loadTicket('a'))?.revision).toBe(2);
  });
  test('where its summary cannot be written, the ticket is not either', async () => {
    await saveTicket(record('a', 'before'), null);
    const put = IDBObjectStore.prototype.put;
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (this.name === 'summaries') {
        this.transaction.abort();
        return {} as IDBRequest<IDBValidKey>;
      }
      return put.apply(this, args);
    });
    await expect(saveTicket(record('a', 'after'), 1)).rejects.toThrow();
    vi.restoreAllMocks();
    expect(await machineOf('a')).toBe('before');
    expect((await loadSummaries()).summaries[0]?.machine).toBe('before');
  });
  test.each([1, 2])('one that an older Loose Pulley wrote, format %i, is brought up when read', async (version) => {
    const old = frozen(version);
    await ticketTable.setItem(old.ticket.id, old);
    const read = await loadTicket(old.ticket.id);
    expect(read).toMatchObject({ record: { version: TICKET_VERSION }, revision: 0 });
    expect(read?.record.ticket.drives[0]?.idlers.every((one) => 'surface' in one)).toBe(true);
    // It has no revision yet, and is written over all the same.
    expect((await saveTicket(read?.record as TicketRecord, 0)).revision).toBe(1);
  });
});

describe('one bad record hides no other', () => {
  test('it is set aside by name, on the Bench and in the archive', async () => {
    await saveTicket(record('a'), null);
    await ticketTable.setItem('torn', { format: 'loose-pulley/ticket', version: TICKET_VERSION });
    await ticketTable.setItem('odd', 'not a record');
    expect(await ids()).toEqual(['a']);
    expect((await loadSummaries()).setAside.map(({ id }) => id).sort()).toEqual(['odd', 'torn']);
    const { records, setAside } = await loadAllTickets();
    expect(records.map(({ ticket }) => ticket.id)).toEqual(['a']);
    expect(setAside).toHaveLength(2);
  });
  test('one of a newer make is read, and said to be newer', async () => {
    await ticketTable.setItem('a', { ...record('a'), version: TICKET_VERSION + 1 });
    expect(await loadTicket('a')).toMatchObject({ newer: true });
  });
});

describe('summaries are a cache', () => {
  test('one that is missing or of an older make is made anew; one without its ticket is dropped', async () => {
    await saveTicket(record('a'), null);
    await saveTicket(record('b'), null);
    await summaryTable.removeItem('a');
    await summaryTable.setItem('b', { id: 'b', machine: 'of old' });
    await summaryTable.setItem('ghost', summarise(record('ghost')));
    expect(await ids()).toEqual(['a', 'b']);
    expect((await loadSummaries()).summaries.every(({ machine }) => machine === 'Pennerley T9 booth deck')).toBe(true);
    // The revision is not lost with it.
    expect((await saveTicket(record('a', 'on'), 1)).revision).toBe(2);
  });
  test('where the disk is full they are shown all the same', async () => {
    await saveTicket(record('a'), null);
    await summaryTable.removeItem('a');
    vi.spyOn(summaryTable, 'setItem').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
    expect(await ids()).toEqual(['a']);
  });
});

describe('several at once, all or nothing', () => {
  const fresh = () => null;
  test('all are there', async () => {
    await saveAll([record('a'), record('b'), record('c')], fresh);
    expect(await ids()).toEqual(['a', 'b', 'c']);
  });
  test('where one was changed meanwhile, none is written', async () => {
    await saveTicket(record('b', 'mine'), null);
    await saveTicket(record('b', 'mine, later'), 1);
    const over = (id: string) => (id === 'b' ? 1 : null);
    await expect(saveAll([record('a'), record('b', 'theirs'), record('c')], over)).rejects.toThrow(Stale);
    expect([await ids(), await machineOf('b')]).toEqual([['b'], 'mine, later']);
  });
  test('where the store gives up on the way, everything is as before', async () => {
    await saveTicket(record('b', 'mine'), null);
    const put = IDBObjectStore.prototype.put;
    vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(function (this: IDBObjectStore, ...args) {
      if (args[1] === 'c') throw new DOMException('full', 'QuotaExceededError');
      return put.apply(this, args);
    });
    const over = (id: string) => (id === 'b' ? 1 : null);
    await expect(saveAll([record('a'), record('b', 'theirs'), record('c')], over)).rejects.toThrow();
    vi.restoreAllMocks();
    expect([await ids(), await machineOf('b')]).toEqual([['b'], 'mine']);
  });
  test('what an earlier Loose Pulley left in its journal is ended, over nothing that stands here', async () => {
    await saveTicket(record('b', 'mine'), null);
    await journalTable.setItem('import', [record('a'), record('b', 'theirs'), frozen(2)]);
    await finishImport();
    expect(await ids()).toEqual(['a', 'b', frozen(2).ticket.id].sort());
    expect(await machineOf('b')).toBe('mine');
    expect(await journalTable.length()).toBe(0);
  });
});

describe('a deleted ticket', () => {
  test('leaves the Bench, can be put back, and is gone for good only when that is said', async () => {
    await saveTicket(record('a'), null);
    await deleteTicket('a', '2026-11-26T10:00:00Z');
    expect([await ids(), (await loadDeleted()).map(({ record: { ticket } }) => ticket.id)]).toEqual([[], ['a']]);
    await putBack('a');
    expect([await ids(), await loadDeleted()]).toEqual([['a'], []]);
    await deleteTicket('a', '2026-11-26T10:00:00Z');
    await deleteForGood('a');
    expect([await ids(), await loadDeleted()]).toEqual([[], []]);
  });
  test('whose tab died before it left is still on the Bench, once', async () => {
    await saveTicket(record('a'), null);
    await journalTable.setItem('deleted/a', { record: record('a'), at: '2026-11-26T10:00:00Z' });
    expect([await ids(), await loadDeleted()]).toEqual([['a'], []]);
  });
});
