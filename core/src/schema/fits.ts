import type { AnyField, Fields, ShapeField } from './field';

const patterns = new Map<string, RegExp>();
function matches(pattern: string, value: string): boolean {
  const known = patterns.get(pattern) ?? new RegExp(pattern);
  patterns.set(pattern, known);
  return known.test(value);
}

/** Half of a character that UTF-16 writes in two: it cannot be written to a file as it is. */
const HALF_CHARACTER = /\p{Surrogate}/u;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Whether a value is what a description says: the quick answer, without a word why. What is refused is worded by the
 * importer's own validator, which a test holds to this one.
 *
 * Cost: some hundred nanoseconds a field.
 *
 * @example fits(number(1, 9), 4) // true
 */
export function fits(field: AnyField, value: unknown): boolean {
  switch (field.kind) {
    case 'text':
      return (
        typeof value === 'string' &&
        value.length >= field.min &&
        value.length <= field.max &&
        !HALF_CHARACTER.test(value)
      );
    case 'pattern':
      return typeof value === 'string' && matches(field.pattern, value);
    case 'number':
      return typeof value === 'number' && value >= field.min && value <= field.max;
    case 'flag':
      return typeof value === 'boolean';
    case 'one':
      return typeof value === 'string' && field.values.includes(value);
    case 'list':
      return (
        Array.isArray(value) &&
        value.length >= field.min &&
        value.length <= field.max &&
        value.every((item) => fits(field.item as AnyField, item))
      );
    case 'dictionary':
      return isObject(value) && Object.values(value).every((item) => fits(field.of as AnyField, item));
    case 'nullable':
      return value === null || fits(field.of as AnyField, value);
    case 'optional':
      return value === undefined || fits(field.of as AnyField, value);
    case 'shape':
      return isObject(value) && fieldsFit((field as ShapeField).fields, value);
  }
}

function fieldsFit(fields: Fields, value: Readonly<Record<string, unknown>>): boolean {
  for (const key of Object.keys(value)) if (!Object.hasOwn(fields, key)) return false;
  for (const [key, field] of Object.entries(fields)) {
    if (!Object.hasOwn(value, key) ? field.kind !== 'optional' : !fits(field, value[key])) return false;
  }
  return true;
}

const holding = new WeakMap<AnyField, boolean>();
/** Whether a description has a list anywhere in it; worked out once. */
function holdsList(field: AnyField): boolean {
  const known = holding.get(field);
  if (known !== undefined) return known;
  const inner =
    field.kind === 'shape'
      ? Object.values((field as ShapeField).fields)
      : field.kind === 'nullable' || field.kind === 'optional' || field.kind === 'dictionary'
        ? [field.of as AnyField]
        : [];
  const holds = field.kind === 'list' || inner.some(holdsList);
  holding.set(field, holds);
  return holds;
}

/**
 * The most that a list takes which holds more than that; undefined where all of them fit. Only lists are looked at, so
 * that a large ticket can be asked after every event.
 *
 * @example overfull(list(flag(), 2), [true, true, true]) // 2
 */
export function overfull(field: AnyField, value: unknown): number | undefined {
  if (value === null || value === undefined || !holdsList(field)) return undefined;
  if (field.kind === 'list') {
    const items = value as readonly unknown[];
    if (items.length > field.max) return field.max;
    return holdsList(field.item as AnyField)
      ? firstOf(items, (item) => overfull(field.item as AnyField, item))
      : undefined;
  }
  if (field.kind === 'shape') {
    const record = value as Readonly<Record<string, unknown>>;
    return firstOf(Object.entries((field as ShapeField).fields), ([key, of]) => overfull(of, record[key]));
  }
  if (field.kind === 'dictionary') return firstOf(Object.values(value), (item) => overfull(field.of as AnyField, item));
  return field.kind === 'nullable' || field.kind === 'optional' ? overfull(field.of as AnyField, value) : undefined;
}
function firstOf<T>(items: readonly T[], of: (item: T) => number | undefined): number | undefined {
  for (const item of items) {
    const found = of(item);
    if (found !== undefined) return found;
  }
  return undefined;
}
