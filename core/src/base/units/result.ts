/**
 * What a function returns when the input may be wrong through no fault of the program: the value, or one sentence
 * for the bench that says what was read, what is allowed and what to do.
 */
export type Result<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: string };

/** Wraps a value; refuses nothing. @example ok(3) // { ok: true, value: 3 } */
export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

/** Wraps a sentence. @example refuse('Read “x”. Type a number.').ok // false */
export const refuse = (problem: string): { readonly ok: false; readonly problem: string } => ({ ok: false, problem });
