import { beforeEach, describe, expect, test, vi } from 'vitest';
import { appendAny, summarise, type EventBody, type TicketRecord } from '@loose-pulley/core/record/ticket';
import { opening, recordOf } from '../../../../core/fixtures/sample';
import { recordChanged, ticketStatus } from '../store/openTicket';

const written: TicketRecord[] = [];
let revision = 0;
let write: (record: TicketRecord) => Promise<void> = () => Promise.resolve();
vi.mock('./tickets', () => ({
  loadTicket: () => Promise.resolve(null),
  saveTicket: async (record: TicketRecord) => {
    await write(record);
    written.push(record);
    return { summary: summarise(record), revision: ++revision };
  },
}));
vi.mock('./commit', () => ({ Stale: class Stale extends Error {} }));
vi.mock('./tabs', () => ({ tellTabs: () => undefined }));
vi.mock('./storage', () => ({
  storeProblem: (error: unknown) => ({ kind: 'full', sentence: String(error) }),
  settingsTable: { setItem: () => Promise.resolve() },
}));
const { makeStore } = await import('../store/store');
const { Stale } = await import('./commit');

/** A bench with one ticket on screen, as it came out of the store. */
function bench(id: string, access: 'writer' | 'reader' = 'writer') {
  const { store, services } = makeStore();
  const { keeper, rights } = services;
  const first = keeper.markKept(recordOf([{ ...opening, ticketId: id } as EventBody]), 1);
  if (access === 'writer') rights.set(id, { release: () => undefined });
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
  const stranded = () => store.getState().openTicket.stranded.map(({ ticket }) => ticket.notes.find);
  return { store, keeper, rights, note, saving, stranded };
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
  test('a put that fails, then a takeover: nothing is tried again, and what was not written is offered', async () => {
    vi.useFakeTimers();
    write = () => Promise.reject(new Error('QuotaExceededError'));
    const { keeper, note, rights, stranded } = bench('h');
    note('mine');
    await vi.advanceTimersByTimeAsync(10);
    rights.forget('h');
    keeper.giveUp('h');
    write = () => Promise.resolve();
    await vi.advanceTimersByTimeAsync(20_000);
    expect([written, stranded()]).toEqual([[], ['mine']]);
    expect(keeper.isBusy).toBe(false);
    vi.useRealTimers();
  });
  test('taken over while a write runs: what came through is not offered, what came after it is', async () => {
    let release = () => {};
    write = () => new Promise((done) => (release = done));
    const { keeper, note, rights, stranded } = bench('i');
    note('one');
    rights.forget('i');
    keeper.giveUp('i');
    release();
    await vi.waitFor(() => expect(keeper.isBusy).toBe(false));
    expect([notes(), stranded()]).toEqual([['one'], []]);
    rights.set('i', { release: () => undefined });
    note('two');
    note('three');
    rights.forget('i');
    keeper.giveUp('i');
    release();
    await vi.waitFor(() => expect(keeper.isBusy).toBe(false));
    expect([notes(), stranded()]).toEqual([['one', 'two'], ['three']]);
  });
  test('where another has written meanwhile, nothing is written over, and the change is offered', async () => {
    write = () => Promise.reject(new Stale(['j']));
    const { keeper, note, stranded } = bench('j');
    note('mine');
    await vi.waitFor(() => expect(stranded()).toEqual(['mine']));
    expect(keeper.isBusy).toBe(false);
  });
  test('a tab that only reads writes nothing', async () => {
    const { keeper, note } = bench('g', 'reader');
    note('one');
    await keeper.whenKept('g');
    expect(written).toEqual([]);
  });
});
