import type { PlayNews, PlayOrder } from './population.worker';

/** Plays a population beside the page. @returns how to end it */
export function playBeside(order: PlayOrder, on: { news(news: PlayNews): void; stopped(): void }): () => void {
  const worker = new Worker(new URL('./population.worker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<PlayNews>) => on.news(data));
  worker.addEventListener('error', () => on.stopped());
  worker.postMessage(order);
  return () => worker.terminate();
}
