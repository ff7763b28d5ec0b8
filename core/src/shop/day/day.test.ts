import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import ICAL from 'ical.js';
import { planCalendar } from '../../files/calendar';
import type { Order } from '../orders';
import type { TicketSummary } from '../../record/ticket';
import type { Result } from '../../base/units';
import { dayReducers, durationsOf, hoursOf, jobOf, openFrom, planOf, riskOfBench, waitingOf, type DayState } from '.';

// A Monday, ten in the morning on this machine's clock.
const NOW = new Date(2026, 10, 23, 10, 0).getTime();
const MIN = 60_000;
const iso = (ms: number): string => new Date(ms).toISOString();
const STATE: Pick<DayState, 'hours' | 'benches' | 'dryingPlaces' | 'pins'> = {
  hours: [],
  benches: 3,
  dryingPlaces: 2,
  pins: [],
};

const ticket = (id: string, of: Partial<TicketSummary> = {}): TicketSummary =>
  ({
    id,
    number: id,
    machine: 'Booth deck',
    mechanisms: ['T9 tray'],
    marks: 'ooooooooo',
    next: 'takeIn',
    timers: [],
    waiting: { for: 'nothing', what: '' },
    wants: [],
    judged: [],
    promise: null,
    closedAt: null,
    openedAt: iso(NOW),
    work: [0, 0, 0, 0, 0, 0, 0, 0, 0],
    ...of,
  }) as unknown as TicketSummary;
const want = {
  id: 'w',
  driveId: 'd',
  count: 1,
  alternates: [],
  belt: { shape: 'square' as const, thicknessMm: 1.2, widthMm: null, innerLengthMm: 112, chance: 0.9 },
};
const orderFor = (id: string, of: Partial<Order> = {}): Order => ({
  id: 'o',
  supplier: 'Corrie Belts',
  placedAt: iso(NOW - 2 * 86_400_000),
  expectedOn: '',
  reference: '',
  byCounter: false,
  closedAt: null,
  lines: [
    {
      id: 'l',
      ...want.belt,
      label: '',
      sellerNumber: '',
      quantity: 1,
      price: null,
      insteadOf: '',
      wants: [{ ticketId: id, wantId: 'w' }],
      arrived: 0,
      wrong: 0,
      arrivedAt: null,
    },
  ],
  ...of,
});
const plan = (tickets: readonly TicketSummary[], orders: readonly Order[] = [], state = STATE, nowMs = NOW) => {
  const durations = durationsOf(tickets, {});
  const jobs = tickets.map((one) => jobOf(one, durations, orders, nowMs));
  return { jobs, ...planOf({ nowMs, jobs, state, orders }) };
};

describe('what a promise hangs on beside the hours', () => {
  const noonTomorrow = { at: iso(NOW + 26 * 60 * MIN), to: 'Mara' };
  const judged = (right: boolean) => [{ mechanism: 'T9 tray', belt: want.belt, right }];
  const keptOf = (of: Partial<TicketSummary>) => plan([ticket('1', { promise: noonTomorrow, ...of })]).kept['1'] ?? NaN;
  test('five fresh tickets of which nothing is known are no sure promise for tomorrow noon', () => {
    const fresh = ['1', '2', '3', '4', '5'].map((id) => ticket(id, { promise: noonTomorrow }));
    for (const chance of Object.values(plan(fresh).kept)) {
      expect(chance).toBeLessThan(0.7);
      expect(chance).toBeGreaterThan(0.2);
    }
  });
  test('once a belt was judged right nothing of it is open; a belt that is here works as often as it is said to', () => {
    expect(keptOf({ judged: judged(true) as TicketSummary['judged'] })).toBeGreaterThan(0.97);
    const here = { ...want, belt: { ...want.belt, chance: 0.5 } };
    const arrived = orderFor('1', { lines: [{ ...orderFor('1').lines[0], arrived: 1, arrivedAt: iso(NOW) } as never] });
    const half = plan([ticket('1', { promise: noonTomorrow, wants: [here] })], [arrived]).kept['1'] ?? NaN;
    expect(half).toBeGreaterThan(0.6);
    expect(half).toBeLessThan(0.95);
  });
  test('the bench’s own past is learned from: where parts were never ordered, fewer are expected', () => {
    const done = Array.from({ length: 40 }, (_, n) =>
      ticket(`d${n}`, { closedAt: iso(NOW), judged: judged(true) as TicketSummary['judged'] }),
    );
    const past = riskOfBench(done);
    expect(past.needsParts).toBeLessThan(0.05);
    expect(past.beltWorks).toBeGreaterThan(0.98);
    expect(riskOfBench(done.map((one) => ({ ...one, wants: [want] }))).needsParts).toBeGreaterThan(0.9);
  });
});

