import { beforeEach, describe, expect, test, vi } from 'vitest';
import { summarise, type EventBody, type TicketRecord } from '@loose-pulley/core/record/ticket';
import { everything, opening, recordOf } from '../../../../core/fixtures/sample';
import type { Thunk } from '../store/types';
import { handedOver } from '../store/openTicket';
import type { TabMessage } from './tabs';

/* One tab of a bench: the store and the other tabs are stood in for; everything between is real. */
const stored = new Map<string, TicketRecord>();
let saving: () => Promise<void> = () => Promise.resolve();
vi.mock('./tickets', () => ({
  loadTicket: (id: string) => {
    const record = stored.get(id);
    return Promise.resolve(record ? { record, revision: 1, newer: false } : null);
  },
  loadSummary: (id: string) => Promise.resolve(summarise(stored.get(id) as TicketRecord)),
  loadSummaries: () => Promise.resolve({ summaries: [...stored.values()].map(summarise), setAside: [] }),
  removeTicket: (id: string) => Promise.resolve(void stored.delete(id)),
  saveTicket: async (record: TicketRecord) => {
    await saving();
    stored.set(record.ticket.id, record);
    return { summary: summarise(record), revision: 2 };
  },
}));
vi.mock('./storage', () => ({
  storeProblem: (error: unknown) => ({ kind: 'full', sentence: String(error) }),
  settingsTable: { setItem: () => Promise.resolve() },
  journalTable: { getItem: () => Promise.resolve(null) },
}));

/** Who holds which ticket, and how a holder is told that it lost it. */
const holders = new Map<string, () => void>();
const inLine = new Map<string, () => void>();
let hear: (message: TabMessage) => void = () => undefined;
const told: TabMessage[] = [];
vi.mock('./tabs', () => ({
  withHolds: <T>(_: readonly string[], work: () => Promise<T>) => work(),
  tellTabs: (message: TabMessage) => void told.push(message),
  onTabMessage: (listener: (message: TabMessage) => void) => {
    hear = listener;
    return () => undefined;
  },
  holdTicket: (id: string, onLost: () => void, how: 'try' | 'wait' | 'take') => {
    const hold = { release: () => void holders.delete(id) };
    if (how === 'take') holders.get(id)?.();
    if (how !== 'try' && how !== 'take')
      return new Promise((resolve) => {
        inLine.set(id, () => {
          holders.set(id, onLost);
          resolve(hold);
        });
      });
    if (how === 'try' && holders.has(id)) return Promise.resolve(undefined);
    holders.set(id, onLost);
    return Promise.resolve(hold);
  },
}));
vi.mock('./commit', () => ({ Stale: class Stale extends Error {} }));
const actions = {
  ...(await import('./bench')),
  ...(await import('./newTicket')),
  ...(await import('./opening')),
  ...(await import('./otherTabs')),
  ...(await import('./recording')),
};
const { makeStore } = await import('../store/store');

type Bench = ReturnType<typeof makeStore>['store'];
let store: Bench;
const run = <T>(thunk: Thunk<T>): T => store.dispatch(thunk);
const ticket = () => store.getState().openTicket.ticket;
const said = () => store.getState().openTicket.said?.text;
const story = () => {
  const open = ticket();
  return open.status === 'open' ? open.record.ticket.story : undefined;
};
const tell = (words: string) => run(actions.recordEvent({ type: 'storyTold', story: words }));
const settle = () => new Promise((done) => setTimeout(done, 20));

beforeEach(() => {
  stored.clear();
  holders.clear();
  inLine.clear();
  told.length = 0;
  saving = () => Promise.resolve();
  stored.set('t1', recordOf([{ ...opening, ticketId: 't1' } as EventBody]));
  store = makeStore().store;
});

