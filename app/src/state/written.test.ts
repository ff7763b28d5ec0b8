import { expect, test } from 'vitest';
import { dayOf, timeOfDay, writtenDay, writtenMoment } from './written';

test('days and times are written one way, by this machine’s own clock', () => {
  const moment = new Date(2026, 11, 31, 17, 20).toISOString();
  expect(writtenMoment(moment)).toBe('31 December 2026, 17:20');
  // Late in the evening it is still that day here, whatever it is in Greenwich.
  expect(writtenDay(new Date(2026, 11, 31, 23, 59).toISOString())).toBe('31 December 2026');
  expect(dayOf(new Date(2026, 0, 2, 0, 1).toISOString())).toBe('2026-01-02');
  expect(timeOfDay(new Date(2026, 0, 2, 9, 5).toISOString())).toBe('09:05');
  expect(dayOf('soon')).toBe('soon');
});
