import type { Remote } from 'comlink';
import { withWorker } from './call';
import type { ExchangeApi } from './exchange.worker';

/** Reads or packs files beside the page. */
export const withExchange = <T>(call: (api: Remote<ExchangeApi>) => Promise<T>): Promise<T> =>
  withWorker<ExchangeApi, T>(
    () => new Worker(new URL('./exchange.worker.ts', import.meta.url), { type: 'module' }),
    call,
  );
