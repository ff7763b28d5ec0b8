import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import { WORD_ROLES } from '../../base/spoken';
import { METHODS, takeReading, type Method } from '../measuring';
import { accountOfReading, takeLine } from '.';

const WAYS = METHODS.filter(({ measurand, words }) => measurand === 'oldBelt' && words.length > 0);
/** Of “doubled” the first way that has the word is meant. */
const byWord: ReadonlyArray<readonly [word: string, method: Method]> = WAYS.flatMap((method) =>
  method.words.map((word) => [word, method] as const),
);

describe('a typed line', () => {
  test.each(byWord.map(([word, method]) => [word, method] as const))(
    '“%s 60” is the same reading as its field',
    (word, method) => {
      const amount = Math.min(Math.max(60, method.min), method.max);
      const line = takeLine(`${word} ${amount}`, 'none', 1.2, { unit: 'mm' });
      const field = takeReading(String(amount), method, { unit: 'mm', aux: { sectionMm: 1.2 } });
      expect(line.state, word).toBe(field.state);
      if (line.state !== 'reading' || field.state !== 'reading') return;
      expect(line.method.id).toBe(method.id);
      expect(line.read?.value).toBe(field.read?.value);
    },
  );
  test.each([
    ['116', 'overCap', 'a length over a cap: 364 mm round'],
    ['999', 'doubledOuter', 'a belt of two metres'],
    ['0', 'doubledOuter', 'nothing measures 0'],
    ['-6', 'overCap', 'negative'],
    ['6.4', 'doubledOuter', 'a belt of 8 mm'],
  ])('“%s” %s (%s) is taken no more than in a field', (text, id) =>
    expect(takeLine(`${text}, section 1.2`, id, undefined, { unit: 'mm' }).state).not.toBe('reading'),
  );
  test('what is said as about so much is known less well', () => {
    const std = (text: string): number => {
      const taken = takeLine(text, 'overCap', undefined, { unit: 'mm' });
      return taken.state === 'reading' ? (taken.read?.std ?? NaN) : NaN;
    };
    expect(std('about 41 over a cap')).toBeGreaterThan(3 * std('41 over a cap'));
  });
  test('a section that cannot be is refused by what it was read as', () =>
    expect(takeLine('doubled flat 66.4, section 12', 'overCap', undefined, { unit: 'mm' })).toMatchObject({
      state: 'refusal',
      problem: 'Read section 12.0 mm. Allowed: 0.3 to 8 mm.',
    }));
  test('law: whatever is typed, it is one of the four and never throws; each word is accounted for', () => {
    const words = fc.constantFrom(
      'doubled',
      'flat',
      '66.4',
      '1.2',
      'section',
      'square',
      ',',
      'no',
      'x',
      '3/4',
      'in',
      'about',
      'zz',
      '+',
      'point',
      'one',
    );
    fc.assert(
      fc.property(
        fc.oneof(
          fc.string(),
          fc.array(words, { maxLength: 9 }).map((all) => all.join(' ')),
        ),
        (text) => {
          const taken = takeLine(text, 'overCap', undefined, { unit: 'mm' });
          expect(['reading', 'refusal', 'doubt', 'question']).toContain(taken.state);
          if (taken.state === 'question') expect(taken.ways.length).toBeGreaterThan(0);
          const told = accountOfReading(text);
          expect(told.map(({ word }) => word)).toEqual(text.match(/\S+/g) ?? []);
          for (const { role } of told) expect(WORD_ROLES).toContain(role);
        },
      ),
    );
  });
  test('law: commas and the order of its parts change nothing', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(['doubled flat 66.4', 'section 1.2', 'square'], { minLength: 3 }),
        fc.constantFrom(', ', ' ', '; '),
        (parts, between) => {
          const taken = takeLine(parts.join(between), 'overCap', undefined, { unit: 'mm' });
          expect(taken).toMatchObject({ state: 'reading', amount: 66.4, aux: { sectionMm: 1.2 } });
        },
      ),
    );
  });
});
