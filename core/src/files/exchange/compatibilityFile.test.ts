import { expect, test } from 'vitest';
import { COMPATIBILITY } from '../../work/compatibility';
import { readCompatibilityFile, writeCompatibilityFile, writeKnowledgeFile } from '.';
import { KNOWLEDGE } from '../../work/diagnosis';

const problem = (content: string): string => {
  const result = readCompatibilityFile(content, 'own.json');
  return result.ok ? '' : result.problem;
};
test('the table of what may touch what comes back as it went out', () =>
  expect(readCompatibilityFile(writeCompatibilityFile(COMPATIBILITY), 'own.json')).toEqual({
    ok: true,
    value: COMPATIBILITY,
  }));
test.each([
  ['cut short', '{', 'broken or cut short'],
  ['of another page', writeKnowledgeFile(KNOWLEDGE), 'no table of what may touch what'],
  [
    'with a grade that is none',
    writeCompatibilityFile({ ...COMPATIBILITY, grades: { acetone: { abs: 'maybe' } } } as never),
    'allowed: fine',
  ],
  [
    'with an agent that is none',
    writeCompatibilityFile({ ...COMPATIBILITY, grades: { benzol: {} } }),
    '“benzol” is no agent',
  ],
  [
    'of a week and more of drying',
    writeCompatibilityFile({ ...COMPATIBILITY, dryMinutes: { acetone: 99_999 } }),
    'the most is 10080',
  ],
])('%s', (_, content, words) => {
  expect(problem(content)).toContain(words);
});
