import { beforeEach, describe, expect, test, vi } from 'vitest';
import { configureStore } from '@reduxjs/toolkit';
import { append, summarise, type EventBody, type TicketRecord } from '@loose-pulley/core/ticket';
import { opening, recordOf } from '../../../../core/fixtures/sample';
import { benchReducer } from '../store/bench';
import { openTicketReducer, recordChanged, ticketStatus } from '../store/openTicket';
import { settingsReducer } from '../store/settings';

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
}));
const { markKept, startKeeper, unkeptRecord, whenKept } = await import('./keeper');

/** A bench with one ticket on screen, as it came out of the store. */
function bench(id: string, access: 'writer' | 'reader' = 'writer') {
  const store = configureStore({
    reducer: { settings: settingsReducer, bench: benchReducer, openTicket: openTicketReducer },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  });
  startKeeper(store as never);
  const first = markKept(recordOf([{ ...opening, ticketId: id } as EventBody]));
  store.dispatch(ticketStatus({ status: 'open', id, record: first, access, saving: 'kept', problem: null }));
  let count = 0;
  const note = (text: string): TicketRecord => {
    const { ticket } = store.getState().openTicket;
    if (ticket.status !== 'open') throw new Error('no ticket is open');
    const next = append(ticket.record, {
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
  return { store, note, saving };
}
const notes = () => written.map(({ ticket }) => ticket.notes.find);

beforeEach(() => {
  written.length = 0;
  write = () => Promise.resolve();
});

describe('the keeper', () => {
  test('writes nothing for a ticket as it came out of the store', async () => {
    bench('a');
    await whenKept('a');
    expect(written).toEqual([]);
  });
  test('writes a change at once, and says that it is kept', async () => {
    const { note, saving } = bench('b');
    note('one');
    expect(saving()).toBe('saving');
    await whenKept('b');
    expect(notes()).toEqual(['one']);
    expect(saving()).toBe('kept');
  });
  test('while one write runs, only the newest of the later changes is written', async () => {
    let release = () => {};
    write = () => new Promise((done) => (release = done));
    const { note } = bench('c');
    note('one');
    note('two');
    note('three');
    write = () => Promise.resolve();
    release();
    await whenKept('c');
    expect(notes()).toEqual(['one', 'three']);
  });
  test('a ticket that leaves the screen is written to its end', async () => {
    let release = () => {};
    write = () => new Promise((done) => (release = done));
    const { note, store } = bench('d');
    note('one');
    note('two');
    store.dispatch(ticketStatus({ status: 'none' }));
    expect(unkeptRecord('d')?.ticket.notes.find).toBe('two');
    write = () => Promise.resolve();
    release();
    await whenKept('d');
    expect(notes()).toEqual(['one', 'two']);
    expect(unkeptRecord('d')).toBeUndefined();
  });
  test('a failed write is said, holds nothing up, and is tried again by the next change', async () => {
    write = () => Promise.reject(new Error('QuotaExceededError'));
    const { note, saving } = bench('e');
    note('one');
    await vi.waitFor(() => expect(saving()).toBe('failed'));
    write = () => Promise.resolve();
    note('two');
    await whenKept('e');
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
    const { note } = bench('g', 'reader');
    note('one');
    await whenKept('g');
    expect(written).toEqual([]);
  });
});
