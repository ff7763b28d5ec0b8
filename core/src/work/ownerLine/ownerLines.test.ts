import { readFileSync } from 'node:fs';
import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { loaderNamed } from '../../base/loaders';
import { WORD_ROLES } from '../../base/spoken';
import { readFirst, readOwner } from '.';

const linesOf = (file: string) =>
  readFileSync(new URL(`../../../fixtures/${file}`, import.meta.url), 'utf8')
    .split('\n')
    .filter((line) => line !== '' && !line.startsWith('#'))
    .map((line) => {
      const [typed = '', meant = ''] = line.split(' => ');
      const [machine = '', answers = ''] = meant.split(' | ');
      return { typed, machine, answers };
    });
type Line = ReturnType<typeof linesOf>[number];

const offered = ({ typed }: Line): string =>
  readOwner(typed, loaderNamed(typed))
    .answers.map(({ testId, outcome }) => `${testId} ${outcome}`)
    .sort()
    .join(' + ') || '-';
const meant = ({ answers }: Line): string => answers.split(' + ').sort().join(' + ');

describe('what owners say', () => {
  const lines = linesOf('ownerLines.txt');
  test.each(lines.map((line) => [line.typed, line] as const))('“%s” offers what it says', (_, line) =>
    expect(offered(line)).toBe(meant(line)),
  );
  test.each(lines.filter(({ machine }) => machine !== '-').map((line) => [line.typed, line] as const))(
    '“%s”: the machine, and what is wrong',
    (typed, { machine }) => {
      const first = readFirst(typed, loaderNamed(typed));
      expect(first.machine).toBe(machine);
      expect(first.complaint).not.toBe('');
    },
  );
  test('of complaints written after the reader at most one in ten offers an answer that was not given', () => {
    const all = linesOf('unseenOwnerLines.txt');
    const wrong = all.filter((line) =>
      offered(line)
        .split(' + ')
        .some((one) => one !== '-' && !meant(line).includes(one)),
    );
    expect(wrong.length).toBeLessThanOrEqual(0.1 * all.length);
  });
  test('law: every word is accounted for, and a denial takes away and never adds', () => {
    fc.assert(
      fc.property(fc.constantFrom('clicks', 'squeals', 'sticks', 'is slow', 'grinds', 'skips'), (symptom) => {
        const said = readOwner(`it ${symptom}`, 'tray');
        expect(said.answers).toHaveLength(1);
        expect(readOwner(`it never ${symptom}`, 'tray').answers).toEqual([]);
        expect(readOwner(`it no longer ${symptom}`, 'tray').answers).toEqual([]);
      }),
    );
    fc.assert(
      fc.property(fc.string({ maxLength: 60 }), (text) => {
        const { words, begins } = readOwner(text, 'tray');
        expect(words.map(({ word }) => word)).toEqual(text.match(/\S+/g) ?? []);
        for (const { role } of words) expect(WORD_ROLES).toContain(role);
        expect(begins).toBeLessThanOrEqual(text.length);
      }),
    );
  });
});
