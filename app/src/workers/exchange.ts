import { releaseProxy, wrap, type Remote } from 'comlink';
import type { ExchangeApi } from './exchange.worker';

/**
 * Runs one call in a worker of its own and ends it whatever happens: with the answer, or with the worker's failure,
 * which Comlink by itself would leave pending.
 */
export async function withExchange<T>(call: (api: Remote<ExchangeApi>) => Promise<T>): Promise<T> {
  const worker = new Worker(new URL('./exchange.worker.ts', import.meta.url), { type: 'module' });
  const api = wrap<ExchangeApi>(worker);
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
