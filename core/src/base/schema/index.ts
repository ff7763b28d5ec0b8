export {
  day,
  dictionary,
  flag,
  id,
  list,
  nullable,
  number,
  one,
  optional,
  pictureId,
  shape,
  some,
  text,
  time,
  type AnyField,
  type Fields,
  type ListField,
  type NullableField,
  type OptionalField,
  type ShapeField,
  type ShapeValue,
  type ValueOf,
} from './field';
export { firstValue } from './first';
export { fits, overfull } from './fits';
export { jsonSchema, type JsonSchema, type Named } from './jsonSchema';
export { asText, isText, textOfJson } from './plain';
