import { beforeEach, describe, expect, test, vi } from 'vitest';
import { appendAny, summarise, type EventBody, type TicketRecord } from '@loose-pulley/core/ticket';
import { opening, recordOf } from '../../../../core/fixtures/sample';
import { recordChanged, ticketStatus } from '../store/openTicket';

const written: TicketRecord[] = [];
let write: (record: TicketRecord) => Promise<void> = () => Promise.resolve();
vi.mock('./tickets', () => ({
  saveTicket: async (record: TicketRecord) => {
    await write(record);
    written.push(record);
    return summarise(record);
  },
}));
vi.mock('./tabs', () => ({ tellTabs: () => undefined }));
vi.mock('./storage', () => ({
  storeProblem: (error: unknown) => ({ kind: 'full', sentence: String(error) }),
  settingsTable: { setItem: () => Promise.resolve() },
}));
const { makeStore } = await import('../store/store');

/** A bench with one ticket on screen, as it came out of the store. */
function bench(id: string, access: 'writer' | 'reader' = 'writer') {
  const { store, services } = makeStore();
  const { keeper } = services;
  const first = keeper.markKept(recordOf([{ ...opening, ticketId: id } as EventBody]));
  store.dispatch(ticketStatus({ status: 'open', id, record: first, access, saving: 'kept', problem: null }));
  let count = 0;
  const note = (text: string): TicketRecord => {
    const { ticket } = store.getState().openTicket;
    if (ticket.status !== 'open') throw new Error('no ticket is open');
    const next = appendAny(ticket.record, {
      type: 'noteWritten',
      station: 'find',
      text,
      id: `${id}-${count++}`,
      at: '2026-02-01T10:00:00Z',
    });
    if (!next.ok) throw new Error(next.problem);
    store.dispatch(recordChanged(next.value));
    return next.value;
  };
  const saving = () => {
    const { ticket } = store.getState().openTicket;
    return ticket.status === 'open' ? ticket.saving : ticket.status;
  };
  return { store, keeper, note, saving };
}
const notes = () => written.map(({ ticket }) => ticket.notes.find);

beforeEach(() => {
  written.length = 0;
  write = () => Promise.resolve();
});

describe('the keeper', () => {
  test('writes nothing for a ticket as it came out of the store', async () => {
    const { keeper } = bench('a');
    await keeper.whenKept('a');
    expect(written).toEqual([]);
  });
  test('writes a change at once, and says that it is kept', async () => {
    const { keeper, note, saving } = bench('b');
    note('one');
    expect(saving()).toBe('saving');
    await keeper.whenKept('b');
    expect(notes()).toEqual(['one']);
    expect(saving()).toBe('kept');
  });
  test('while one write runs, only the newest of the later changes is written', async () => {
    let release = () => {};
    write = () => new Promise((done) => (release = done));
    const { keeper, note } = bench('c');
    note('one');
    note('two');
    note('three');
    write = () => Promise.resolve();
    release();
    await keeper.whenKept('c');
    expect(notes()).toEqual(['one', 'three']);
  });
  test('a ticket that leaves the screen is written to its end', async () => {
    let release = () => {};
    write = () => new Promise((done) => (release = done));
    const { keeper, note, store } = bench('d');
    note('one');
    note('two');
    store.dispatch(ticketStatus({ status: 'none' }));
    expect(keeper.unkeptRecord('d')?.ticket.notes.find).toBe('two');
    write = () => Promise.resolve();
    release();
    await keeper.whenKept('d');
    expect(notes()).toEqual(['one', 'two']);
    expect(keeper.unkeptRecord('d')).toBeUndefined();
  });
  test('a failed write is said, holds nothing up, and is tried again by the next change', async () => {
    write = () => Promise.reject(new Error('QuotaExceededError'));
    const { keeper, note, saving } = bench('e');
    note('one');
    await vi.waitFor(() => expect(saving()).toBe('failed'));
    write = () => Promise.resolve();
    note('two');
    await keeper.whenKept('e');
    expect(notes()).toEqual(['two']);
    expect(saving()).toBe('kept');
  });
  test('a failed write is tried again by itself after a while', async () => {
    vi.useFakeTimers();
    write = () => Promise.reject(new Error('QuotaExceededError'));
    const { note } = bench('f');
    note('one');
    await vi.advanceTimersByTimeAsync(10);
    write = () => Promise.resolve();
    await vi.advanceTimersByTimeAsync(4100);
    expect(notes()).toEqual(['one']);
    vi.useRealTimers();
  });
  test('a tab that only reads writes nothing', async () => {
    const { keeper, note } = bench('g', 'reader');
    note('one');
    await keeper.whenKept('g');
    expect(written).toEqual([]);
  });
});
