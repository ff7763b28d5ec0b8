import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import type { TicketSummary } from '../../record/ticket';
import { dueMonthsOf, kaplanMeier, livesOf, timeAt, totalsOf, type Life } from '.';

// Remission times in weeks of the treated group of Freireich et al. (Blood 21, 1963), the worked example of Kaplan–Meier in
// handbooks (Kalbfleisch & Prentice; Kleinbaum & Klein); the table from memory, its intervals on the log-log scale.
const ENDED = [6, 6, 6, 7, 10, 13, 16, 22, 23];
const GOING_ON = [6, 9, 10, 11, 17, 19, 20, 25, 32, 32, 34, 35];
const TABLE = [
  [6, 21, 3, 0.8571, 0.0764, 0.6197, 0.9516],
  [7, 17, 1, 0.8067, 0.0869, 0.5631, 0.9228],
  [10, 15, 1, 0.7529, 0.0963, 0.5032, 0.8894],
  [13, 12, 1, 0.6902, 0.1068, 0.4316, 0.8491],
  [16, 11, 1, 0.6275, 0.1141, 0.3675, 0.8049],
  [22, 7, 1, 0.5378, 0.1282, 0.2678, 0.7468],
  [23, 6, 1, 0.4482, 0.1346, 0.1881, 0.6801],
];
const lives: readonly Life[] = [
  ...ENDED.map((time) => ({ time, ended: true })),
  ...GOING_ON.map((time) => ({ time, ended: false })),
];

describe('Kaplan and Meier', () => {
  test('a published data set gives its published table', () => {
    const { steps } = kaplanMeier(lives);
    expect(steps).toHaveLength(TABLE.length);
    steps.forEach((step, n) => {
      const [time, atRisk, ended, survival, std, low, high] = TABLE[n] as number[];
      expect([step.time, step.atRisk, step.ended]).toEqual([time, atRisk, ended]);
      expect(step.survival).toBeCloseTo(survival as number, 3);
      expect(step.std).toBeCloseTo(std as number, 3);
      expect(step.low).toBeCloseTo(low as number, 3);
      expect(step.high).toBeCloseTo(high as number, 3);
    });
    expect(timeAt(kaplanMeier(lives), 0.5)).toBe(23);
  });
  test('without anything going on it is the plain share that lasts; it never rises', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ time: fc.integer({ min: 0, max: 50 }), ended: fc.boolean() }), {
          minLength: 1,
          maxLength: 40,
        }),
        (of) => {
          const curve = kaplanMeier(of);
          curve.steps.forEach((step, n) => {
            expect(step.survival).toBeLessThanOrEqual(curve.steps[n - 1]?.survival ?? 1);
            expect(step.low).toBeLessThanOrEqual(step.survival + 1e-9);
            expect(step.high).toBeGreaterThanOrEqual(step.survival - 1e-9);
          });
          if (of.every(({ ended }) => ended))
            for (const { time, survival } of curve.steps)
              expect(survival).toBeCloseTo(of.filter((one) => one.time > time).length / of.length, 9);
        },
      ),
    );
  });
});

const ticket = (n: number, openedAt: string, closedAt: string | null, of: Partial<TicketSummary> = {}) =>
  ({
    id: `t${n}`,
    machine: 'Booth deck',
    owner: 'Booth 2',
    serial: 'T9-1',
    openedAt: `${openedAt}T09:00:00Z`,
    closedAt: closedAt && `${closedAt}T16:00:00Z`,
    mechanisms: ['T9 tray'],
    remedies: closedAt ? [{ driveId: 'd', mechanism: 'T9 tray', kind: 'newBelt' }] : [],
    causes: ['Belt slack'],
    cured: [],
    minutes: null,
    work: [5, 5, 0, 0, 0, 0, 0, 0, 0],
    ...of,
  }) as unknown as TicketSummary;

describe('the log', () => {
  const log = [
    ticket(1, '2024-01-01', '2024-01-02'),
    ticket(2, '2024-07-01', '2024-07-02', { minutes: 50 }),
    ticket(3, '2024-08-01', '2024-08-02', { serial: 'T9-2' }),
    ticket(4, '2025-09-01', '2025-09-02', { remedies: [] }),
  ];
  test('a remedy lasts until the machine comes again with that drive, else until now', () => {
    const found = livesOf(log, Date.parse('2026-01-01T09:00:00Z'));
    expect(found.map(({ ticketId, ended, time }) => [ticketId, ended, Math.round(time)])).toEqual([
      ['t1', true, 181],
      ['t2', false, 548],
      ['t3', false, 517],
    ]);
  });
  test('two machines of one name of which neither owner nor serial is known are not one that came back', () => {
    const twice = (owner: string) => [
      ticket(1, '2026-01-01', '2026-01-02', { owner, serial: '' }),
      ticket(2, '2026-03-01', '2026-03-02', { owner, serial: '' }),
    ];
    const returned = (owner: string) => totalsOf(twice(owner), twice(owner)).returned;
    expect(returned('Booth 2')).toBe(1);
    expect(returned('')).toBe(0);
  });
  test('what the bench said of it decides: it came back, or it is another one', () => {
    const twice = (owner: string, sameAs?: string | null) => [
      ticket(1, '2026-01-01', '2026-01-02', { owner, serial: '' }),
      ticket(2, '2026-03-01', '2026-03-02', { owner, serial: '', ...(sameAs !== undefined && { sameAs }) }),
    ];
    const returned = (of: readonly TicketSummary[]) => totalsOf(of, of).returned;
    expect(returned(twice('', 't1'))).toBe(1);
    expect(returned(twice('Booth 2', null))).toBe(0);
    // What names a ticket that is not there tells nothing.
    expect(returned(twice('', 'gone'))).toBe(0);
  });
  test('what came again within a year is counted; so are minutes', () => {
    expect(totalsOf(log, log)).toMatchObject({
      tickets: 4,
      handedBack: 4,
      returned: 1,
      minutes: 80,
      causes: [['Belt slack', 4]],
    });
  });
  test('a day is proposed once there are enough, and not before', () => {
    const many = (n: number) =>
      Array.from({ length: n }, (_, k) => ({
        kind: 'shrunk' as const,
        mechanism: '',
        ticketId: '',
        time: 30 * (k + 1),
        ended: k % 2 === 0,
      }));
    expect(dueMonthsOf(many(7), 'shrunk')).toBeUndefined();
    expect(dueMonthsOf(many(10), 'shrunk')).toEqual({ months: 3, seen: 10 });
    expect(dueMonthsOf(many(10), 'band')).toBeUndefined();
  });
});
