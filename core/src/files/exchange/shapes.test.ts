import Ajv from 'ajv';
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import {
  day,
  dictionary,
  firstValue,
  fits,
  flag,
  id,
  jsonSchema,
  list,
  nullable,
  number,
  one,
  optional,
  overfull,
  pictureId,
  shape,
  some,
  text,
  time,
  type AnyField,
} from '../../base/schema';
import { toYup } from './toYup';

/* One description, three checkers that know nothing of one another: Yup, the JSON Schema read by Ajv (draft 7), and the quick one. */

const ajv = new Ajv({ strict: true });
const accepts = (field: AnyField) => {
  const validate = ajv.compile(jsonSchema(field));
  const schema = toYup(field);
  return (value: unknown) => ({
    byYup: schema.isValidSync(value),
    byJsonSchema: validate(value),
    quickly: fits(field, value),
  });
};
const both = (held: boolean) => ({ byYup: held, byJsonSchema: held, quickly: held });

describe('each kind of field lets through what it describes and nothing else, for both checkers', () => {
  test.each<readonly [string, AnyField, readonly unknown[], readonly unknown[]]>([
    ['text', text(3, 1), ['a', 'abc'], ['', 'abcd', 3, null, undefined, ['a'], {}]],
    ['text that may be empty', text(3), ['', 'abc'], ['abcd', null, undefined]],
    ['number', number(1, 9), [1, 4.5, 9], [0.99, 9.01, '4', null, undefined, NaN]],
    ['flag', flag(), [true, false], [0, 'true', null, undefined]],
    ['choice', one(['a', 'b']), ['a', 'b'], ['c', '', null, undefined, 0]],
    ['single choice', one(['a']), ['a'], ['b', null]],
    ['list', list(number(0, 1), 2, 1), [[0], [0, 1]], [[], [0, 1, 0], [2], ['0'], 0, null, undefined]],
    ['nullable', nullable(number(0, 1)), [0, null], [2, '0', undefined]],
    ['dictionary', dictionary(number(0, 1)), [{}, { a: 0, b: 1 }], [{ a: 2 }, { a: null }, 0, null]],
    ['time', time(), ['2026-01-31T09:00:00Z', '2026-01-31T09:00:00.123Z'], ['2026-01-31', 'now', '', 0, null]],
    ['day', day(), ['', '2026-01-31'], ['31.1.2026', '2026-1-31', 0, null, undefined]],
    ['picture', pictureId(), ['0af9'.repeat(16)], ['0af9'.repeat(15), 'G'.repeat(64), '', null]],
    [
      'shape',
      shape({ name: text(9), count: optional(number(0, 9)) }),
      [{ name: '' }, { name: 'a', count: 3 }],
      [{}, { count: 3 }, { name: 'a', count: null }, { name: 'a', other: 1 }, { name: 1 }, [], null, 0],
    ],
    [
      'dictionaries that may be null or missing',
      shape({ a: nullable(dictionary(flag())), b: optional(dictionary(flag())) }),
      [{ a: null }, { a: {}, b: {} }, { a: { x: true }, b: { y: false } }],
      [{}, { a: null, b: null }, { a: { x: 1 } }, { a: null, b: { y: 1 } }],
    ],
    ['changes', some({ name: text(9), on: flag() }), [{}, { on: true }], [{ on: 1 }, { off: true }, null]],
  ])('%s', (_, field, good, bad) => {
    const check = accepts(field);
    for (const value of good) expect(check(value), JSON.stringify(value)).toEqual(both(true));
    for (const value of bad) expect(check(value), String(JSON.stringify(value))).toEqual(both(false));
  });
});

