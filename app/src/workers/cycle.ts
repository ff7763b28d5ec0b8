import type { CycleNews, CycleQuestion, NumberedNews } from './cycle.worker';
import { isLifeSign, watchLife } from './life';

export type { CycleNews, CycleQuestion };

/**
 * Runs cycles beside the page. One worker stays while the page does; a new question makes the old one stale.
 *
 * @returns how to ask and how to end it
 */
export function cyclesBeside(on: { news(news: CycleNews): void; stopped(): void }): {
  readonly ask: (question: CycleQuestion) => void;
  readonly stop: () => void;
} {
  let id = 0;
  const worker = new Worker(new URL('./cycle.worker.ts', import.meta.url), { type: 'module' });
  const life = watchLife(worker, () => on.stopped());
  worker.addEventListener('message', ({ data }: MessageEvent<NumberedNews>) => {
    if (!isLifeSign(data) && data.id === id) on.news(data.news);
  });
  return {
    ask(question) {
      id += 1;
      const mine = id;
      void life.begun.then(() => mine === id && worker.postMessage({ id, question }));
    },
    stop: life.stop,
  };
}
