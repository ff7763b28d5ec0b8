import type { Cover } from '@loose-pulley/core/shop/restock';
import { isLifeSign, watchLife } from './life';
import type { RestockAsked } from './restock.worker';

/** Works out beside the page which belts to stock. @returns how to end it */
export function restockBeside(asked: RestockAsked, on: { found(cover: Cover): void; stopped(): void }): () => void {
  const worker = new Worker(new URL('./restock.worker.ts', import.meta.url), { type: 'module' });
  const life = watchLife(worker, () => on.stopped());
  worker.addEventListener('message', ({ data }: MessageEvent<Cover>) => {
    if (isLifeSign(data)) return;
    life.stop();
    on.found(data);
  });
  void life.begun.then(() => worker.postMessage(asked));
  return life.stop;
}
