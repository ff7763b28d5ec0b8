/** One place where two documents differ. */
export interface Difference {
  readonly path: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

const isObject = (value: unknown): value is Record<string, unknown> => typeof value === 'object' && value !== null;

/** Whether two plain documents hold the same. */
function same(mine: unknown, theirs: unknown): boolean {
  if (Object.is(mine, theirs)) return true;
  if (!isObject(mine) || !isObject(theirs)) return false;
  if (Array.isArray(mine)) {
    if (!Array.isArray(theirs) || mine.length !== theirs.length) return false;
    for (let index = 0; index < mine.length; index++) if (!same(mine[index], theirs[index])) return false;
    return true;
  }
  if (Array.isArray(theirs)) return false;
  const keys = Object.keys(mine);
  if (keys.length !== Object.keys(theirs).length) return false;
  for (const key of keys) if (!Object.hasOwn(theirs, key) || !same(mine[key], theirs[key])) return false;
  return true;
}

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
  // The usual answer by the shortest way.
  if (same(mine, theirs)) return [];
  const found: Difference[] = [];
  const inList = Array.isArray(mine);
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    if (found.length >= most) break;
    const below = inList ? `${path}[${key}]` : path === '' ? key : `${path}.${key}`;
    found.push(...differences(mine[key], theirs[key], most - found.length, below));
  }
  return found;
}
