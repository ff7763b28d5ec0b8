import type { Remote } from 'comlink';
import { withWorker } from './call';
import type { PicturesApi } from './pictures.worker';

/** Scales pictures beside the page. */
export const withPictures = <T>(call: (api: Remote<PicturesApi>) => Promise<T>): Promise<T> =>
  withWorker<PicturesApi, T>(
    () => new Worker(new URL('./pictures.worker.ts', import.meta.url), { type: 'module' }),
    call,
  );
