import { describe, expect, test } from 'vitest';
import { newComplaint, LOADERS, type QuestionSheet } from '../ticket';
import { questionPage, questionsFor } from '.';

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

describe('the page that goes by mail', () => {
  const sheet = (questions: QuestionSheet['questions']): QuestionSheet =>
    ({ id: 'sheet-1', at: '2026-02-01T10:00:00Z', questions }) as QuestionSheet;
  const page = (machine: string, questions = [{ id: 'label', text: 'A picture, please.' }]) =>
    questionPage({ number: '0147', machine }, sheet(questions));
  test('opens by itself: nothing on it is fetched from anywhere', () => {
    const html = page('Pennerley T9 booth deck');
    expect(html).not.toMatch(/https?:|src="|<link|@import|url\(/);
    expect(html.startsWith('<!doctype html>')).toBe(true);
  });
  test('every question has its field and its place for pictures', () => {
    const questions = questionsFor({ loader: 'carousel', complaints: [complaint('stuck')] });
    const html = page('Oberquist C5 carousel', [...questions]);
    for (const { id } of questions) {
      expect(html).toContain(`id="a-${id}"`);
      expect(html).toContain(`name="${id}"`);
    }
  });
  test('words of a ticket cannot become part of the page', () => {
    const html = page('<img onerror=alert(1)> & "co"', [{ id: 'x', text: '</script><b>bold</b>' }]);
    expect(html).toContain('&lt;img onerror=alert(1)&gt; &amp; &quot;co&quot;');
    expect(html).toContain('&lt;/script&gt;&lt;b&gt;bold');
    // One script begins and one ends, whatever was typed.
    expect(html.match(/<\/script>/g)).toHaveLength(1);
  });
  test('says what not to do before it asks anything', () => {
    const html = page('');
    expect(html.indexOf('Please do not open it')).toBeLessThan(html.indexOf('<ol>'));
    expect(html).toContain('Your machine, ticket 0147');
  });
});
