/**
 * The first thing that each worker does: it takes a lock that it never lets go of, and says which. Whoever stands in
 * line for that lock hears when the worker has ended, even where the browser ended it without a word.
 */
export interface LifeSign {
  /** The lock that is held as long as the worker lives; null where this browser lends none. */
  readonly life: string | null;
}

const say = (life: string | null): void => postMessage({ life } satisfies LifeSign);

if ('locks' in navigator) {
  const name = `loose-pulley-worker/${Math.random().toString(36).slice(2)}`;
  void navigator.locks.request(name, () => {
    say(name);
    return new Promise(() => undefined);
  });
} else say(null);