describe('how long things take', () => {
  const done = (minutes: number, mechanism = 'T9 tray') =>
    ticket(`d${minutes}`, { closedAt: iso(NOW), mechanisms: [mechanism], work: [0, 0, minutes, 0, 0, 0, 0, 0, 0] });
  test('assumed, then learned from the bench, then from the mechanism; what the bench says stands above', () => {
    expect(durationsOf([], {}).of('strip', 'T9 tray')).toMatchObject({
      from: 'assumed',
      medianMin: expect.closeTo(15, 6) as number,
    });
    const log = [40, 42, 38, 41, 39].map((minutes) => done(minutes));
    const learned = durationsOf(log, {});
    expect(learned.of('strip', 't9 TRAY ')).toMatchObject({ from: 'mechanism', seen: 5 });
    expect(learned.of('strip', 'T9 tray').medianMin).toBeGreaterThan(30);
    expect(learned.of('strip', 'other')).toMatchObject({ from: 'bench' });
    expect(durationsOf(log, { 'strip t9 tray': 12 }).of('strip', 'T9 tray')).toMatchObject({
      from: 'said',
      medianMin: 12,
    });
  });
  test('a station that was only looked at teaches nothing', () =>
    expect(durationsOf([done(0.2)], {}).of('strip', 'T9 tray').from).toBe('assumed'));
});

describe('what a ticket waits for', () => {
  test('a part that has come is waited for no more; one that is closed without it is', () => {
    const one = ticket('t', { wants: [want], waiting: { for: 'parts', what: 'a belt' } });
    expect(waitingOf(one, [])).toBe('parts');
    expect(waitingOf(one, [orderFor('t')])).toBe('parts');
    const arrived = orderFor('t');
    expect(waitingOf(one, [{ ...arrived, lines: [{ ...arrived.lines[0]!, arrived: 1 }] }])).toBe('nothing');
    expect(waitingOf(one, [orderFor('t', { closedAt: iso(NOW) })])).toBe('parts');
    expect(waitingOf(ticket('t', { waiting: { for: 'owner', what: '' } }), [])).toBe('owner');
  });
});

describe('the plan of a day', () => {
  test('works in the clock’s gaps, and a rush job goes first while the soak goes on', () => {
    const soaking = ticket('1', {
      next: 'measure',
      marks: 'ddddooooo',
      timers: [
        { id: 'x', what: 'keys soak', startedAt: iso(NOW - 10 * MIN), endsAt: iso(NOW + 50 * MIN), endedAt: null },
      ],
    } as Partial<TicketSummary>);
    const before = plan([soaking, ticket('2')]);
    const begins = (of: ReturnType<typeof plan>, id: string): number =>
      Math.min(...of.blocks.filter(({ ticketId }) => ticketId === id).map(({ parts }) => parts[0]?.fromMs ?? Infinity));
    expect(begins(before, '2')).toBe(NOW);
    expect(begins(before, '1')).toBeGreaterThanOrEqual(NOW + 50 * MIN);
    const rush = ticket('3', { promise: { to: 'the reading room', at: iso(NOW + 95 * MIN) } });
    const after = plan([soaking, ticket('2'), rush]);
    expect(begins(after, '3')).toBe(NOW);
    expect(after.doneMs['3']).toBeLessThanOrEqual(NOW + 95 * MIN + 10 * MIN);
    expect(begins(after, '1')).toBeGreaterThanOrEqual(NOW + 50 * MIN);
  });
  test('a parcel holds back the fitting alone; what nobody has ordered stops the ticket', () => {
    const waits = ticket('1', { wants: [want] });
    const { blocks, jobs } = plan([waits], [orderFor('1')]);
    expect(blocks.map(({ step }) => step.kind)).toEqual(['look', 'open', 'size', 'fit', 'prove']);
    const parcel = jobs[0]?.waits[0];
    const fit = blocks.find(({ step }) => step.kind === 'fit');
    expect(fit?.parts[0]?.fromMs).toBeGreaterThanOrEqual((parcel?.untilMs ?? Infinity) - MIN);
    expect(plan([waits]).jobs[0]?.stopped).toBe('parts');
    expect(plan([waits]).blocks).toEqual([]);
  });
  test('a promise has its chance: certain with days to go, none in the past, and the post makes it doubtful', () => {
    const by = (ms: number) => ({ promise: { to: '', at: iso(ms) } });
    const settled = { judged: [{ mechanism: 'T9 tray', belt: want.belt, right: true }] as TicketSummary['judged'] };
    expect(plan([ticket('1', { ...by(NOW + 4 * 86_400_000), ...settled })]).kept['1']).toBeGreaterThan(0.97);
    expect(plan([ticket('1', by(NOW - MIN))]).kept['1']).toBe(0);
    const posted = plan([ticket('1', { ...by(NOW + 2 * 86_400_000), wants: [want] })], [orderFor('1')]).kept['1'] ?? 0;
    expect(posted).toBeGreaterThan(0.02);
    expect(posted).toBeLessThan(0.8);
  });
  test('a promise is kept with something to spare where nobody else is late for it', () => {
    const others = ['1', '2', '3', '4'].map((id) => ticket(id));
    const judged = [{ mechanism: 'T9 tray', belt: want.belt, right: true }] as TicketSummary['judged'];
    const promised = ticket('5', { judged, promise: { to: '', at: iso(NOW + 5 * 60 * MIN) } });
    const made = plan([...others, promised]);
    expect(made.doneMs['5']).toBeLessThanOrEqual(NOW + 4 * 60 * MIN);
    expect(made.kept['5']).toBeGreaterThan(0.9);
  });
  test('closed on Sunday; a step that was set by hand stays; one set in the past holds nothing', () => {
    const sunday = new Date(2026, 10, 22, 12, 0).getTime();
    expect(openFrom(STATE, sunday)[0]?.fromMs).toBe(new Date(2026, 10, 23, 9, 0).getTime());
    const at = new Date(2026, 10, 23, 15, 0).getTime();
    const pinned = plan([ticket('1')], [], { ...STATE, pins: [{ stepId: '1/look', at: iso(at) }] });
    expect(pinned.blocks.find(({ step }) => step.kind === 'look')).toMatchObject({
      pinned: true,
      parts: [{ fromMs: at }],
    });
    expect(
      plan([ticket('1')], [], { ...STATE, pins: [{ stepId: '1/look', at: iso(NOW - 60 * MIN) }] }).blocks[0]?.parts[0]
        ?.fromMs,
    ).toBe(NOW);
  });
  test('whatever the bench, nothing overlaps and nothing is before now, also with the clock set back a day', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            next: fc.constantFrom('takeIn', 'measure', 'prove'),
            due: fc.option(fc.integer({ min: -2000, max: 6000 })),
            timer: fc.option(fc.integer({ min: -300, max: 900 })),
          }),
          { maxLength: 6 },
        ),
        fc.constantFrom(0, -86_400_000),
        (all, shift) => {
          const tickets = all.map(({ next, due, timer }, n) =>
            ticket(String(n), {
              next: next as 'takeIn',
              promise: due === null ? null : { to: '', at: iso(NOW + due * MIN) },
              timers:
                timer === null
                  ? []
                  : [{ id: 'x', what: 'dries', startedAt: iso(NOW), endsAt: iso(NOW + timer * MIN), endedAt: null }],
            } as Partial<TicketSummary>),
          );
          const { blocks } = plan(tickets, [], STATE, NOW + shift);
          const parts = blocks.flatMap((one) => one.parts).sort((a, b) => a.fromMs - b.fromMs);
          parts.forEach((part, n) => {
            expect(part.fromMs).toBeGreaterThanOrEqual(NOW + shift);
            expect(part.toMs).toBeLessThanOrEqual(parts[n + 1]?.fromMs ?? Infinity);
          });
        },
      ),
      { numRuns: 25 },
    );
  });
});

