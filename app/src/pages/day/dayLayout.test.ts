import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import type { DayJob, DayPlan } from '@loose-pulley/core/shop/day';
import { dayLayout, LEFT_PX, ROW_PX } from './dayLayout';

const HOUR = 3_600_000;
const FROM = Date.parse('2026-03-02T08:00:00Z');
const SPAN = [FROM, FROM + 10 * HOUR] as const;
const job = (id: string, of: object = {}): DayJob =>
  ({ ticketId: id, number: id, machine: 'deck', promise: null, waits: [], ...of }) as unknown as DayJob;

/** A plan of one block a job, somewhere about the hours that are drawn. */
const plans = fc
  .array(
    fc.record({
      from: fc.integer({ min: -120, max: 700 }),
      minutes: fc.integer({ min: 5, max: 180 }),
      wait: fc.constantFrom(0, 0, 30),
      pinned: fc.boolean(),
      label: fc.constantFrom('look', 'open and strip', 'fit'),
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((list) => {
    const jobs = list.map((_, n) => job(`t${n}`));
    const blocks = list.map(({ from, minutes, wait, pinned, label }, n) => {
      const fromMs = FROM + from * 60_000;
      const toMs = fromMs + minutes * 60_000;
      return {
        ticketId: `t${n}`,
        step: { id: `t${n}/s`, label, medianMin: minutes, waitAfterMin: wait },
        parts: [{ fromMs, toMs }],
        pinned,
        waitUntilMs: toMs + wait * 60_000,
      };
    });
    return { jobs, plan: { blocks, madeAtMs: FROM, kept: {} } as unknown as DayPlan, list };
  });
const width = fc.integer({ min: 360, max: 1400 });

describe('a day as it is drawn', () => {
  test('a row for each ticket, one under the other, though nothing is planned', () => {
    fc.assert(
      fc.property(plans, width, ({ jobs, plan }, widthPx) => {
        for (const one of [plan, null]) {
          const { rows, axisY, heightPx } = dayLayout(jobs, one, SPAN, widthPx);
          expect(rows.map(({ job: { ticketId } }) => ticketId)).toEqual(jobs.map(({ ticketId }) => ticketId));
          rows.forEach(({ y }, n) => {
            if (n > 0) expect(y - (rows[n - 1]?.y ?? 0)).toBe(ROW_PX);
          });
          expect(heightPx).toBeGreaterThan(axisY);
        }
      }),
    );
  });
  test('work is drawn within the sheet and only where some of it falls into its hours', () => {
    fc.assert(
      fc.property(plans, width, ({ jobs, plan, list }, widthPx) => {
        const { rows } = dayLayout(jobs, plan, SPAN, widthPx);
        rows.forEach(({ blocks }, n) => {
          const { from = 0, minutes = 0 } = list[n] ?? {};
          expect(blocks.length).toBe(from < 600 && from + minutes > 0 ? 1 : 0);
          for (const { x, widthPx: px } of blocks) {
            expect(x).toBeGreaterThanOrEqual(LEFT_PX);
            expect(px).toBeGreaterThanOrEqual(3);
            expect(x).toBeLessThanOrEqual(widthPx);
          }
        });
      }),
    );
  });
  test('no label is a stump: the whole word, one that ends in dots, or none', () => {
    fc.assert(
      fc.property(plans, width, ({ jobs, plan, list }, widthPx) => {
        const { rows } = dayLayout(jobs, plan, SPAN, widthPx);
        rows.forEach(({ blocks }, n) => {
          for (const { label } of blocks)
            expect(label === '' || label === list[n]?.label || /^.{4,}…$/.test(label), label).toBe(true);
        });
      }),
    );
  });
  test('what nobody knows the end of is drawn open to the end', () => {
    const open = job('w', { waits: [{ kind: 'parts', what: 'belt', fromMs: FROM, untilMs: null, lateMs: null }] });
    const [row] = dayLayout([open], null, SPAN, 800).rows;
    expect(row?.waits[0]).toMatchObject({ open: true, label: 'belt', lateX: undefined });
  });
  test('a promise within the hours has its mark there, one without has none', () => {
    const at = (hour: number) => job('p', { promise: { at: new Date(FROM + hour * HOUR).toISOString(), to: '' } });
    const markOf = (hour: number) => dayLayout([at(hour)], null, SPAN, 800).rows[0]?.promiseX;
    expect(markOf(-1)).toBeUndefined();
    expect(markOf(11)).toBeUndefined();
    const marks = [0, 2, 5, 10].map(markOf) as number[];
    expect([...marks].sort((a, b) => a - b)).toEqual(marks);
  });
});
