import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import { EMPTY_CLEANING, placesOf } from '../cleaning';
import { readTreatment, type TreatmentDeed } from '.';

const map = placesOf({
  cleaning: EMPTY_CLEANING,
  drives: [{ id: 'A', name: 'A', role: 'loading', motorSurface: 'clean', drivenSurface: 'clean', idlers: [] }],
  strip: { steps: [], lastNumber: 0 },
  loader: 'tray',
});

/** What a deed comes to: of what kind of place, what was done with what, to what end. */
function short(deed: TreatmentDeed): string {
  switch (deed.type) {
    case 'treat': {
      const { deed: done, agent, outcome } = deed.told;
      if (deed.place === null) return done === 'other' ? 'note' : done;
      if (done === 'other' && !agent && outcome === 'unknown') return 'note';
      return [deed.place.kind, done === 'other' ? '' : done, agent ?? '', outcome === 'unknown' ? '' : outcome]
        .filter((word) => word !== '')
        .join(' ');
    }
    case 'seen':
      return `${deed.place.kind} seen ${deed.dirt}`;
    case 'slip':
      return `${deed.place.kind} slip ${deed.slip}`;
    case 'levers':
      return 'levers';
    default:
      return `${deed.place.kind} ${deed.type}`;
  }
}

/** An outcome that was said and is not part of what is asked here may follow. */
const alike = (way: string, meant: string): boolean => {
  const [ways, all] = [way.split(' + '), meant.split(' + ')];
  return ways.length === all.length && ways.every((one, at) => one.startsWith(all[at] ?? '?'));
};

const LINES = readFileSync(new URL('../../../fixtures/cleanLines.txt', import.meta.url), 'utf8')
  .split('\n')
  .filter((line) => line !== '' && !line.startsWith('#'))
  .map((line) => line.split(' => '))
  .map(([typed = '', meant = '']) => ({ typed, meant: meant.replace(/^\? /, '') }));

function outcome({ typed, meant }: (typeof LINES)[number]): 'right' | 'asked' | 'askedAmiss' | 'silent' {
  const read = readTreatment(typed, { map, chosenId: null });
  const ways = (read?.ways ?? []).map(({ does }) => does.map(short).join(' + '));
  const is = ways.some((way) => alike(way, meant));
  if (ways.length > 1) return is ? 'asked' : 'askedAmiss';
  if (read?.unread) return meant === 'note' ? 'right' : 'asked';
  return is ? 'right' : ways[0] === 'note' ? 'asked' : 'silent';
}

describe('lines of Clean that benches stumble over', () => {
  test.each(LINES.map((line) => [line.typed, line] as const))('“%s” is not taken wrong in silence', (_, line) =>
    expect(outcome(line)).not.toBe('silent'),
  );
  test('four in five are taken right without a question', () => {
    const right = LINES.filter((line) => outcome(line) === 'right');
    expect(right.length / LINES.length).toBeGreaterThan(0.8);
  });
});
