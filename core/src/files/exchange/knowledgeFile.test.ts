import { describe, expect, test } from 'vitest';
import { KNOWLEDGE, type BenchTest, type Cause, type Knowledge } from '../../work/diagnosis';
import { readKnowledgeFile, writeKnowledgeFile } from '.';

const problem = (content: string): string => {
  const result = readKnowledgeFile(content, 'own.json');
  return result.ok ? '' : result.problem;
};
const changed = (changes: Partial<Knowledge>): string => writeKnowledgeFile({ ...KNOWLEDGE, ...changes });
const onTest = (id: string, changes: Partial<BenchTest>): string =>
  changed({ tests: KNOWLEDGE.tests.map((one) => (one.id === id ? { ...one, ...changes } : one)) });
const onCause = (id: string, changes: Partial<Cause>): string =>
  changed({ causes: KNOWLEDGE.causes.map((one) => (one.id === id ? { ...one, ...changes } : one)) });

describe('knowledge as a file', () => {
  test('comes back as it went out', () =>
    expect(readKnowledgeFile(writeKnowledgeFile(KNOWLEDGE), 'own.json')).toEqual({
      ok: true,
      value: JSON.parse(JSON.stringify(KNOWLEDGE)) as unknown,
    }));
  test.each([
    ['cut short', '{"format":', 'broken or cut short'],
    ['something else', '{"format":"x"}', 'no knowledge of the adviser'],
    ['a megabyte long', `{"format":"${'x'.repeat(1_000_001)}"}`, 'larger than 1 MB'],
    [
      'a row that does not add up',
      onTest('dark', { sound: [95, 4] }),
      'Test “Bench lamp off”, a sound machine: the row adds up to 99, not to 100',
    ],
    [
      'a figure too near to nothing',
      onTest('dark', { given: { benchLight: [1, 99] } }),
      'has 1; no figure may be nearer 0 or 100 than 2',
    ],
    ['a row too short', onTest('dark', { given: { benchLight: [100] } }), 'has 1 figures for 2 outcomes'],
    ['a cause that is none', onTest('dark', { given: { moon: [8, 92] } }), 'speaks of “moon”, which is no cause here'],
    [
      'two causes of one name',
      onCause('latched', { name: 'Belt slack' }),
      'Two causes are called “Belt slack”. Each needs a name of its own.',
    ],
    [
      'two outcomes of one name',
      onTest('dark', {
        outcomes: [
          { id: 'same', label: 'a' },
          { id: 'same', label: 'b' },
        ],
      }),
      'two outcomes are called “same”',
    ],
    ['an unknown depth', onTest('dark', { depth: 'cellar' as never }), 'depth, read "cellar"; allowed: lidOn'],
    ['an impossible share', changed({ pairShare: 0.9 }), 'must lie between 0.01 and 0.5'],
  ])('%s', (_, content, words) => expect(problem(content)).toContain(words));
  test('a cause that no test tells from a sound machine is named', () => {
    const tests = KNOWLEDGE.tests.map((one) => ({
      ...one,
      given: Object.fromEntries(Object.entries(one.given).filter(([id]) => id !== 'benchLight')),
    }));
    expect(problem(changed({ tests }))).toContain('No test tells “Bench light on a sensor” from a sound machine');
  });
});
