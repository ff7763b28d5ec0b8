/** One place where two documents differ. */
export interface Difference {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

/**
 * Where two plain documents differ, in reading order, down to the single values. The order of keys does not matter,
 * that of lists does.
 *
 * @param most stop after so many
 * @example differences({ a: [1, 2] }, { a: [1, 3] }) // [{ path: 'a[1]', mine: 2, theirs: 3 }]
 */
export function differences(mine: unknown, theirs: unknown, most = Infinity, path = ''): Difference[] {
  if (Object.is(mine, theirs)) return [];
  if (!isObject(mine) || !isObject(theirs) || Array.isArray(mine) !== Array.isArray(theirs)) {
    return [{ path, mine, theirs }];
  }
  const found: Difference[] = [];
  const inList = Array.isArray(mine);
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    if (found.length >= most) break;
    const below = inList ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;
    found.push(...differences(mine[key], theirs[key], most - found.length, below));
  }
  return found;
}
