import { describe, expect, test } from 'vitest';
import fc from 'fast-check';
import Ajv from 'ajv';
import { arbitraryOf } from '../../../fixtures/arbitrary';
import {
  asText,
  day,
  dictionary,
  firstValue,
  fits,
  flag,
  id,
  isText,
  jsonSchema,
  list,
  nullable,
  number,
  one,
  optional,
  overfull,
  shape,
  text,
  time,
  type AnyField,
  textOfJson,
} from '.';

/** Any description, three deep at most. */
const anyField: fc.Arbitrary<AnyField> = fc.letrec<{ field: AnyField }>((tie) => ({
  field: fc.oneof(
    { depthSize: 'small', maxDepth: 3 },
    fc.constantFrom<AnyField>(text(8), number(-5, 5), flag(), one(['a', 'b']), id(), time(), day()),
    tie('field').map((item) => list(item, 3)),
    tie('field').map((of) => nullable(of)),
    tie('field').map((of) => dictionary(of)),
    fc
      .tuple(tie('field'), tie('field'))
      .map(([first, second]) => shape({ first, ...(second.kind !== 'optional' && { second: optional(second) }) })),
  ),
})).field;
const withValue = anyField.chain((field) => arbitraryOf(field).map((value) => ({ field, value })));

describe('a description', () => {
  test('takes whatever it draws, and so does the JSON Schema that is read off it', () => {
    const ajv = new Ajv({ strict: false });
    fc.assert(
      fc.property(withValue, ({ field, value }) => {
        expect(fits(field, value)).toBe(true);
        expect(ajv.validate(jsonSchema(field), JSON.parse(JSON.stringify(value)))).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
  test('agrees with its JSON Schema on anything else that JSON can hold', () => {
    const ajv = new Ajv({ strict: false });
    fc.assert(
      fc.property(anyField, fc.jsonValue({ maxDepth: 2 }), (field, value) => {
        // Half a character is no text to either; the schema language cannot say so.
        fc.pre(!/\\ud[89a-f]/i.test(JSON.stringify(value)));
        expect(fits(field, value)).toBe(ajv.validate(jsonSchema(field), value));
      }),
      { numRuns: 300 },
    );
  });
  test('a field that is not known is refused, one that is missing too, an optional one is not', () => {
    const told = shape({ name: text(4, 1), note: optional(text(4)) });
    expect(fits(told, { name: 'a' })).toBe(true);
    expect(fits(told, { name: 'a', note: '' })).toBe(true);
    expect(fits(told, { note: 'b' })).toBe(false);
    expect(fits(told, { name: 'a', other: 1 })).toBe(false);
    expect(fits(told, { name: '' })).toBe(false);
  });
});

describe('limits', () => {
  test('are what is allowed, to the last of it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 60 }), (most, length) => {
        expect(fits(text(most), 'x'.repeat(length))).toBe(length <= most);
        expect(
          fits(
            list(flag(), most),
            Array.from({ length }, () => true),
          ),
        ).toBe(length <= most);
        expect(fits(number(-most, most), length)).toBe(length <= most);
      }),
    );
    for (const none of [NaN, Infinity, '3', null]) expect(fits(number(0, 5), none), String(none)).toBe(false);
  });
  test('the most that a list takes is told where it holds more, however deep it lies', () => {
    const deep = shape({ drives: list(shape({ readings: list(number(0, 9), 2) }), 5) });
    expect(overfull(deep, { drives: [{ readings: [1, 2] }] })).toBeUndefined();
    expect(overfull(deep, { drives: [{ readings: [1, 2, 3] }] })).toBe(2);
    expect(overfull(deep, { drives: Array.from({ length: 6 }, () => ({ readings: [] })) })).toBe(5);
  });
});

test('what a ticket begins with is what its description takes', () => {
  const part = shape({
    state: one(['open', 'done']),
    on: nullable(day()),
    of: list(id(), 3),
    on2: flag(),
    n: number(0, 9),
  });
  const first = firstValue(part);
  expect(fits(part, first)).toBe(true);
  expect(first).toMatchObject({ state: 'open', on: null, of: [] });
});

describe('what is text', () => {
  // Unicode general category Cc, but the three that every editor writes; and halves of a character (category Cs).
  test('control characters and halves of a character go, out of words and out of JSON, and nothing else does', () => {
    const words = fc.string({
      unit: fc.oneof(
        fc.constantFrom(
          '\\',
          '"',
          'u0000',
          'b',
          '\n',
          '\t',
          '\r',
          '\u0000',
          '\b',
          '\f',
          '\u001b',
          '\u007f',
          '\u0085',
          'Ø',
        ),
        fc.string({ unit: 'grapheme', minLength: 1, maxLength: 1 }),
      ),
    });
    fc.assert(
      fc.property(words, (text) => {
        const plain = [...text].filter((sign) => '\t\n\r'.includes(sign) || !/[\p{Cc}\p{Cs}]/u.test(sign)).join('');
        expect(asText(text)).toBe(plain);
        expect(isText(text)).toBe(text === plain);
        expect(JSON.parse(textOfJson(JSON.stringify({ [text]: [text] })))).toEqual({ [plain]: [plain] });
      }),
      { numRuns: 500 },
    );
  });
});
