import 'fake-indexeddb/auto';
import { expect, test, vi } from 'vitest';
import { opening, recordOf } from '../../../../core/fixtures/sample';

/* What sums tickets up is fetched apart: here it cannot be, and then it can. */
const served = vi.hoisted(() => ({ answers: false }));
vi.mock('../boot', () => ({ bench: 'bench', homeBench: 'bench', isDemo: false, isPractice: false }));
vi.mock('./summarise', async () => {
  const { summarise } = await import('@loose-pulley/core/record/ticket');
  // As the fetch that fails: nothing comes of it.
  return { summariser: () => Promise.resolve(served.answers ? summarise : null) };
});
const { loadSummaries, loadTicket, saveTicket } = await import('./tickets');

test('a ticket is kept although nothing can sum it up, told of, and summed up as soon as that can be had', async () => {
  const record = recordOf([opening]);
  const { id } = record.ticket;
  expect(await saveTicket(record, null)).toEqual({ summary: null, revision: 1 });
  expect((await loadTicket(id))?.record).toEqual(record);
  const without = await loadSummaries();
  expect([without.summaries, without.setAside.map(({ why }) => why)]).toEqual([
    [],
    ['what sums it up could not be fetched. Load the page anew.'],
  ]);
  served.answers = true;
  expect((await loadSummaries()).summaries.map((one) => one.id)).toEqual([id]);
  // The revision is the ticket's: nobody else has written meanwhile.
  expect((await saveTicket(record, 1)).revision).toBe(2);
});
