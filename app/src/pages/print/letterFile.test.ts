import { expect, test } from 'vitest';
import { letterFile } from './letterFile';

test('words are never taken for markup', () => {
  const page = letterFile(
    '0147 <T9>',
    [{ heading: 'What we did', sentences: [{ text: 'Belt < 120 & "tight" <script>alert(1)</script>', rests: [] }] }],
    'Bench <1>',
    '1 May 2027',
  );
  expect(page).toContain('Bench &lt;1&gt;, 1 May 2027');
  expect(page).toContain('<h1>0147 &lt;T9&gt;</h1>');
  expect(page).toContain('Belt &lt; 120 &amp; &quot;tight&quot; &lt;script&gt;');
  expect(page).not.toContain('<script');
});

test('nothing is fetched: the page has no link, picture or script', () => {
  expect(letterFile('0147', [], '', '1 May 2027')).not.toMatch(/(src|href)=|<script|@import|url\(/);
});
