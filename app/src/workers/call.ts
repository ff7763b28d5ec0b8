import { releaseProxy, wrap, type Remote } from 'comlink';

/**
 * Runs calls in a worker of their own and ends it whatever happens: with the answer, or with the worker's failure,
 * which Comlink by itself would leave pending.
 */
export async function withWorker<Api, T>(worker: Worker, call: (api: Remote<Api>) => Promise<T>): Promise<T> {
  const api = wrap<Api>(worker);
  try {
    return await Promise.race([
      call(api),
      new Promise<never>((_, reject) => {
        worker.addEventListener('error', (event) => reject(new Error(event.message || 'The background work stopped.')));
        worker.addEventListener('messageerror', () =>
          reject(new Error('The background work sent something unreadable.')),
        );
      }),
    ]);
  } finally {
    api[releaseProxy]();
    worker.terminate();
  }
}
