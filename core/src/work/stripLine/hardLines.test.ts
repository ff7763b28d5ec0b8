import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { readLine, type Deed } from '.';

/** What a deed comes to; a plug that is off and one that is pulled go back alike. */
function short(deed: Deed): string {
  switch (deed.type) {
    case 'step': {
      const { kind, count, fate } = deed.step;
      const gone = fate === 'off' || (fate === 'pulled' && kind === 'connector');
      return `${kind} ${count}${gone ? '' : ` ${fate}`}`;
    }
    case 'moment':
      return `moment ${deed.moment}`;
    case 'found':
      return deed.kind;
    case 'change':
      return `change ${deed.kind}`;
    default:
      return deed.type;
  }
}

interface Line {
  readonly kind: string;
  readonly typed: string;
  readonly meant: string;
}

const linesOf = (file: string): readonly Line[] =>
  readFileSync(new URL(`../../../fixtures/${file}`, import.meta.url), 'utf8')
    .split('\n')
    .reduce<{ kind: string; lines: Line[] }>(
      (all, line) => {
        if (line.startsWith('# kind: ')) return { ...all, kind: line.slice(8) };
        if (line === '' || line.startsWith('#')) return all;
        const [typed = '', meant = ''] = line.split(' => ');
        const plain = meant.replace(/^\? /, '').replace(/connector (\d) pulled/g, 'connector $1');
        return { ...all, lines: [...all.lines, { kind: all.kind, typed, meant: plain }] };
      },
      { kind: '', lines: [] },
    ).lines;

function outcome({ typed, meant }: Line): 'right' | 'asked' | 'askedAmiss' | 'silent' {
  const read = readLine(typed);
  const ways = (read?.ways ?? []).map(({ does }) => does.map(short).join(' + '));
  const is = meant === 'asTyped' ? read?.unread === true || ways.length > 1 : ways.includes(meant);
  if (ways.length > 1) return is ? 'asked' : 'askedAmiss';
  if (read?.unread) return is ? 'right' : 'asked';
  // What nothing was done of is no wrong deed: it is kept, and read again by whoever typed it.
  const harmless = / (?:noted|leftAlone)$/.test(ways[0] ?? '') && / (?:noted|leftAlone)$/.test(meant);
  return is || harmless ? 'right' : 'silent';
}
const share = (lines: readonly Line[], of: readonly ReturnType<typeof outcome>[]): number =>
  lines.filter((line) => of.includes(outcome(line))).length / lines.length;

describe('lines of Strip that benches stumble over', () => {
  const lines = linesOf('hardLines.txt');
  test.each(lines.map((line) => [line.kind, line.typed, line] as const))(
    '%s: “%s” is not taken wrong in silence',
    (_, __, line) => expect(outcome(line)).not.toBe('silent'),
  );
  test('four in five are taken right without a question, and of what is asked 95 in 100 have the right key', () => {
    expect(share(lines, ['right'])).toBeGreaterThan(0.8);
    const asked = lines.filter((line) => ['asked', 'askedAmiss'].includes(outcome(line)));
    expect(share(asked, ['asked'])).toBeGreaterThan(0.95);
  });
});

test('of batches written after the reader few are taken wrong in silence, and most right without a question', () => {
  const lines = linesOf('unseenLines.txt');
  expect(lines.length).toBeGreaterThanOrEqual(80);
  expect(share(lines, ['silent'])).toBeLessThanOrEqual(0.03);
  expect(share(lines, ['right'])).toBeGreaterThan(0.65);
});
