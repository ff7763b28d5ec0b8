import type { AnyField, ShapeField, ValueOf } from './field';

function firstOf(field: AnyField): unknown {
  switch (field.kind) {
    case 'text':
    case 'pattern':
      return '';
    case 'number':
      return field.first ?? 0;
    case 'flag':
      return field.first;
    case 'one':
      return field.values[0];
    case 'list':
      return [];
    case 'dictionary':
      return {};
    case 'nullable':
      return null;
    case 'optional':
      return undefined;
    case 'shape':
      return firstShape(field as ShapeField);
  }
}

function firstShape({ fields }: ShapeField): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(fields).flatMap(([key, field]) => (field.kind === 'optional' ? [] : [[key, firstOf(field)]])),
  );
}

/** What was made already: shared, since nothing stored is ever changed in place. */
const made = new WeakMap<ShapeField, Record<string, unknown>>();
function shared(field: ShapeField): Record<string, unknown> {
  const known = made.get(field) ?? firstShape(field);
  made.set(field, known);
  return known;
}

/**
 * A shape as it is before anything is said: texts empty, lists empty, what may be null null, a choice its first word,
 * numbers their own first value or 0. What may be missing is missing.
 *
 * @example firstValue(shape({ name: text(40), mains: nullable(text(9)) })) // { name: '', mains: null }
 */
/* @__NO_SIDE_EFFECTS__ */
export const firstValue = <F extends ShapeField<unknown>>(field: F): ValueOf<F> =>
  shared(field as ShapeField) as ValueOf<F>;
