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
  readonly held: boolean;
  readonly typed: string;
  readonly meant: string;
}

/** The corpus, by kinds of difficulty: of each kind every third line is held out. */
const LINES = readFileSync(new URL('../../../fixtures/heldOutLines.txt', import.meta.url), 'utf8')
  .split('\n')
  .reduce<{ kind: string; at: number; lines: Line[] }>(
    (all, line) => {
      if (line.startsWith('# kind: ')) return { ...all, kind: line.slice(8), at: 0 };
      if (line === '' || line.startsWith('#')) return all;
      const [typed = '', meant = ''] = line.split(' => ');
      const held = all.at % 3 === 2;
      return {
        ...all,
        at: all.at + 1,
        lines: [
          ...all.lines,
          {
            kind: all.kind,
            held,
            typed,
            meant: meant
              .replace(/^\? /, '')
              .replace('connector 1 pulled', 'connector 1')
              .replace(/connector (\d) pulled/, 'connector $1'),
          },
        ],
      };
    },
    { kind: '', at: 0, lines: [] },
  ).lines;

function outcome({ typed, meant }: Line): 'right' | 'asked' | 'askedAmiss' | 'silent' {
  const read = readLine(typed);
  const ways = (read?.ways ?? []).map(({ does }) => does.map(short).join(' + '));
  const is = meant === 'asTyped' ? read?.unread === true || ways.length > 1 : ways.includes(meant);
  if (ways.length > 1) return is ? 'asked' : 'askedAmiss';
  if (read?.unread) return 'asked';
  // What nothing was done of is no wrong deed: it is kept, and read again by whoever typed it.
  const harmless = read?.ways[0]?.does.every(
    (deed) => deed.type === 'step' && ['noted', 'leftAlone'].includes(deed.step.fate),
  );
  return is ? 'right' : harmless && / (?:noted|leftAlone)$/.test(meant) ? 'right' : 'silent';
}
const share = (lines: readonly Line[], of: readonly ReturnType<typeof outcome>[]): number =>
  lines.filter((line) => of.includes(outcome(line))).length / lines.length;

describe('lines of Strip that benches stumble over', () => {
  const seen = LINES.filter(({ held }) => !held);
  const held = LINES.filter((line) => line.held);
  test('a hundred and thirty lines, a third of each kind held out', () => {
    expect(LINES.length).toBeGreaterThanOrEqual(130);
    expect(held.length / LINES.length).toBeGreaterThan(0.28);
  });
  test.each(seen.map((line) => [line.kind, line.typed, line] as const))(
    '%s: “%s” is not taken wrong in silence',
    (_, __, line) => expect(outcome(line)).not.toBe('silent'),
  );
  test('of those held out at most one in ten is taken wrong in silence', () =>
    expect(share(held, ['silent'])).toBeLessThanOrEqual(0.1));
  test('of all at least half are taken right without a question, and of what is asked two in three have the right key', () => {
    expect(share(LINES, ['right'])).toBeGreaterThan(0.5);
    const asked = LINES.filter((line) => ['asked', 'askedAmiss'].includes(outcome(line)));
    expect(share(asked, ['asked'])).toBeGreaterThan(0.66);
  });
});
