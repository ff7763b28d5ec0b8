import * as yup from 'yup';
import { isText, type AnyField, type Fields, type ShapeField } from '../../base/schema';

const base = (field: AnyField): yup.AnySchema => {
  switch (field.kind) {
    case 'text':
      return yup
        .string()
        .strict()
        .defined()
        .min(field.min)
        .max(field.max)
        .test('whole', 'whole characters', (value) => value === undefined || isText(value));
    case 'pattern':
      return yup.string().strict().defined().matches(new RegExp(field.pattern), { message: field.means });
    case 'number':
      return yup.number().strict().defined().min(field.min).max(field.max);
    case 'flag':
      return yup.boolean().strict().defined();
    case 'one':
      return yup
        .string()
        .strict()
        .defined()
        .oneOf([...field.values]);
    case 'list':
      return yup
        .array(toYup(field.item as AnyField))
        .strict()
        .defined()
        .min(field.min)
        .max(field.max);
    case 'shape':
      return yup
        .object(yupFields((field as ShapeField).fields))
        .strict()
        .defined()
        .noUnknown(true);
    case 'dictionary': {
      const each = toYup(field.of as AnyField);
      return yup.lazy((value: unknown) =>
        yup
          .object(typeof value === 'object' && value !== null ? yupEach(Object.keys(value), each) : {})
          .strict()
          .defined(),
      ) as unknown as yup.AnySchema;
    }
    case 'nullable':
      return orElse(field.of as AnyField, null);
    case 'optional':
      return orElse(field.of as AnyField, undefined);
  }
};

/** A description, or the one value that stands for nothing. */
function orElse(of: AnyField, nothing: null | undefined): yup.AnySchema {
  const schema = toYup(of);
  if (of.kind !== 'dictionary') return (nothing === null ? schema.nullable() : schema.optional()) as yup.AnySchema;
  // A dictionary is built from the value that it meets, and cannot be told beforehand that there may be none.
  const none = nothing === null ? yup.mixed().nullable().defined() : yup.mixed().optional();
  return yup.lazy((value: unknown) => (value === nothing ? none : schema)) as unknown as yup.AnySchema;
}

const made = new WeakMap<AnyField, yup.AnySchema>();

/**
 * A description as Yup checks it: nothing is coerced and nothing unknown is let through. The same description gives the
 * same schema.
 *
 * @example toYup(shape({ count: number(1, 9) })).isValidSync({ count: 3 }) // true
 */
export function toYup(field: AnyField): yup.AnySchema {
  const known = made.get(field);
  if (known) return known;
  const schema = base(field);
  made.set(field, schema);
  return schema;
}

const yupEach = (keys: readonly string[], each: yup.AnySchema): yup.ObjectShape =>
  Object.fromEntries(keys.map((key) => [key, each]));

/** The fields of a shape, each as Yup checks it. */
export const yupFields = (fields: Fields): yup.ObjectShape =>
  Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, toYup(field)]));