/** Any description that a station might write, three deep. */
const { field: anyField } = fc.letrec<{ field: AnyField; leaf: AnyField }>((tie) => ({
  leaf: fc.oneof(
    fc.nat(5).map((max) => text(max)),
    fc.tuple(fc.integer({ min: -9, max: 0 }), fc.nat(9)).map(([min, max]) => number(min, max)),
    fc.boolean().map((first) => flag(first)),
    fc
      .uniqueArray(fc.string({ minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 3 })
      .map((values) => one(values)),
    fc.constant(day()),
  ),
  field: fc.oneof(
    { depthSize: 'small', withCrossShrink: true },
    tie('leaf'),
    tie('field').map((of) => nullable(of.kind === 'nullable' || of.kind === 'optional' ? text(2) : of)),
    tie('field').map((item) => list(item.kind === 'optional' ? text(2) : item, 3)),
    tie('field').map((of) => dictionary(of.kind === 'optional' ? text(2) : of)),
    fc
      .dictionary(fc.constantFrom('a', 'b', 'c'), tie('field'), { minKeys: 1, maxKeys: 3 })
      .map((fields) => shape({ ...fields, own: optional(flag()) })),
  ),
}));

test('what is there before anything was said is what the description lets through', () => {
  fc.assert(
    fc.property(anyField, (field) => {
      const whole = shape({ field });
      expect(accepts(whole)(firstValue(whole))).toEqual(both(true));
    }),
    { numRuns: 150 },
  );
});

test('the three checkers agree on anything at all', () => {
  const junk = fc
    .anything({ maxDepth: 2, withNullPrototype: false, withSparseArray: false, maxKeys: 3 })
    .map((value) => {
      // Only what a file can hold: what JSON cannot write is not asked of either.
      const written = JSON.stringify(value);
      return written === undefined ? null : (JSON.parse(written) as unknown);
    });
  fc.assert(
    fc.property(anyField, junk, (field, value) => {
      const { byYup, byJsonSchema, quickly } = accepts(shape({ field }))({ field: value });
      expect([byYup, quickly]).toEqual([byJsonSchema, byJsonSchema]);
    }),
    { numRuns: 250 },
  );
});

test('half a character and names that a language keeps for itself are let in nowhere', () => {
  for (const value of ['\ud800', 'a\udc00b']) {
    expect([toYup(text(9)).isValidSync(value), fits(text(9), value)]).toEqual([false, false]);
  }
  for (const value of ['..', '__proto__', 'constructor', 'a/b', '', 'ä']) {
    expect([toYup(id()).isValidSync(value), fits(id(), value)], value).toEqual([false, false]);
  }
  // A whole one, written in two halves, is none of them.
  expect(fits(text(9), '🔧')).toBe(true);
});

test('a list that holds too many is found wherever it stands', () => {
  const kept = shape({
    name: text(9),
    parts: list(shape({ marks: list(flag(), 2) }), 3),
    by: dictionary(list(flag(), 1)),
  });
  const value = (marks: number, parts: number, by: number) => ({
    name: 'a',
    parts: Array.from({ length: parts }, () => ({ marks: Array.from({ length: marks }, () => true) })),
    by: { one: Array.from({ length: by }, () => true) },
  });
  expect([value(2, 3, 1), value(3, 1, 1), value(0, 4, 0), value(0, 0, 2)].map((one) => overfull(kept, one))).toEqual([
    undefined,
    2,
    3,
    1,
  ]);
});

test('what may be missing is missing at first, and a choice is its first word', () => {
  const described = shape({
    name: text(9),
    count: number(2, 9, 4),
    on: flag(true),
    kind: one(['plain', 'other']),
    since: nullable(time()),
    parts: list(text(9), 3),
    by: dictionary(text(9)),
    told: optional(text(9)),
  });
  expect(firstValue(described)).toEqual({
    name: '',
    count: 4,
    on: true,
    kind: 'plain',
    since: null,
    parts: [],
    by: {},
  });
});

test('a shape that stands in two places is written once, under its name', () => {
  const named = shape({ length: number(0, 9) });
  const schema = jsonSchema(shape({ a: named, b: list(named, 2) }), { belt: named });
  expect(schema).toMatchObject({
    properties: { a: { $ref: '#/$defs/belt' }, b: { items: { $ref: '#/$defs/belt' } } },
  });
  // Under its own name it is written out, not a reference to itself.
  expect(jsonSchema(named, { belt: named }, 'belt')).toMatchObject({ type: 'object', required: ['length'] });
});
