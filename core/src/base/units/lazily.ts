/**
 * A constant that is made when it is first wanted: what takes milliseconds, a page that opens need not pay for.
 *
 * @example lazily(() => 2 + 2)() // 4
 */
export const lazily = <T>(make: () => T): (() => T) => {
  let made: { readonly value: T } | undefined;
  return () => (made ??= { value: make() }).value;
};
