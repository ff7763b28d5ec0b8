import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { newItem, railsOf } from '@loose-pulley/core/shop/drawer';
import type { DayJob, DayPlan } from '@loose-pulley/core/shop/day';
import type { TicketSummary } from '@loose-pulley/core/record/ticket';
import { railLayout, spanOf } from '../parts/book/railLayout';
import { dayLayout, LEFT_PX } from './day/dayLayout';
import { parseHours } from './day/hours';
import { letsThrough, logTable, NO_FILTER } from './log/logColumns';

describe('the drawer as drawn', () => {
  const anyItems = fc
    .array(fc.record({ mm: fc.integer({ min: 15, max: 2000 }), t: fc.constantFrom(1, 1.2, 1.78), n: fc.nat(9) }), {
      maxLength: 200,
    })
    .map((rows) =>
      rows.map(({ mm, t, n }, index) =>
        newItem(`i${index}`, { shape: 'square', thicknessMm: t, widthMm: null, innerLengthMm: mm }, n),
      ),
    );
  test('every size hangs once, on the sheet, and no two glyphs lie over each other', () => {
    fc.assert(
      fc.property(anyItems, fc.integer({ min: 320, max: 1400 }), (items, widthPx) => {
        const { rails } = railLayout(railsOf(items), spanOf(items), widthPx);
        expect(rails.flatMap(({ hung }) => hung.flatMap((one) => one.items)).length).toBe(items.length);
        for (const { hung } of rails)
          hung.forEach((one, n) => {
            expect(one.x).toBeGreaterThan(100);
            expect(one.x).toBeLessThanOrEqual(widthPx);
            if (n > 0) expect(one.x - (hung[n - 1]?.x ?? 0)).toBeGreaterThanOrEqual(17);
          });
      }),
    );
  });
});

describe('the day as drawn', () => {
  const NOW = Date.UTC(2026, 10, 23, 9);
  const step = (label: string) => ({ id: `t/${label}`, label, medianMin: 20, waitAfterMin: 0 });
  const job = {
    ticketId: 't',
    number: '0001',
    machine: '',
    promise: { to: '', at: new Date(NOW + 3_600_000).toISOString() },
    waits: [{ kind: 'parts', what: 'a ring', fromMs: NOW - 9e7, untilMs: null, lateMs: null }],
  } as unknown as DayJob;
  const plan = (fromMs: number, toMs: number) =>
    ({
      blocks: [
        { ticketId: 't', step: step('take in, find'), parts: [{ fromMs, toMs }], waitUntilMs: toMs, pinned: false },
      ],
    }) as unknown as DayPlan;
  test('what lies within the hours is drawn there, with its word inside or beside; what lies without is not', () => {
    const hours = [NOW, NOW + 8 * 3_600_000] as const;
    const [row] = dayLayout([job], plan(NOW, NOW + 4 * 3_600_000), hours, 900).rows;
    expect(row?.blocks[0]).toMatchObject({ x: LEFT_PX, label: 'take in, find', beside: false });
    expect(dayLayout([job], plan(NOW, NOW + 600_000), hours, 900).rows[0]?.blocks[0]).toMatchObject({
      label: 'take in, find',
      beside: true,
    });
    expect(dayLayout([job], plan(NOW - 9e7, NOW - 8e7), hours, 900).rows[0]?.blocks).toEqual([]);
    // Nobody knows when it ends: it runs off the sheet.
    expect(row?.waits[0]).toMatchObject({ x: LEFT_PX, open: true });
    expect(row?.promiseX).toBeGreaterThan(LEFT_PX);
  });
});

test.each([
  [
    '9-12:30, 13-17.30',
    [
      [540, 750],
      [780, 1050],
    ],
  ],
  ['', []],
  ['closed', []],
  ['8 to 12', [[480, 720]]],
  ['18-9', null],
  ['9-12, 11-13', null],
  ['nine', null],
  ['9-25', null],
])('the hours “%s”', (text, expected) =>
  expect(parseHours(text)?.map(({ fromMin, toMin }) => [fromMin, toMin]) ?? null).toEqual(expected),
);

describe('the log in columns', () => {
  const one = {
    id: 'a',
    number: '0147',
    openedAt: '2026-01-05T09:00:00Z',
    closedAt: null,
    loader: 'tray',
    remedies: [{ kind: 'ring' }],
    machine: '=cmd',
    owner: 'x, y',
    minutes: 20,
    work: [],
    causes: [],
  } as unknown as TicketSummary;
  test('is narrowed by state, loader, remedy and day', () => {
    const let1 = (of: Partial<typeof NO_FILTER>) => letsThrough({ ...NO_FILTER, ...of }, one, new Set());
    expect([
      let1({}),
      let1({ state: 'open' }),
      let1({ state: 'returned' }),
      let1({ loader: 'slot' }),
      let1({ remedy: 'ring' }),
      let1({ from: '2026-01-06' }),
      let1({ to: '2026-01-05' }),
    ]).toEqual([true, true, false, false, true, false, true]);
  });
  test('goes out with no formula in it', () =>
    expect(logTable([one], ['number', 'machine', 'owner'])).toBe(
      '\ufeffnumber,machine,owner\r\n0147,\'=cmd,"x, y"\r\n',
    ));
});
