/** Joins class names, leaving out what is false. */
export const cx = (...names: ReadonlyArray<string | false | null | undefined>): string =>
  names.filter(Boolean).join(' ');
