import '../../workers/living';
import { expose, proxy, type ProxyMarked } from 'comlink';
import type { Bench } from '../boot';
import type { ExchangeWork } from './work';

const api = {
  /** Begins the work on the store of one of the benches: a worker has no page to read that off. */
  async begin(bench: Bench): Promise<ExchangeWork & ProxyMarked> {
    Object.assign(globalThis, { bench });
    const { beginWork } = await import('./work');
    return proxy(beginWork());
  },
};
export type ExchangeApi = typeof api;
expose(api);
