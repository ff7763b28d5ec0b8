import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test, vi } from 'vitest';
import type { EventBody } from '@loose-pulley/core/record/ticket';
import { opening, recordOf } from '../../../../core/fixtures/sample';
import { recordStranded, unsavedChanged } from '../store/openTicket';

/* One tab over an IndexedDB in memory; without locks, as over plain http, the revision alone guards. */
vi.stubGlobal('navigator', {});
vi.mock('../boot', () => ({ bench: 'bench', homeBench: 'bench', isDemo: false, isPractice: false }));
const { journalTable, summaryTable, ticketTable } = await import('./storage');
const { loadBench } = await import('./bench');
const { openTicket } = await import('./opening');
const { recordEvent } = await import('./recording');
const { loadSummaries, loadTicket, saveTicket } = await import('./tickets');
const { loadDeleted } = await import('./deleted');
const { deleteOpenTicket, saveStranded } = await import('./seldom');
const { wouldLose } = await import('./leaving');
const { makeStore } = await import('../store/store');

const record = (story = '') =>
  recordOf([
    { ...opening, ticketId: 't1' } as EventBody,
    ...(story === '' ? [] : [{ type: 'storyTold', story } satisfies EventBody]),
  ]);
const open = async () => {
  const tab = makeStore();
  await tab.store.dispatch(openTicket('t1'));
  return tab;
};

beforeEach(async () => {
  await Promise.all([ticketTable.clear(), summaryTable.clear(), journalTable.clear()]);
  await saveTicket(record(), null);
});

describe('what was stranded', () => {
  test('two tabs that do not see each other: the later writer writes nothing over, and is offered its own', async () => {
    const [first, second] = [await open(), await open()];
    first.store.dispatch(recordEvent({ type: 'storyTold', story: 'from the first' }));
    await first.services.keeper.whenKept('t1');
    second.store.dispatch(recordEvent({ type: 'storyTold', story: 'from the second' }));
    await second.services.keeper.whenKept('t1');
    expect((await loadTicket('t1'))?.record.ticket.story).toBe('from the first');
    const [stranded] = second.store.getState().openTicket.stranded;
    expect(stranded?.ticket.story).toBe('from the second');
    expect(wouldLose(second.store.getState(), second.services.keeper)).toBe(true);

    // It goes on from what stands, and is not refused again.
    await vi.waitFor(() =>
      expect(second.store.getState().openTicket.ticket).toMatchObject({
        record: { ticket: { story: 'from the first' } },
      }),
    );
    second.store.dispatch(recordEvent({ type: 'noteWritten', station: 'find', text: 'and on' }));
    await second.services.keeper.whenKept('t1');
    expect(second.store.getState().openTicket.stranded).toHaveLength(1);
    expect((await loadTicket('t1'))?.record.ticket.notes.find).toBe('and on');

    await second.store.dispatch(saveStranded(stranded ?? record()));
    expect(second.store.getState().openTicket.stranded).toEqual([]);
    const stories = await Promise.all((await loadSummaries()).summaries.map(({ id }) => loadTicket(id)));
    expect(stories.map((one) => one?.record.ticket.story).sort()).toEqual(['from the first', 'from the second']);
  });
  test('a copy that cannot be saved stays on offer', async () => {
    const tab = await open();
    tab.store.dispatch(recordStranded(record('mine')));
    const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    await tab.store.dispatch(saveStranded(record('mine')));
    put.mockRestore();
    expect(tab.store.getState().openTicket.stranded).toHaveLength(1);
    expect(tab.store.getState().openTicket.said?.text).toContain('disk is full');
  });
});

test('a ticket is deleted with its last change in it', async () => {
  const tab = await open();
  await tab.store.dispatch(loadBench());
  tab.store.dispatch(recordEvent({ type: 'storyTold', story: 'last words' }));
  await tab.store.dispatch(deleteOpenTicket('t1'));
  expect(tab.store.getState().bench.summaries).toEqual([]);
  expect(await loadTicket('t1')).toBeNull();
  expect((await loadDeleted()).map(({ record: { ticket } }) => ticket.story)).toEqual(['last words']);
});

test('leaving asks while letters are unsaved or wait for Enter, and not else', async () => {
  const { store, services } = await open();
  expect(wouldLose(store.getState(), services.keeper)).toBe(false);
  for (const how of ['itself', 'enter'] as const) {
    store.dispatch(unsavedChanged({ how, by: 1 }));
    expect(wouldLose(store.getState(), services.keeper)).toBe(true);
    store.dispatch(unsavedChanged({ how, by: -1 }));
  }
  store.dispatch(recordEvent({ type: 'storyTold', story: 'under way' }));
  expect(wouldLose(store.getState(), services.keeper)).toBe(true);
  await services.keeper.whenKept('t1');
  expect(wouldLose(store.getState(), services.keeper)).toBe(false);
});
