import { describe, expect, test } from 'vitest';
import { LOADERS } from '@loose-pulley/core/base/loaders';
import { KNOWLEDGE, causeName, inWords, chanceWords, testName } from '@loose-pulley/core/work/diagnosis';
import { simulate } from '.';

const played = simulate(KNOWLEDGE, 'tray', 30, 5);

describe('the adviser played against others', () => {
  test('the same seed plays the same game', () => {
    expect(simulate(KNOWLEDGE, 'tray', 4, 5)).toEqual(simulate(KNOWLEDGE, 'tray', 4, 5));
    expect(simulate(KNOWLEDGE, 'tray', 4, 6)).not.toEqual(simulate(KNOWLEDGE, 'tray', 4, 5));
  });
  test('everybody’s shares are shares, and being among the first three is easier than being first', () => {
    for (const one of Object.values(played.players)) {
      for (const [n, first] of one.top1.entries()) {
        expect(first).toBeGreaterThanOrEqual(0);
        expect(first).toBeLessThanOrEqual(1);
        expect(one.top3[n]).toBeGreaterThanOrEqual(0);
      }
      expect(one.certain).toBeLessThanOrEqual(1);
      expect(one.testsToCertain).toBeGreaterThanOrEqual(1);
    }
  });
  test('asking by what it tells is quicker than asking at random, and more is known after ten than after one', () => {
    const { adviser, random, fixed } = played.players;
    expect(adviser.minutesToCertain).toBeLessThan(random.minutesToCertain);
    expect(adviser.minutesToCertain).toBeLessThan(fixed.minutesToCertain);
    expect(adviser.top1[9]).toBeGreaterThan(adviser.top1[0] ?? NaN);
  });
  test('who is certain is mostly right', () => expect(played.players.adviser.rightWhenCertain).toBeGreaterThan(0.6));
});

describe('words for each kind of loader', () => {
  test('a disk drive has no tray and no disc; the others keep theirs', () => {
    expect(inWords('the {tray} should {open}', 'diskDrive')).toBe('the disk should spin up');
    expect(inWords('a disc in the {tray}', 'wire')).toBe('a disc in the tray');
    expect(inWords('a disc inside', 'diskDrive')).toBe('a disk inside');
  });
  test('no name of a cause or a test is left with a gap in it, for any loader', () => {
    for (const loader of LOADERS) {
      for (const cause of KNOWLEDGE.causes) expect(causeName(cause, loader)).not.toMatch(/[{}]/);
      for (const one of KNOWLEDGE.tests) expect(testName(one, loader)).not.toMatch(/[{}]/);
    }
  });
  test.each([
    [0.624, '62 in 100'],
    [0.9951, 'over 99 in 100'],
    [0.001, 'under 1 in 100'],
  ])('%f is said as %s', (chance, words) => expect(chanceWords(chance)).toBe(words));
});