describe('a ticket on the screen', () => {
  test('is written where nobody else writes it, and what happens is kept', async () => {
    await run(actions.openTicket('t1'));
    expect(ticket()).toMatchObject({ status: 'open', access: 'writer' });
    expect(tell('fell off a shelf')).toBe(true);
    await settle();
    expect(stored.get('t1')?.ticket.story).toBe('fell off a shelf');
    expect(told).toContainEqual({ type: 'saved', id: 't1' });
  });
  test('one that is not there is said to be missing, and holds nothing', async () => {
    await run(actions.openTicket('t9'));
    expect(ticket()).toEqual({ status: 'missing', id: 't9' });
    expect(holders.has('t9')).toBe(false);
  });
  test('is only read while another tab writes it; what is tried is refused in words, and nothing changes', async () => {
    holders.set('t1', () => undefined);
    await run(actions.openTicket('t1'));
    expect(ticket()).toMatchObject({ access: 'reader' });
    expect(tell('from the second tab')).toBe(false);
    expect(said()).toContain('being written in another tab');
    expect(story()).toBe('');
    // The other tab goes: this one was in line, and writes.
    holders.delete('t1');
    inLine.get('t1')?.();
    await settle();
    expect(ticket()).toMatchObject({ access: 'writer' });
    expect(tell('now from here')).toBe(true);
  });
  test('is taken over: the other tab is told, and this one writes what was last kept', async () => {
    let lost = false;
    holders.set('t1', () => {
      lost = true;
    });
    await run(actions.openTicket('t1'));
    stored.set('t1', recordOf([{ ...opening, ticketId: 't1' } as EventBody, { type: 'storyTold', story: 'theirs' }]));
    await run(actions.takeOver('t1'));
    expect(lost).toBe(true);
    expect(ticket()).toMatchObject({ access: 'writer' });
    expect(story()).toBe('theirs');
  });
  test('asked for by another tab, it is let go once it is kept, shown live, and stood in line for', async () => {
    run(actions.listenToTabs());
    await run(actions.openTicket('t1'));
    tell('mine');
    hear({ type: 'handOver', id: 't1' });
    await settle();
    expect(stored.get('t1')?.ticket.story).toBe('mine');
    expect(ticket()).toMatchObject({ access: 'reader' });
    expect(said()).toContain('Another tab writes this ticket now');
    // What the other tab keeps is seen here at once.
    stored.set('t1', recordOf([{ ...opening, ticketId: 't1' } as EventBody, { type: 'storyTold', story: 'theirs' }]));
    hear({ type: 'saved', id: 't1' });
    await settle();
    expect(story()).toBe('theirs');
  });
  test('left with something unwritten, its hold stays until that is kept', async () => {
    await run(actions.openTicket('t1'));
    let go: () => void = () => undefined;
    saving = () => new Promise((done) => (go = () => done()));
    tell('half a word');
    await settle();
    run(actions.leaveTicket());
    await settle();
    expect(holders.has('t1')).toBe(true);
    saving = () => Promise.resolve();
    go();
    await settle();
    expect(holders.has('t1')).toBe(false);
    expect(stored.get('t1')?.ticket.story).toBe('half a word');
  });
});

describe('power and lid, which the app cannot see', () => {
  const moments = () => import('./moments');
  const mains = () =>
    ticket().status === 'open' ? (ticket() as { record: TicketRecord }).record.ticket.mains?.state : null;
  const asked = () => store.getState().openTicket.asked;
  test('are written down as they are said', async () => {
    const { sayMoment } = await moments();
    await run(actions.openTicket('t1'));
    run(sayMoment('unplugged'));
    expect(mains()).toBe('unplugged');
    run(sayMoment('power'));
    expect(mains()).toBe('plugged');
    run(sayMoment('lid'));
    expect(ticket()).toMatchObject({ record: { ticket: { lid: { state: 'on' } } } });
    expect(asked()).toBeNull();
  });
  test('a temporary change that forbids power is asked about first; answered, the question is gone', async () => {
    const { sayMoment } = await moments();
    const bridged = everything.find((one) => one.type === 'temporaryChangePut');
    if (bridged?.type !== 'temporaryChangePut') throw new Error('no temporary change in the example');
    const change = { ...bridged.change, closedAt: null, before: 'power' as const };
    stored.set('t1', recordOf([{ ...opening, ticketId: 't1' } as EventBody, { type: 'temporaryChangePut', change }]));
    await run(actions.openTicket('t1'));
    run(sayMoment('power'));
    expect(asked()).toBe('power');
    expect(mains()).toBeUndefined();
    // The lid is not what it forbids.
    run(sayMoment('lidOff'));
    expect(asked()).toBeNull();
    run(sayMoment('power'));
    run(sayMoment('power', true));
    expect(asked()).toBeNull();
    expect(mains()).toBe('plugged');
  });
  test('said with no ticket open, nothing happens', async () => {
    const { sayMoment } = await moments();
    run(sayMoment('power'));
    expect(asked()).toBeNull();
    expect(ticket().status).not.toBe('open');
  });
});

