import { releaseProxy, wrap, type Remote } from 'comlink';
import { watchLife, WorkerEnded } from './life';

/**
 * Runs calls in a worker of their own and ends it whatever happens: with the answer, or with the worker's failure,
 * which Comlink by itself would leave pending. A worker that ends before its work does is begun again, once.
 *
 * @param make begins the worker
 * @throws WorkerEnded where the second ended too; else what the call threw
 */
export async function withWorker<Api, T>(make: () => Worker, call: (api: Remote<Api>) => Promise<T>): Promise<T> {
  try {
    return await once(make(), call);
  } catch (error) {
    if (!(error instanceof WorkerEnded)) throw error;
    return once(make(), call);
  }
}

async function once<Api, T>(worker: Worker, call: (api: Remote<Api>) => Promise<T>): Promise<T> {
  const api = wrap<Api>(worker);
  let stop = (): void => undefined;
  try {
    return await new Promise<T>((resolve, reject) => {
      const life = watchLife(worker, reject);
      ({ stop } = life);
      life.begun.then(() => call(api)).then(resolve, reject);
    });
  } finally {
    api[releaseProxy]();
    stop();
  }
}
