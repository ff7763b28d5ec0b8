import { expect, test } from 'vitest';
import { REPEAT_MS, RepeatWatch } from './repeat';

const after = (ms: number, text: string, field: string): boolean => {
  const watch = new RepeatWatch();
  watch.taken('6.00', 'motor', 1000);
  return watch.repeats(text, field, 1000 + ms);
};

test.each([
  ['the same number at once, in the next field: the button bounced', 40, '6.00', 'drive', true],
  ['with a blank behind it, as some send', 40, '6.00 ', 'drive', true],
  ['another number, however fast', 40, '24.80', 'drive', false],
  ['the same field taken again, as Enter and the leaving of a field do', 5, '6.00', 'motor', false],
  ['two things alike, measured by a hand', REPEAT_MS + 1, '6.00', 'drive', false],
])('%s', (_, ms, text, field, repeats) => expect(after(ms, text, field)).toBe(repeats));

test('the first reading of all repeats nothing', () => {
  expect(new RepeatWatch().repeats('', 'motor', 0)).toBe(false);
  expect(new RepeatWatch().repeats('6.00', 'motor', 0)).toBe(false);
});
