import type { ShapeValue } from '../../base/schema';

/** Each event in a few words, for undo; looked up in the state before it. No case may be missing. */
export type Says<S, E> = {
  readonly [T in keyof E]: (event: { readonly type: T } & ShapeValue<E[T]>, state: S) => string;
};
