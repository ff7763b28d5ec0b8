import '../../workers/living';
import { expose, proxy, type ProxyMarked } from 'comlink';
import type { ExchangeWork } from './work';

const api = {
  /** Begins the work on the bench's store or on the demo's: a worker has no page to read that off. */
  async begin(isDemo: boolean): Promise<ExchangeWork & ProxyMarked> {
    Object.assign(globalThis, { isDemo });
    const { beginWork } = await import('./work');
    return proxy(beginWork());
  },
};
export type ExchangeApi = typeof api;
expose(api);