test('two hands say the hours of two days and the places of two kinds: all are heard', () => {
  const said = (state: DayState, type: keyof typeof dayReducers, body: object): DayState => {
    const next = (dayReducers[type] as (state: DayState, event: object) => Result<Partial<DayState>>)(state, body);
    if (!next.ok) throw new Error(next.problem);
    return { ...state, ...next.value };
  };
  let state: DayState = { ...STATE, minutes: {} };
  const usual = hoursOf(state);
  state = said(state, 'dayHoursSet', { weekday: 5, shifts: [{ fromMin: 540, toMin: 720 }] });
  state = said(state, 'dayHoursSet', { weekday: 0, shifts: [] });
  state = said(said(state, 'placesSet', { benches: 5 }), 'placesSet', { dryingPlaces: 4 });
  expect(state.hours).toEqual([[], ...usual.slice(1, 5), [{ fromMin: 540, toMin: 720 }], []]);
  expect(state).toMatchObject({ benches: 5, dryingPlaces: 4 });
  expect(dayReducers.dayHoursSet(state, { weekday: 1, shifts: [{ fromMin: 720, toMin: 540 }] } as never).ok).toBe(
    false,
  );
});

test('as iCalendar (RFC 5545), read back by a general parser', () => {
  const { jobs, ...made } = plan([
    ticket('0147', {
      promise: {
        to: 'Booth 2, "quiet"; side\rroom\u0000 über die große Brücke, dann links und über den Hof',
        at: iso(NOW + 300 * MIN),
      },
    }),
  ]);
  const written = planCalendar(made, jobs);
  if (!written.ok) throw new Error(written.problem);
  for (const line of written.value.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  const calendar = new ICAL.Component(ICAL.parse(written.value) as unknown[]);
  const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
  expect(events.map(({ summary }) => summary)).toEqual([
    '0147 take in, find',
    '0147 strip, clean',
    '0147 measure, size',
    '0147 rebuild',
    '0147 prove, hand back',
    '0147 promised to Booth 2, "quiet"; side\nroom über die große Brücke, dann links und über den Hof',
  ]);
  expect(events[0]?.startDate.toJSDate().getTime()).toBe(NOW);
  expect(planCalendar({ ...made, blocks: [] }, [])).toMatchObject({ ok: false });
});
