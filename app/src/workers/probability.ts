import type { ProbabilityAnswer, ProbabilityQuestion } from '@loose-pulley/core/belts/probability';
import { watchLife, type Life } from './life';
import type { NumberedAnswer } from './probability.worker';

/** Told an answer, that the worker ended and was begun again, or that it ended too often. */
export interface ChanceListener {
  readonly onAnswer: (answer: ProbabilityAnswer, last: boolean, question: ProbabilityQuestion) => void;
  readonly onRestart: () => void;
  readonly onGivenUp: () => void;
}

const MAX_RESTARTS = 2;

/**
 * Asks for chances beside the page. One worker stays while someone listens, so that dragging does not wait for it to
 * start; a new question makes the old one stale, and a worker that ends is begun again with the last question.
 */
export function listenForProbability({ onAnswer, onRestart, onGivenUp }: ChanceListener): {
  readonly ask: (question: ProbabilityQuestion) => void;
  readonly stop: () => void;
} {
  let id = 0;
  let asked: ProbabilityQuestion | null = null;
  let restarts = 0;
  let current: { readonly worker: Worker; readonly life: Life; begun: boolean } | undefined;
  const send = (): void => {
    if (asked && current?.begun) current.worker.postMessage({ id, question: asked });
  };
  const start = (): void => {
    const worker = new Worker(new URL('./probability.worker.ts', import.meta.url), { type: 'module' });
    worker.addEventListener('message', ({ data }: MessageEvent<NumberedAnswer>) => {
      if (data.id === id && asked) onAnswer(data.answer, data.last, asked);
    });
    const life = watchLife(worker, () => {
      current = undefined;
      if (restarts++ >= MAX_RESTARTS) {
        onGivenUp();
        return;
      }
      onRestart();
      start();
    });
    const mine = { worker, life, begun: false };
    current = mine;
    void life.begun.then(() => {
      mine.begun = true;
      if (current === mine) send();
    });
  };
  start();
  return {
    ask(question) {
      id += 1;
      asked = question;
      send();
    },
    stop: () => current?.life.stop(),
  };
}
