import type { LifeSign } from './living';

/** A worker that ended before its work did. */
export class WorkerEnded extends Error {}

/** How long a worker may take to give its first sign of life. */
const START_MS = 20_000;

export interface Life {
  /** Resolves with the worker's first sign of life: what is asked of it then is asked of a living one. */
  readonly begun: Promise<void>;
  /** Ends the worker; nothing is told after. */
  readonly stop: () => void;
}

/** Whether a message is a worker's sign of life and no answer. */
export const isLifeSign = (data: unknown): data is LifeSign =>
  typeof data === 'object' && data !== null && 'life' in data;

/**
 * Watches over a worker.
 *
 * @param onEnd told once where the worker ends by itself: it failed, could not be fetched, or was ended without a word
 */
export function watchLife(worker: Worker, onEnd: (why: WorkerEnded) => void): Life {
  const waiting = new AbortController();
  let over = false;
  const stop = (): void => {
    over = true;
    clearTimeout(late);
    waiting.abort();
    worker.terminate();
  };
  const ended = (why: string): void => {
    if (over) return;
    stop();
    onEnd(new WorkerEnded(why));
  };
  const late = setTimeout(() => ended('The background work did not begin.'), START_MS);
  worker.addEventListener('error', (event) => ended(event.message || 'The background work stopped.'));
  worker.addEventListener('messageerror', () => ended('The background work sent something unreadable.'));
  const begun = new Promise<void>((resolve) => {
    worker.addEventListener('message', ({ data }: MessageEvent<unknown>) => {
      if (!isLifeSign(data) || over) return;
      clearTimeout(late);
      resolve();
      if (data.life === null) return;
      navigator.locks
        .request(data.life, { signal: waiting.signal }, () => ended('The background work stopped.'))
        .catch(() => undefined);
    });
  });
  return { begun, stop };
}
