import { readFileSync } from 'node:fs';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import { summarise, TICKET_VERSION, type TicketRecord } from '@loose-pulley/core/ticket';
import { opening, recordOf } from '../../../../core/fixtures/sample';
import { FakeTable } from './fakeTable';

const tables = vi.hoisted(() => ({}) as Record<'ticketTable' | 'summaryTable' | 'journalTable', never>);
vi.mock('./storage', () => tables);
const [tickets, summaries, journal] = [new FakeTable(), new FakeTable(), new FakeTable()];
Object.assign(tables, { ticketTable: tickets, summaryTable: summaries, journalTable: journal });
const { finishImport, loadAllTickets, loadSummaries, loadTicket, removeTicket, saveAll, saveTicket } =
  await import('./tickets');

const record = (id: string, machine = 'Pennerley T9 booth deck'): TicketRecord =>
  recordOf([
    opening.type === 'ticketOpened' ? { ...opening, ticketId: id, details: { ...opening.details, machine } } : opening,
  ]);
const frozen = (version: number) =>
  JSON.parse(
    readFileSync(new URL(`../../../../core/fixtures/ticket-v${version}.json`, import.meta.url), 'utf8'),
  ) as TicketRecord;
const ids = async () => (await loadSummaries()).map(({ id }) => id).sort();

beforeEach(() => {
  for (const table of [tickets, summaries, journal]) {
    table.kept.clear();
    table.allowed = Infinity;
  }
});

describe('one ticket', () => {
  test('comes back as it was written, and its summary with it', async () => {
    const one = record('a');
    expect(await saveTicket(one)).toEqual(summarise(one));
    expect(await loadTicket('a')).toEqual(one);
    expect(await loadSummaries()).toEqual([summarise(one)]);
    expect(await loadTicket('b')).toBeNull();
  });
  test.each([0, 1, 2])(
    'a tab that dies after step %i of a save leaves no summary older than its ticket',
    async (steps) => {
      await saveTicket(record('a', 'before'));
      // The three steps touch two tables; what is allowed runs out in their order.
      let left = steps;
      const dying = (table: FakeTable, key: 'setItem' | 'removeItem') =>
        vi
          .spyOn(table, key)
          .mockImplementation(() =>
            left-- > 0
              ? (FakeTable.prototype[key] as (...all: unknown[]) => Promise<never>).call(
                  table,
                  'a',
                  record('a', 'after'),
                )
              : Promise.reject(new Error('the tab died')),
          );
      const spies = [dying(summaries, 'removeItem'), dying(tickets, 'setItem'), dying(summaries, 'setItem')];
      await expect(saveTicket(record('a', 'after'))).rejects.toThrow('died');
      spies.forEach((spy) => spy.mockRestore());
      const [summary] = await loadSummaries();
      const kept = await loadTicket('a');
      expect(summary).toEqual(kept && summarise(kept));
      expect(kept?.ticket.machine).toBe(steps < 2 ? 'before' : 'after');
    },
  );
  test('taken away, it is gone from ticket and summary', async () => {
    await saveTicket(record('a'));
    await removeTicket('a');
    expect([await loadTicket('a'), await loadSummaries()]).toEqual([null, []]);
  });
  test.each([1, 2])(
    'one that an older Loose Pulley wrote, format %i, is brought up when it is read',
    async (version) => {
      const old = frozen(version);
      await tickets.setItem(old.ticket.id, old);
      const read = await loadTicket(old.ticket.id);
      expect(read?.version).toBe(TICKET_VERSION);
      expect(read?.ticket.drives[0]?.idlers.every((one) => 'surface' in one)).toBe(true);
      expect((await loadAllTickets()).map(({ version: now }) => now)).toEqual([TICKET_VERSION]);
    },
  );
});

describe('summaries are a cache', () => {
  test('one that is missing is made anew and kept; one without its ticket is dropped', async () => {
    await saveTicket(record('a'));
    summaries.kept.delete('a');
    summaries.kept.set('ghost', summarise(record('ghost')));
    expect(await ids()).toEqual(['a']);
    expect(summaries.kept.has('a')).toBe(true);
  });
  test('one of an older make, which knew no temporaryChanges, is made anew', async () => {
    await saveTicket(record('a'));
    summaries.kept.set('a', { id: 'a', machine: 'of old' });
    expect((await loadSummaries())[0]?.machine).toBe('Pennerley T9 booth deck');
  });
  test('where the disk is full they are shown all the same', async () => {
    await saveTicket(record('a'));
    summaries.kept.delete('a');
    summaries.allowed = 0;
    expect(await ids()).toEqual(['a']);
  });
});

describe('several at once, all or nothing', () => {
  test('all are there, and the journal is empty again', async () => {
    await saveAll([record('a'), record('b'), record('c')]);
    expect(await ids()).toEqual(['a', 'b', 'c']);
    expect(journal.kept.size).toBe(0);
  });
  test('where the disk fills up on the way, what was there before is put back and nothing new stays', async () => {
    await saveTicket(record('b', 'mine'));
    tickets.allowed = 2;
    await expect(saveAll([record('a'), record('b', 'theirs'), record('c')])).rejects.toThrow(/quota/);
    tickets.allowed = Infinity;
    // The fake refuses the putting back too, as a full disk may; what is certain is that the journal does not bring it again.
    expect(journal.kept.size).toBe(0);
    expect((await loadTicket('c'))?.ticket.machine).toBeUndefined();
  });
  test('refused at the last one, with room to put things back: everything is as before', async () => {
    await saveTicket(record('b', 'mine'));
    const set = vi.spyOn(tickets, 'setItem').mockImplementation((key, value) => {
      if (key === 'c') return Promise.reject(new DOMException('full', 'QuotaExceededError'));
      tickets.kept.set(key, structuredClone(value));
      return Promise.resolve(value);
    });
    await expect(saveAll([record('a'), record('b', 'theirs'), record('c')])).rejects.toThrow('full');
    set.mockRestore();
    expect(await ids()).toEqual(['b']);
    expect((await loadTicket('b'))?.ticket.machine).toBe('mine');
  });
  test('a tab that died on the way: the next start goes on from the journal', async () => {
    await journal.setItem('import', [record('a'), frozen(2)]);
    await finishImport();
    expect(await ids()).toEqual(['a', frozen(2).ticket.id].sort());
    expect(journal.kept.size).toBe(0);
    await finishImport();
    expect(await ids()).toHaveLength(2);
  });
});
