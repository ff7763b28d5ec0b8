import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { readLine, type Way } from '.';

const short = ({ does }: Way): string =>
  does
    .map((deed) => {
      switch (deed.type) {
        case 'step': {
          const { kind, count, fate } = deed.step;
          // A plug that is off and one that is pulled go back alike.
          const gone = fate === 'off' || (fate === 'pulled' && kind === 'connector');
          return `${kind} ${count}${gone ? '' : ` ${fate}`}`;
        }
        case 'change':
          return `change ${deed.kind}`;
        case 'changeEnds':
          return `ends ${deed.kind}`;
        case 'moment':
          return `moment ${deed.moment}`;
        case 'found':
          return deed.kind;
        case 'disc':
          return 'disc';
        case 'same':
          return 'same';
        case 'again':
          return `again ${deed.number}`;
        case 'back':
          return `back ${deed.number}`;
      }
    })
    .join(' + ');

const LINES = readFileSync(new URL('../../../fixtures/stripLines.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line !== '' && !line.startsWith('#'))
  .map((line) => {
    const [typed = '', meant = ''] = line.split(' => ');
    return {
      typed,
      meant: meant.replace(/^\? /, '').replace(/connector (\d) pulled/g, 'connector $1'),
      mayAsk: meant.startsWith('? '),
    };
  });

describe('lines as benches speak', () => {
  test('at least 300, each read right, none wrong in silence', () => {
    const wrong = LINES.flatMap(({ typed, meant, mayAsk }) => {
      const read = readLine(typed);
      const ways = (read?.ways ?? []).map(short);
      const right = ways.length === 1 ? ways[0] === meant : mayAsk && ways.includes(meant);
      return right ? [] : [`${typed}  => ${meant}   READ ${ways.join(' | ')}`];
    });
    expect(wrong).toEqual([]);
    expect(LINES.length).toBeGreaterThanOrEqual(300);
  });
  test('at least 85 in 100 are taken without a question', () => {
    const without = LINES.filter(({ typed }) => readLine(typed)?.ways.length === 1).length;
    expect(without / LINES.length).toBeGreaterThan(0.85);
  });
});

describe('what is odd', () => {
  test('any text is read without a fault: every way has words, and a step keeps the line', () => {
    const words = fc.constantFrom(
      '2',
      'ph1',
      'screws',
      'lid',
      'off',
      'leave',
      ',',
      'and',
      'belt',
      'with',
      'found',
      'sludge',
      '(',
      '1/4"',
      '3 of 4',
      'turns',
      'left',
      'لا',
      '\u202e',
      'plug',
    );
    const text = fc.oneof(
      fc.string({ maxLength: 300 }),
      fc.string({ unit: 'grapheme', maxLength: 80 }),
      fc.array(words, { maxLength: 14 }).map((list) => list.join(' ')),
    );
    fc.assert(
      fc.property(text, (typed) => {
        const read = readLine(typed);
        if (!read) return;
        expect(read.ways.length).toBeLessThanOrEqual(5);
        // Whatever is asked, as typed is the last answer.
        if (read.ways.length > 1) expect(read.ways.at(-1)?.echo).toMatch(/kept as typed/);
        expect(read.ways.length > 1).toBe(read.asks !== '');
        for (const { echo, does } of read.ways) {
          expect(echo).not.toMatch(/undefined|NaN|§/);
          for (const deed of does) {
            if (deed.type !== 'step') continue;
            expect(deed.step.line.length).toBeGreaterThan(0);
            expect(deed.step.missing).toBeLessThanOrEqual(deed.step.count);
          }
        }
      }),
      { numRuns: 1500 },
    );
  });
  test('a line too long is not cut: it says how long it may be, and does nothing', () => {
    const read = readLine('4 ph1 '.repeat(2000));
    expect(read?.ways).toEqual([]);
    expect(read?.asks).toContain('400 letters at most');
  });
  test('right-to-left text is kept as typed, and its marks turn nothing round', () => {
    const read = readLine('\u202e2 ph1 أعلى\u202c');
    expect(read?.ways.map(short)).toEqual(['screws 2']);
    expect(readLine('غطاء')).toMatchObject({ unread: true, ways: [{ does: [{ step: { what: 'غطاء' } }] }] });
  });
  test.each(['1000 screws', '1000 ph1 base', '99 clips'])('“%s” is more than any machine has, and asked', (line) =>
    expect(readLine(line)?.ways.length).toBeGreaterThan(1),
  );
});

test('what is read of a line: driver, length in mm, place, latch, turns and which way', () => {
  const step = (line: string) => {
    const [deed] = readLine(line)?.ways[0]?.does ?? [];
    return deed?.type === 'step' ? deed.step : undefined;
  };
  expect(step('2x ph0 6mm clamp bridge')).toMatchObject({ driverType: 'PH0', lengthMm: 6, where: 'clamp bridge' });
  expect(step('2 screws 1/4" speaker bracket')?.lengthMm).toBe(6.35);
  expect(step('3 #1 philx left side')).toMatchObject({ driverType: 'PH1', where: 'left side' });
  expect(step('m2.5x6 x3 board')).toMatchObject({ facts: { thread: 'M2.5' }, lengthMm: 6, count: 3 });
  expect(step('flat cable pickup, slide the latch')?.facts.latch).toBe('slide the latch');
  expect(step('worm wound 12 turns clockwise to the stop, viewed from the motor')?.facts).toMatchObject({
    turns: '12 turns',
    direction: 'clockwise',
    parkedAt: 'the stop',
    viewedFrom: 'motor',
  });
  expect(step('1 ph2 heat sink clamp, leave alone')).toMatchObject({ fate: 'leftAlone', leaveAlone: 'leave alone' });
  expect(step('2 hex8 pinned rear corners, one short')).toMatchObject({
    driverType: 'T8 pinned',
    count: 3,
    missing: 1,
  });
});
