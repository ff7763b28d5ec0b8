import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import type { Taken } from '../measuring';
import { takeLine } from '.';

/** What a reading comes to, as the fixture writes it. */
const short = (taken: Taken): string =>
  taken.state === 'reading'
    ? [
        taken.method.id,
        Number(taken.amount.toFixed(3)),
        ...Object.entries(taken.aux).flatMap(([key, mm]) => [key, Number(mm.toFixed(3))]),
      ].join(' ')
    : taken.state === 'refusal'
      ? 'refused'
      : 'doubted';

const linesOf = (file: string) =>
  readFileSync(new URL(`../../../fixtures/${file}`, import.meta.url), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => line.split(' => '))
    .map(([typed = '', meant = '']) => ({
      typed,
      meant: meant.replace(/^\?+ /, ''),
      asks: /^\?*/.exec(meant)?.[0].length ?? 0,
    }));
type Line = ReturnType<typeof linesOf>[number];

/** By the same checks as a field's: what a doubt or a missing section says is another matter than how a line is read. */
function outcome({ typed, meant }: Line): 'right' | 'asked' | 'askedAmiss' | 'silent' {
  const taken = takeLine(typed, 'overCap', undefined, { unit: 'mm', keep: true });
  if (taken.state === 'question') return taken.ways.some((way) => short(way.taken) === meant) ? 'asked' : 'askedAmiss';
  if (short(taken) === meant) return 'right';
  return taken.state === 'refusal' ? 'askedAmiss' : 'silent';
}

const LINES = linesOf('readingLines.txt');

describe('readings as benches say them', () => {
  test.each(LINES.map((line) => [line.typed, line] as const))('“%s” is read as it is meant', (_, line) =>
    expect(outcome(line)).toBe(['right', 'asked', 'askedAmiss'][line.asks]),
  );
  test('of lines written after the reader none is wrong in silence, and seven in ten are right unasked', () => {
    const all = linesOf('unseenReadings.txt').map(outcome);
    const count = (one: ReturnType<typeof outcome>): number => all.filter((is) => is === one).length;
    expect(count('silent')).toBe(0);
    expect(count('right')).toBeGreaterThan(0.7 * all.length);
  });
});
