/*
 * The language in which every stored shape is described, once. A description is plain data: its TypeScript type, its
 * first value, its validator and its JSON Schema are all read off it. Nothing here checks anything.
 */

/** Text of `min` to `max` characters. */
export interface TextField {
  readonly kind: 'text';
  readonly min: number;
  readonly max: number;
}
/** Text of one form: a time, a day, a picture's name. */
export interface PatternField {
  readonly kind: 'pattern';
  readonly pattern: string;
  /** What belongs there, in words, for a refusal. */
  readonly means: string;
}
export interface NumberField {
  readonly kind: 'number';
  readonly min: number;
  readonly max: number;
  /** What it is at first, where it is part of a first value. */
  readonly first?: number;
}
export interface FlagField {
  readonly kind: 'flag';
  readonly first: boolean;
}
/** One of several words; the first of them is what it is at first. */
export interface OneField<V extends string = string> {
  readonly kind: 'one';
  readonly values: readonly V[];
}
export interface ListField<I = AnyField> {
  readonly kind: 'list';
  readonly item: I;
  readonly min: number;
  readonly max: number;
}
export interface ShapeField<F = Fields> {
  readonly kind: 'shape';
  readonly fields: F;
}
/** The value, or null; null at first. */
export interface NullableField<I = AnyField> {
  readonly kind: 'nullable';
  readonly of: I;
}
/** A field that may be missing; missing at first. */
export interface OptionalField<I = AnyField> {
  readonly kind: 'optional';
  readonly of: I;
}

/** Values by any name. */
export interface DictionaryField<I = AnyField> {
  readonly kind: 'dictionary';
  readonly of: I;
}

/* A leaf or a composite; the composites hold any field, which an interface can say of itself and an alias cannot. */
export type AnyField =
  | TextField
  | PatternField
  | NumberField
  | FlagField
  | OneField
  | ListField<unknown>
  | ShapeField<unknown>
  | NullableField<unknown>
  | OptionalField<unknown>
  | DictionaryField<unknown>;
export type Fields = Readonly<Record<string, AnyField>>;

/** The type that a description stands for. For instance ValueOf<typeof timer>: { readonly id: string; … } */
export type ValueOf<F> =
  F extends ShapeField<infer S>
    ? ShapeValue<S>
    : F extends ListField<infer I>
      ? ReadonlyArray<ValueOf<I>>
      : F extends NullableField<infer I>
        ? ValueOf<I> | null
        : F extends OptionalField<infer I>
          ? ValueOf<I>
          : F extends DictionaryField<infer I>
            ? Readonly<Record<string, ValueOf<I>>>
            : F extends OneField<infer V>
              ? V
              : F extends NumberField
                ? number
                : F extends FlagField
                  ? boolean
                  : string;

type Optional<S> = { [K in keyof S]: S[K] extends OptionalField<unknown> ? K : never }[keyof S];
type Flat<T> = { [K in keyof T]: T[K] };

/** The type of an object of such fields. */
export type ShapeValue<S> = Flat<
  { readonly [K in Exclude<keyof S, Optional<S>>]: ValueOf<S[K]> } & {
    readonly [K in Optional<S>]?: ValueOf<S[K]>;
  }
>;

/* Each is marked free of side effects, so that a description which a page does not use is not fetched for it. */

/** Text, bounded so that a runaway file cannot fill the store. Empty is allowed, missing is not. */
/* @__NO_SIDE_EFFECTS__ */
export const text = (max: number, min = 0): TextField => ({ kind: 'text', min, max });
/** A name made by a program: never a path, never a word that a language keeps for itself. */
/* @__NO_SIDE_EFFECTS__ */
export const id = (): PatternField => ({
  kind: 'pattern',
  pattern: '^(?!__proto__$|constructor$|prototype$)[A-Za-z0-9_-][A-Za-z0-9_.-]{0,63}$',
  means: 'an id of letters, digits, _, - and .',
});
/* @__NO_SIDE_EFFECTS__ */
export const number = (min: number, max: number, first?: number): NumberField => ({
  kind: 'number',
  min,
  max,
  ...(first !== undefined && { first }),
});
/* @__NO_SIDE_EFFECTS__ */
export const flag = (first = false): FlagField => ({ kind: 'flag', first });
/* @__NO_SIDE_EFFECTS__ */
export const one = <V extends string>(values: readonly V[]): OneField<V> => ({ kind: 'one', values });
/* @__NO_SIDE_EFFECTS__ */
export const list = <I extends AnyField>(item: I, max: number, min = 0): ListField<I> => ({
  kind: 'list',
  item,
  min,
  max,
});
/* @__NO_SIDE_EFFECTS__ */
export const shape = <F extends Fields>(fields: F): ShapeField<F> => ({ kind: 'shape', fields });
/* @__NO_SIDE_EFFECTS__ */
export const nullable = <I extends AnyField>(of: I): NullableField<I> => ({ kind: 'nullable', of });
/* @__NO_SIDE_EFFECTS__ */
export const dictionary = <I extends AnyField>(of: I): DictionaryField<I> => ({ kind: 'dictionary', of });
/* @__NO_SIDE_EFFECTS__ */
export const optional = <I extends AnyField>(of: I): OptionalField<I> => ({ kind: 'optional', of });

/** A moment in UTC. */
/* @__NO_SIDE_EFFECTS__ */
export const time = (): PatternField => ({
  kind: 'pattern',
  pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d(\\.\\d+)?Z$',
  means: 'a time such as 2026-01-31T09:00:00Z',
});
/** A day, or nothing. */
/* @__NO_SIDE_EFFECTS__ */
export const day = (): PatternField => ({
  kind: 'pattern',
  pattern: '^(\\d{4}-\\d\\d-\\d\\d)?$',
  means: 'a day such as 2026-01-31, or nothing',
});
/** The SHA-256 of a picture's content, in hex. */
/* @__NO_SIDE_EFFECTS__ */
export const pictureId = (): PatternField => ({
  kind: 'pattern',
  pattern: '^[0-9a-f]{64}$',
  means: 'the name of a picture, 64 hex digits',
});

/** The same fields, each of which may be missing: what a change carries. */
/* @__NO_SIDE_EFFECTS__ */
export const some = <F extends Fields>(fields: F): ShapeField<{ [K in keyof F]: OptionalField<F[K]> }> =>
  shape(
    Object.fromEntries(Object.entries(fields).map(([key, field]) => [key, optional(field)])),
  ) as unknown as ShapeField<{
    [K in keyof F]: OptionalField<F[K]>;
  }>;
