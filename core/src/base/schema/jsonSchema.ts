import type { AnyField, Fields, ShapeField } from './field';

/** A piece of JSON Schema, draft 7. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/** Shapes that are written once and referred to by name: the same description, wherever it stands, is the same entry. */
export type Named = Readonly<Record<string, AnyField>>;

/**
 * A description as JSON Schema. A shape lets nothing unknown through; what may be missing is not required.
 *
 * @param named descriptions that stand under `$defs`; each is told by identity
 * @example jsonSchema(shape({ count: number(1, 9) })) // { type: 'object', additionalProperties: false }
 */
export function jsonSchema(field: AnyField, named: Named = {}, self?: string): JsonSchema {
  const name = Object.entries(named).find(([key, one]) => one === field && key !== self)?.[0];
  if (name !== undefined) return { $ref: `#/$defs/${name}` };
  const inner = (one: unknown): JsonSchema => jsonSchema(one as AnyField, named);
  switch (field.kind) {
    case 'text':
      return { type: 'string', ...(field.min > 0 && { minLength: field.min }), maxLength: field.max };
    case 'pattern':
      return { type: 'string', pattern: field.pattern };
    case 'number':
      return { type: 'number', minimum: field.min, maximum: field.max };
    case 'flag':
      return { type: 'boolean' };
    case 'one':
      return field.values.length === 1 ? { const: field.values[0] } : { enum: field.values };
    case 'list':
      return {
        type: 'array',
        ...(field.min > 0 && { minItems: field.min }),
        maxItems: field.max,
        items: inner(field.item),
      };
    case 'dictionary':
      return { type: 'object', additionalProperties: inner(field.of) };
    case 'nullable':
      return { anyOf: [inner(field.of), { type: 'null' }] };
    case 'optional':
      return inner(field.of);
    case 'shape':
      return objectSchema((field as ShapeField).fields, inner);
  }
}

const objectSchema = (fields: Fields, inner: (field: unknown) => JsonSchema): JsonSchema => ({
  type: 'object',
  additionalProperties: false,
  required: Object.keys(fields).filter((key) => fields[key]?.kind !== 'optional'),
  properties: Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, inner(field)])),
});
