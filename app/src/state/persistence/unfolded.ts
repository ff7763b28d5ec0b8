/*
 * Which folds a hand has opened: they stay open, on this computer, until it folds them again. `*` is every one.
 */
const KEY = 'loose-pulley unfolded';
const ALL = '*';

function read(): readonly string[] {
  try {
    return (localStorage.getItem(KEY) ?? '').split('\n').filter(Boolean);
  } catch {
    return [];
  }
}

function write(names: readonly string[]): void {
  try {
    localStorage.setItem(KEY, names.join('\n'));
  } catch {
    // A browser that lends no such store folds again with the next page.
  }
}

/** Whether a hand has opened just this one: heavy ones do not open with all. */
export const isUnfoldedByHand = (name: string): boolean => read().includes(name);
export const isUnfolded = (name: string): boolean => read().some((one) => one === ALL || one === name);

/** Keeps what a hand did with one fold. Where all were open, folding one says no longer so of all. */
export function keepUnfolded(name: string, open: boolean): void {
  const others = read().filter((one) => one !== name && one !== ALL);
  write(open ? [...(read().includes(ALL) ? [ALL] : others), name] : others);
}

export const isAllUnfolded = (): boolean => read().includes(ALL);
export const unfoldAll = (open: boolean): void => write(open ? [ALL] : []);
