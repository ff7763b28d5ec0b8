import { describe, expect, test } from 'vitest';
import { questionsFor } from './';
import { newComplaint } from '../../record/stations';
import { LOADERS } from '../../base/loaders';

const complaint = (words: string, state: 'open' | 'cured' = 'open') => ({
  ...newComplaint(`k-${words}`, words),
  state,
});
const texts = (loader: (typeof LOADERS)[number]) =>
  questionsFor({ loader, complaints: [complaint('shy on cold mornings')] }).map(({ text }) => text);

describe('what an owner far away is asked', () => {
  test.each(LOADERS)('%s: their own words first, each question once, nothing that opens the machine', (loader) => {
    const questions = questionsFor({ loader, complaints: [complaint('shy on cold mornings')] });
    expect(questions[0]?.text).toContain('“shy on cold mornings”');
    expect(new Set(questions.map(({ id }) => id)).size).toBe(questions.length);
    for (const { text } of questions) {
      expect(text).not.toMatch(/screw|lid|cover off|unscrew|belt off/i);
      expect(text).toMatch(/[.?]$/);
    }
  });
  test('a disk drive has no tray and no disc, a slot loader is asked of a second disc', () => {
    expect(texts('diskDrive').join(' ')).not.toMatch(/\btray\b|\bdisc\b|drawer/);
    expect(texts('slot').join(' ')).toContain('disc held to the slot');
    expect(texts('tray').join(' ')).not.toContain('disc held to the slot');
  });
  test('what is cured or was left empty is not asked again', () => {
    const asked = questionsFor({ loader: 'tray', complaints: [complaint('hums', 'cured'), complaint('  ')] });
    expect(asked.some(({ text }) => text.includes('You said'))).toBe(false);
  });
  test('the plug comes out before the machine is tipped', () => {
    expect(texts('tray').find((text) => text.includes('tip it'))).toMatch(/^Pull the plug/);
  });
});
