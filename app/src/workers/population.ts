import { isLifeSign, watchLife } from './life';
import type { PlayNews, PlayOrder } from './population.worker';

/** Plays a population beside the page, once more from its start where the worker ends. @returns how to end it */
export function playBeside(order: PlayOrder, on: { news(news: PlayNews): void; stopped(): void }): () => void {
  let stop: () => void;
  const start = (onEnd: () => void): void => {
    const worker = new Worker(new URL('./population.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<PlayNews>) => {
      if (!isLifeSign(data)) on.news(data);
    });
    const life = watchLife(worker, onEnd);
    ({ stop } = life);
    void life.begun.then(() => worker.postMessage(order));
  };
  start(() => start(() => on.stopped()));
  return () => stop();
}
