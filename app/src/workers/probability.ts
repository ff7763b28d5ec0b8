import type { ProbabilityAnswer, ProbabilityQuestion } from '@loose-pulley/core/probability';
import type { NumberedAnswer } from './probability.worker';

/** Told an answer, or that the worker died and was begun again. */
export interface ChanceListener {
  readonly onAnswer: (answer: ProbabilityAnswer, last: boolean, question: ProbabilityQuestion) => void;
  readonly onRestart: () => void;
}

const MAX_RESTARTS = 2;

/**
 * Asks for chances beside the page. One worker stays while someone listens, so that dragging does not wait for it to
 * start; a new question makes the old one stale, and a worker that dies is begun again with the last question.
 */
export function listenForProbability({ onAnswer, onRestart }: ChanceListener): {
  readonly ask: (question: ProbabilityQuestion) => void;
  readonly stop: () => void;
} {
  let id = 0;
  let asked: ProbabilityQuestion | null = null;
  let restarts = 0;
  const start = (): Worker => {
    const fresh = new Worker(new URL('./probability.worker.ts', import.meta.url), { type: 'module' });
    fresh.addEventListener('message', ({ data }: MessageEvent<NumberedAnswer>) => {
      if (data.id === id && asked) onAnswer(data.answer, data.last, asked);
    });
    fresh.addEventListener('error', () => {
      fresh.terminate();
      if (restarts++ >= MAX_RESTARTS) return;
      worker = start();
      onRestart();
      if (asked) worker.postMessage({ id, question: asked });
    });
    return fresh;
  };
  let worker = start();
  return {
    ask(question) {
      id += 1;
      asked = question;
      worker.postMessage({ id, question });
    },
    stop: () => worker.terminate(),
  };
}
