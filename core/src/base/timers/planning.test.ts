import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { ago, clock, clockBehindS, monthsLater, timerState, timerWords, type Timer } from '.';

const start = Date.UTC(2026, 0, 12, 9, 0, 0);
const timer: Timer = {
  id: 't',
  what: 'unplugged',
  startedAt: new Date(start).toISOString(),
  endsAt: new Date(start + 300_000).toISOString(),
  endedAt: null,
};

describe('a timer', () => {
  test('counts down, comes due, and says how late it is', () => {
    expect(timerState(timer, start + 60_000)).toEqual({ status: 'running', leftS: 240 });
    expect(timerState(timer, start + 300_000)).toEqual({ status: 'due', lateS: -0 });
    expect(timerWords('unplugged', timerState(timer, start + 500_000))).toBe('unplugged: time is up, 3 min ago');
    expect(timerWords('unplugged', timerState(timer, start + 108_000))).toBe('unplugged: 3:12 to go');
  });
  test('seen to, is done, whatever the clock says', () => {
    expect(timerState({ ...timer, endedAt: timer.endsAt }, start)).toEqual({ status: 'seen' });
  });
  test('on a clock that stands before its start it says so, instead of counting', () => {
    const state = timerState(timer, start - 3_600_000);
    expect(state).toEqual({ status: 'running', leftS: 300, clockBack: true });
    expect(timerWords('unplugged', state)).toBe('unplugged: the clock was set back; wait 5:00 by another');
  });
  test('never runs longer than it was set, though the clock be set back, and never backwards', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -86_400_000, max: 86_400_000 }),
        fc.integer({ min: 0, max: 100_000 }),
        (offset, later) => {
          const at = (ms: number) => {
            const state = timerState(timer, start + ms);
            return state.status === 'running' ? state.leftS : state.status === 'due' ? -state.lateS : Number.NaN;
          };
          expect(at(offset)).toBeLessThanOrEqual(300);
          expect(at(offset + later)).toBeLessThanOrEqual(at(offset));
        },
      ),
    );
  });
});

test('a clock is behind what was entered from a minute on', () => {
  const entered = new Date(start).toISOString();
  expect([start + 5000, start - 59_000, start - 7_200_000].map((now) => clockBehindS(entered, now))).toEqual([
    0, 0, 7200,
  ]);
});

test.each([
  [192, '3:12'],
  [59.2, '1:00'],
  [3725, '1:02:05'],
  [0.4, '0:01'],
])('%f seconds stand as %s', (seconds, text) => expect(clock(seconds)).toBe(text));

test.each([
  [5, '5 s'],
  [200, '3 min'],
  [7200, '2 h'],
  [90_000, '1 day'],
  [200_000, '2 days'],
])('%f seconds ago are said as %s', (seconds, text) => expect(ago(seconds)).toBe(text));

test('so many months later, and the last of a month that is shorter', () => {
  expect(monthsLater('2026-11-25', 12)).toBe('2027-11-25');
  expect(monthsLater('2026-11-30', 3)).toBe('2027-02-28');
  expect(monthsLater('2027-12-31', 2)).toBe('2028-02-29');
  fc.assert(
    fc.property(
      fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true }),
      fc.integer({ min: 0, max: 60 }),
      (from, months) => {
        const day = from.toISOString().slice(0, 10);
        const later = monthsLater(day, months);
        const months0 = (iso: string) => Number(iso.slice(0, 4)) * 12 + Number(iso.slice(5, 7));
        expect(months0(later) - months0(day)).toBe(months);
      },
    ),
  );
});
