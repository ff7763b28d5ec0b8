import * as yup from 'yup';

/* The fields of which the stored format is made: nothing is coerced and nothing unknown is let through. */

/** Text, bounded so that a runaway file cannot fill the store. Empty is allowed, missing is not. */
export const text = (most: number) => yup.string().strict().defined().max(most);
export const id = () => text(64).min(1);
export const number = (least: number, most: number) => yup.number().strict().defined().min(least).max(most);
export const flag = () => yup.boolean().strict().defined();
export const one = <T extends string>(values: readonly T[]) =>
  yup
    .string()
    .strict()
    .defined()
    .oneOf([...values]);
export const shape = (fields: yup.ObjectShape) => yup.object(fields).strict().defined().noUnknown(true);
export const listOf = (item: yup.ISchema<unknown>, most: number) =>
  yup
    .array(item as yup.AnySchema)
    .strict()
    .defined()
    .max(most);
export const time = () =>
  yup
    .string()
    .strict()
    .defined()
    .matches(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z$/);
/** A day, or nothing. */
export const day = () =>
  yup
    .string()
    .strict()
    .defined()
    .matches(/^(\d{4}-\d\d-\d\d)?$/);
/** The same fields, each of which may be missing: what a change carries. */
export const some = (fields: Record<string, yup.AnySchema>) =>
  shape(Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, field.optional()])));
export const pictureId = () =>
  yup
    .string()
    .strict()
    .defined()
    .matches(/^[0-9a-f]{64}$/);
