import { describe, expect, test } from 'vitest';
import { questionsFor } from '@loose-pulley/core/views/remoteIntake';
import { questionPage } from './questionPage';
import { newComplaint, type QuestionSheet } from '@loose-pulley/core/record/stations';

describe('the page that goes by mail', () => {
  const sheet = (questions: QuestionSheet['questions']): QuestionSheet => ({
    id: 'sheet-1',
    at: '2026-02-01T10:00:00Z',
    questions,
  });
  const page = (machine: string, questions = [{ id: 'label', text: 'A picture, please.' }]) =>
    questionPage({ number: '0147', machine }, sheet(questions));
  test('opens by itself: nothing on it is fetched from anywhere', () => {
    const html = page('Pennerley T9 booth deck');
    expect(html).not.toMatch(/https?:|src="|<link|@import|url\(/);
    expect(html.startsWith('<!doctype html>')).toBe(true);
  });
  test('every question has its field and its place for pictures', () => {
    const questions = questionsFor({ loader: 'carousel', complaints: [newComplaint('k1', 'stuck')] });
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
  test('cannot be broken out of by what somebody typed', () => {
    const page = questionPage(
      { number: '1</script><script>alert(1)</script>', machine: '<img src=x>' },
      { id: 's1', at: '', questions: [{ id: 'q1', text: 'a < b & "c" </script>' }] },
    );
    expect(page.match(/<script>/g)).toHaveLength(1);
    expect(page.match(/<\/script>/g)).toHaveLength(1);
    expect(page).not.toContain('<img src=x>');
    expect(page).not.toMatch(/https?:|<(img|link|script|iframe)\b[^>]*=/);
  });
});
