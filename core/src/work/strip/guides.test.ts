import { describe, expect, test } from 'vitest';
import { FACT_NAMES, stepFacts, GUIDES, KIND_NAMES, pinOneSide } from '.';
import { LOADERS } from '../../base/loaders';
import { readLine } from '../stripLine';

describe('the plain guides', () => {
  test.each(LOADERS)('%s: every line is read without a question, the deep part comes last', (loader) => {
    const lines = GUIDES[loader];
    expect(lines.length).toBeGreaterThan(3);
    for (const line of lines.flatMap(({ line: one, or }) => [one, ...(or ? [or] : [])])) {
      const read = readLine(line);
      expect(read?.ways.length, line).toBe(1);
      expect(read?.unread, line).toBe(false);
    }
    const deep = lines.map((one) => one.deep === true);
    expect(deep).toEqual([...deep].sort((a, b) => Number(a) - Number(b)));
  });
  test('a disk drive’s guide knows no tray', () => {
    for (const { line } of GUIDES.diskDrive) expect(line).not.toMatch(/tray|drawer/);
  });
});

describe('what is worth knowing of a step', () => {
  test('facts come in the order in which they are asked, under their names, and none that is empty', () => {
    const facts = { pinOne: 'stripe to the left', ways: '6', latch: '' };
    expect(stepFacts({ kind: 'connector', facts })).toEqual([
      ['Ways', '6'],
      ['Side of pin 1 or of the stripe', 'stripe to the left'],
    ]);
    expect(stepFacts({ kind: 'note', facts })).toEqual([]);
  });
  test.each([
    ['stripe to the left', 'left'],
    ['pin 1 RIGHT, seen from the front', 'right'],
    ['leftover flux', undefined],
    ['towards the back', undefined],
    ['', undefined],
  ])('“%s” puts pin 1 to the %s', (words, side) => expect(pinOneSide(words)).toBe(side));
  test('every kind and every fact has a name of its own', () => {
    for (const names of [Object.values(KIND_NAMES), Object.values(FACT_NAMES)])
      expect(new Set(names).size).toBe(names.length);
  });
});
