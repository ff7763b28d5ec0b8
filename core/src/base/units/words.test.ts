import { describe, expect, test } from 'vitest';
import { counted, formatDay, listed, plural } from '.';

describe('words made by the platform', () => {
  test('one is one, everything else is many', () => {
    expect([0, 1, 2, 21].map((count) => counted(count, 'screw'))).toEqual([
      '0 screws',
      '1 screw',
      '2 screws',
      '21 screws',
    ]);
    expect([plural(1, 'retry', 'retries'), plural(2, 'retry', 'retries')]).toEqual(['retry', 'retries']);
    expect(counted(12_000, 'cycle')).toBe('12,000 cycles');
  });
  test('a list is read as one', () => {
    expect(listed([])).toBe('');
    expect(listed(['lid'])).toBe('lid');
    expect(listed(['lid', 'tray', 'belt'])).toBe('lid, tray and belt');
    expect(listed(['lid', 'tray'], 'or')).toBe('lid or tray');
  });
  test('a day is written out the same wherever it is printed; what is no day stays as it is', () => {
    expect(formatDay('2027-02-27')).toBe('27 February 2027');
    expect(formatDay('2026-12-31T23:30:00Z')).toBe('31 December 2026');
    expect(formatDay('soon')).toBe('soon');
  });
});