describe('undo', () => {
  test('says what it took back and where; redone, the same', async () => {
    await run(actions.openTicket('t1'));
    run(actions.recordEvent({ type: 'noteWritten', station: 'find', text: 'motor heard' }));
    await run(actions.undo());
    expect(said()).toMatch(/^Undone: .*, on Find\.$/);
    await run(actions.redo());
    expect(said()).toMatch(/^Redone: .*, on Find\.$/);
    const open = ticket();
    expect(open.status === 'open' && open.record.ticket.notes.find).toBe('motor heard');
  });
  test('of what another tab did before this one had the ticket is asked first', async () => {
    await run(actions.openTicket('t1'));
    run(actions.recordEvent({ type: 'noteWritten', station: 'find', text: 'motor heard' }));
    const open = ticket();
    store.dispatch(handedOver(open.status === 'open' ? open.record.events.at(-1)?.id : undefined));
    await run(actions.undo());
    expect(store.getState().openTicket.undoAsked).toMatchObject({ of: 'ticket', way: 'undone' });
    expect(ticket()).toMatchObject({ record: { ticket: { notes: { find: 'motor heard' } } } });
    await run(actions.undo(true));
    expect(ticket()).toMatchObject({ record: { ticket: { notes: { find: '' } } } });
    expect(store.getState().openTicket.undoAsked).toBeNull();
  });
  test('with nothing to take back, says so', async () => {
    await run(actions.openTicket('t1'));
    await run(actions.undo());
    expect(said()).toBe('Nothing to undo.');
    await run(actions.redo());
    expect(said()).toBe('Nothing to redo.');
  });
  test('what core refuses is said in its words, and nothing changes', async () => {
    await run(actions.openTicket('t1'));
    const before = ticket();
    expect(run(actions.recordEvent({ type: 'driveRemoved', driveId: 'drive-a' }))).toBe(false);
    expect(said()).toBeTruthy();
    expect(ticket()).toBe(before);
  });
});

describe('a new ticket', () => {
  const details = { machine: 'Sallowfield S1', loader: 'slot', serial: '', owner: '', complaint: 'silent' } as const;
  test('has the next number, and stands on the Bench', async () => {
    await run(actions.loadBench());
    const id = await run(actions.newTicket(details));
    expect(stored.get(id)?.ticket).toMatchObject({ number: '0148', machine: 'Sallowfield S1' });
    expect(store.getState().bench.summaries.map((one) => one.id)).toContain(id);
  });
  test('that the store refuses goes on in memory, open and said to be unkept', async () => {
    saving = () => Promise.reject(new Error('the disk is full'));
    const id = await run(actions.newTicket(details));
    await settle();
    expect(ticket()).toMatchObject({ status: 'open', id, saving: 'failed' });
    expect(stored.has(id)).toBe(false);
  });
  test('removed, it leaves the Bench and the other tabs hear of it', async () => {
    await run(actions.loadBench());
    await run(actions.removeFromBench('t1'));
    expect(stored.has('t1')).toBe(false);
    expect(told).toContainEqual({ type: 'removed', id: 't1' });
    expect(store.getState().bench.summaries.map((one) => one.id)).not.toContain('t1');
  });
});
