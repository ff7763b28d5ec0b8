import type { AnyField, Fields, ShapeField } from './field';
import { isText } from './plain';

/* Each description is made into a check of its own at its first use, since a bench's archive asks millions of times. */

type Check = (value: unknown) => boolean;

const isObject = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const checks = new WeakMap<AnyField, Check>();
function checkOf(field: AnyField): Check {
  const known = checks.get(field);
  if (known) return known;
  const made = makeCheck(field);
  checks.set(field, made);
  return made;
}

function makeCheck(field: AnyField): Check {
  switch (field.kind) {
    case 'text': {
      const { min, max } = field;
      return (value) => typeof value === 'string' && value.length >= min && value.length <= max && isText(value);
    }
    case 'pattern': {
      const pattern = new RegExp(field.pattern);
      return (value) => typeof value === 'string' && pattern.test(value);
    }
    case 'number': {
      const { min, max } = field;
      return (value) => typeof value === 'number' && value >= min && value <= max;
    }
    case 'flag':
      return (value) => typeof value === 'boolean';
    case 'one': {
      const values = new Set<unknown>(field.values);
      return (value) => values.has(value);
    }
    case 'list': {
      const item = checkOf(field.item as AnyField);
      const { min, max } = field;
      return (value) => Array.isArray(value) && value.length >= min && value.length <= max && value.every(item);
    }
    case 'dictionary': {
      const item = checkOf(field.of as AnyField);
      return (value) => isObject(value) && Object.values(value).every(item);
    }
    case 'nullable': {
      const of = checkOf(field.of as AnyField);
      return (value) => value === null || of(value);
    }
    case 'optional': {
      const of = checkOf(field.of as AnyField);
      return (value) => value === undefined || of(value);
    }
    case 'shape':
      return shapeCheck((field as ShapeField).fields);
  }
}

function shapeCheck(fields: Fields): Check {
  const known = new Set(Object.keys(fields));
  const each = Object.entries(fields).map(([key, field]) => [key, checkOf(field), field.kind === 'optional'] as const);
  return (value) => {
    if (!isObject(value)) return false;
    for (const key of Object.keys(value)) if (!known.has(key)) return false;
    for (const [key, check, optional] of each) {
      if (!Object.hasOwn(value, key) ? !optional : !check(value[key])) return false;
    }
    return true;
  };
}

/**
 * Whether a value is what a description says: the quick answer, without a word why. What is refused is worded by the
 * importer's own validator, which a test holds to this one.
 *
 * Cost: some ten nanoseconds a field.
 *
 * @example fits(number(1, 9), 4) // true
 */
export const fits = (field: AnyField, value: unknown): boolean => checkOf(field)(value);

/** The most that a list below a value takes which holds more than that. */
type Most = (value: unknown) => number | undefined;
/** Null where a description has no list anywhere in it. */
const mosts = new WeakMap<AnyField, Most | null>();
function mostOf(field: AnyField): Most | null {
  const known = mosts.get(field);
  if (known !== undefined) return known;
  const made = makeMost(field);
  mosts.set(field, made);
  return made;
}

function makeMost(field: AnyField): Most | null {
  switch (field.kind) {
    case 'list': {
      const { max } = field;
      const item = mostOf(field.item as AnyField);
      return (value) => {
        const items = value as readonly unknown[];
        return items.length > max ? max : item ? firstFound(items, item) : undefined;
      };
    }
    case 'dictionary': {
      const item = mostOf(field.of as AnyField);
      return item && ((value) => firstFound(Object.values(value as object), item));
    }
    case 'nullable':
    case 'optional': {
      const of = mostOf(field.of as AnyField);
      return of && ((value) => (value === null || value === undefined ? undefined : of(value)));
    }
    case 'shape': {
      const each = Object.entries((field as ShapeField).fields).flatMap(([key, of]) => {
        const most = mostOf(of);
        return most ? [[key, most] as const] : [];
      });
      if (each.length === 0) return null;
      return (value) => {
        for (const [key, most] of each) {
          const below = (value as Readonly<Record<string, unknown>>)[key];
          const found = below === undefined ? undefined : most(below);
          if (found !== undefined) return found;
        }
        return undefined;
      };
    }
    default:
      return null;
  }
}

function firstFound(items: readonly unknown[], most: Most): number | undefined {
  for (const item of items) {
    const found = most(item);
    if (found !== undefined) return found;
  }
  return undefined;
}

/**
 * The most that a list takes which holds more than that; undefined where all of them fit. Only lists are looked at, so
 * that a large ticket can be asked after every event.
 *
 * @example overfull(list(flag(), 2), [true, true, true]) // 2
 */
export const overfull = (field: AnyField, value: unknown): number | undefined =>
  value === null || value === undefined ? undefined : mostOf(field)?.(value);
